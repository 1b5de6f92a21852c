import { readFileSync } from 'node:fs'
import { describe, expect, test } from '@jest/globals'
import fc from 'fast-check'
import { evaluate } from '../src/conversion/evaluate'
import { numberOf } from '../src/facts/figure'
import { circuitLoad } from '../src/library/circuitLoad'
import { libraryColumns } from '../src/library/libraryColumns'
import { libraryCsv, readLibraryCsv } from '../src/library/libraryCsv'
import { tableKinds } from '../src/library/libraryItem'
import { addCandidate, MOST_BESIDE, takeItem } from '../src/library/takeItem'
import { takeBranchCircuit } from '../src/library/takeBranchCircuit'
import type { LibraryItem, TableKind } from '../src/library/libraryItem'
import { equivalentCircuit } from '../src/motor'
import { applyPatch, driveSchema, emptyPlan, motorSchema, set, type MotorPlate } from '../src/plan'
import { arbitraryPlan } from './arbitraryPlan'

const shipped = (kind: 'motor' | 'drive'): LibraryItem[] => {
  const read = readLibraryCsv(kind, readFileSync(new URL(`../../samples/${kind}s.csv`, import.meta.url), 'utf8'))
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  return read.value
}

const faults = (kind: TableKind, text: string): string[] => {
  const read = readLibraryCsv(kind, text)
  return read.ok ? [] : read.faults.map((f) => `${f.field}: ${f.message}`)
}

describe('items that ship', () => {
  const motors = shipped('motor')
  const drives = shipped('drive')
  test('enough of them, across sizes, inputs and kinds', () => {
    expect(motors.length).toBeGreaterThanOrEqual(24)
    expect(drives.length).toBeGreaterThanOrEqual(14)
    const plates = drives.map((d) => driveSchema.parse(d.item))
    const kinds = plates.map((d) => d.kind)
    for (const kind of ['digital', 'trim-pot', 'brushless']) expect(kinds).toContain(kind)
    expect(new Set(plates.map((d) => d.input))).toEqual(new Set(['1', '3', 'either']))
  })
  test.each(motors.map((m) => [m.name, m] as const))('%s: its plate agrees with itself', (_, motor) => {
    const { findings } = evaluate(applyPatch(emptyPlan('Bench'), [set('motor', motorSchema.parse(motor.item))]))
    expect(findings.filter((f) => f.severity !== 'note').map((f) => f.id)).toEqual(
      /old/.test(motor.name) ? [expect.stringMatching(/^motor\./)] : [],
    )
    const plate: MotorPlate = motorSchema.parse(motor.item)
    if (plate.kind !== 'induction') return
    const fitted = equivalentCircuit.run({
      powerW: plate.powerW,
      voltageV: plate.lowVoltageV,
      ratedFrequencyHz: plate.ratedFrequencyHz,
      poles: 2 * Math.floor((60 * (plate.ratedFrequencyHz ?? 0)) / (plate.ratedSpeedRpm ?? 1)),
      ratedSpeedRpm: plate.ratedSpeedRpm,
      currentA: plate.lowVoltageA,
      powerFactor: plate.powerFactor,
      efficiency: plate.efficiency,
      breakdownRatio: plate.breakdownRatio,
    })
    expect(fitted.ok ? [] : fitted.faults).toEqual([])
  })
})

describe('CSV of the library', () => {
  test('no two headings of a kind are alike', () => {
    for (const kind of tableKinds) {
      const labels = libraryColumns(kind).map((c) => c.field.label.toLowerCase())
      expect(labels.length).toBe(new Set(labels).size)
    }
  })
  test.each(['motor', 'drive'] as const)('every %s that ships survives the way out and back', (kind) => {
    const items = shipped(kind)
    expect(readLibraryCsv(kind, libraryCsv(kind, items))).toEqual({ ok: true, value: items })
  })
  test('so does any plate, with any name', () => {
    const word = fc.string({ minLength: 1, maxLength: 40 }).filter((s) => s.trim() !== '' && !s.startsWith("'"))
    fc.assert(
      fc.property(arbitraryPlan, word, (plan, word) => {
        const items: LibraryItem[] = [{ kind: 'motor', name: word.trim(), item: plan.motor }]
        const read = readLibraryCsv('motor', libraryCsv('motor', items))
        if (!read.ok) throw new Error(JSON.stringify(read.faults))
        expect(read.value[0]?.name).toBe(word.trim())
        for (const { key } of libraryColumns('motor')) {
          const was: unknown = Reflect.get(plan.motor, key)
          const is: unknown = Reflect.get(read.value[0]?.item ?? {}, key)
          if (typeof was === 'number')
            expect(Math.abs(Number(is) - was)).toBeLessThanOrEqual(1e-9 * Math.abs(was) + 1e-15)
          else if (typeof was === 'string') expect(is ?? '').toBe(was.trim())
          else expect(is).toBe(was)
        }
      }),
    )
  })
  test('cells as people type them: either units, commas, words', () => {
    const read = readLibraryCsv(
      'motor',
      'name;Power;Amps (A);Shaft diameter (in);Held by\r\nBench motor;3/4 hp;"7,5";5/8;feet\r\n',
    )
    expect(read.ok && read.value[0]?.item).toEqual({
      powerW: expect.closeTo(559.27, 1),
      lowVoltageA: 7.5,
      shaftMm: expect.closeTo(15.875, 6),
      mounting: 'feet',
    })
  })
  test('what a spreadsheet would run goes out as words and comes back as it was', () => {
    const items: LibraryItem[] = [{ kind: 'drive', name: '=1+1', item: { enclosure: '@IP20' } }]
    const csv = libraryCsv('drive', items)
    expect(csv).toContain("'=1+1")
    expect(readLibraryCsv('drive', csv)).toEqual({ ok: true, value: items })
  })
  test('every fault is named, and nothing is taken', () => {
    expect(faults('motor', 'Name,Power (kW),Held by,Colour\nA,1.5,Feet,red\n')).toEqual([
      'line 1: "Colour" is not a heading known here',
    ])
    expect(faults('motor', 'Name,Power (kW),Held by\nA,big,Ropes\n,1.5,Feet\nB,900,Feet\nC,1,Feet\nC,1,Feet')).toEqual([
      expect.stringMatching(/^line 2, Power: "big kW" is not|^line 2, Power: /),
      expect.stringMatching(/^line 2, Held by: "Ropes" is none of: Feet;/),
      expect.stringMatching(/^line 3, Name: /),
      expect.stringMatching(/^line 4, Power: /),
      'line 6: "C" stands there twice',
    ])
    expect(faults('drive', 'Power (kW)\n1')).toEqual(['line 1: needs a heading "Name"'])
    expect(faults('drive', 'Name,Has a brake chopper\nA,perhaps')).toEqual([
      'line 2, Has a brake chopper: "perhaps" is neither yes nor no',
    ])
    expect(faults('motor', 'Name,Name\nA,B')).toEqual(['line 1: "Name" stands there twice'])
    expect(faults('motor', 'Name\nA,2')).toEqual(['line 2: has more cells than there are headings'])
    expect(faults('motor', `Name\n${'A\n'.repeat(501)}`)[0]).toMatch(/holds 501 lines/)
    expect(faults('motor', 'Name\n"A')[0]).toMatch(/quotation mark/)
  })
})

describe('circuits of the shop', () => {
  const users = [
    { name: 'Lathe', inputA: 14.5 },
    { name: 'Mill', inputA: 18 },
  ]
  test('what runs together is added and held against the breaker', () => {
    expect(circuitLoad(32, users)).toEqual({ totalA: 32.5, unknown: [], tooLarge: [], allAtOnce: false, spareA: -0.5 })
    expect(circuitLoad(40, users)).toMatchObject({ allAtOnce: true, spareA: 7.5 })
    expect(circuitLoad(16, users).tooLarge).toEqual(['Mill'])
  })
  test('what is not known is said, not taken as nothing', () => {
    const some = [...users, { name: 'Grinder', inputA: undefined }]
    expect(circuitLoad(40, some)).toMatchObject({ unknown: ['Grinder'], allAtOnce: undefined })
    expect(circuitLoad(16, some).allAtOnce).toBe(false)
    expect(circuitLoad(undefined, users)).toMatchObject({ allAtOnce: undefined, spareA: undefined })
  })
  test('a plan that is put on a circuit says what the circuit says', () => {
    const before = applyPatch(emptyPlan('Lathe'), [set('supply', { voltageV: 120, breakerA: 15, plugA: 13 })])
    const after = applyPatch(before, takeBranchCircuit('north', { voltageV: 230, phases: 1, frequencyHz: 50 }))
    expect(after.supply).toEqual({ branchCircuitId: 'north', voltageV: 230, phases: 1, frequencyHz: 50, plugA: 13 })
    expect(numberOf(evaluate(after).figures['supply.voltageV'])).toBe(230)
  })
})

describe('an item that is taken', () => {
  const motor = { kind: 'motor' as const, name: 'Elm 15', item: { kind: 'induction' as const, powerW: 1500 } }
  const drive = { kind: 'drive' as const, name: 'Wren 22', item: { ratedOutputA: 9 } }
  const before = applyPatch(emptyPlan('Lathe'), [
    set('motor', { powerW: 750 }),
    set('checks', { secondHand: true, smell: 'bad' }),
    set('drive', { name: 'Old', ratedOutputA: 4 }),
    set('settings.chosen.ratedCurrentA', 4),
    set('settings.chosen.accelerationS', 6),
    set('settings.inDrive.overloadA', 4),
    set('settings.inDrive.accelerationS', 6),
    set('settings.state', 'entered'),
  ])
  test('as the motor: what was tested or set for the old one goes, what speaks of the machine stays', () => {
    const after = applyPatch(before, takeItem(motor))
    expect([after.motor, after.checks]).toEqual([motor.item, {}])
    expect(after.settings).toEqual({
      chosen: { accelerationS: 6 },
      inDrive: { accelerationS: 6 },
      state: 'entered',
    })
    expect(after.drive).toEqual(before.drive)
  })
  test('as the drive: it bears its name, and nothing was read from it yet', () => {
    const after = applyPatch(before, takeItem(drive))
    expect(after.drive).toEqual({ name: 'Wren 22', ratedOutputA: 9 })
    expect([after.settings.inDrive, after.settings.state, after.motor]).toEqual([{}, undefined, before.motor])
  })
  test('stands beside the others while there is room, the plan’s own untouched', () => {
    let plan = before
    for (let i = 0; i < MOST_BESIDE; i += 1) {
      const patch = addCandidate(plan, i === 0 ? drive : motor, `c${i}`)
      if (!patch) throw new Error('no room')
      plan = applyPatch(plan, patch)
    }
    expect(plan.candidates.drives).toEqual([{ id: 'c0', name: 'Wren 22', plate: { name: 'Wren 22', ratedOutputA: 9 } }])
    expect(plan.candidates.motors).toHaveLength(MOST_BESIDE - 1)
    expect([plan.motor, plan.drive]).toEqual([before.motor, before.drive])
    const full = applyPatch(plan, addCandidate(plan, motor, 'last') ?? [])
    expect(addCandidate(full, motor, 'more')).toBeUndefined()
  })
})
