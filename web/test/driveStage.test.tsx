import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { evaluate, fieldAt, set, type Plan } from '@zesty/core'
import { cleanup, fireEvent, screen, within } from '@testing-library/react'
import { CircuitSheet } from '../src/stages/drive/CircuitSheet'
import { DriveBox } from '../src/stages/drive/DriveBox'
import { Drives } from '../src/stages/drive/Drives'
import { InstallationSheet } from '../src/stages/drive/InstallationSheet'
import { LoadBar } from '../src/stages/drive/LoadBar'
import { SizeSchools } from '../src/stages/drive/SizeSchools'
import DriveStage from '../src/stages/drive/Stage'
import { StopSheet } from '../src/stages/drive/StopSheet'
import { keeps, lathe, open, pick, server, show, type } from './page'

beforeEach(() => void server(keeps))
afterEach(cleanup)

const plain = (text: string | null | undefined) => (text ?? '').replace(/\s/g, ' ')
const asked = (path: Parameters<typeof fieldAt>[0]) => screen.queryByText(fieldAt(path).label) !== null

/** Presses a button of a group of choices. */
const press = (group: string, words: string) =>
  fireEvent.click(within(screen.getByRole('radiogroup', { name: group })).getByText(words))

describe('the drive as a box', () => {
  const supplyTerminals = () => {
    const box = screen.getByRole('region', { name: 'Drive plate' })
    return plain(box.firstElementChild?.textContent)
  }
  for (const [what, patch, terminals] of [
    ['one phase and neutral', [], 'supplyLNPE'],
    ['two hot legs', [set('supply.topology', 'line-line')], 'supplyL1L2PE'],
    [
      'three phases',
      [set('supply.phases', 3), set('supply.topology', 'three-phase'), set('drive.input', '3')],
      'supplyL1L2L3PE',
    ],
    ['a three-phase drive on one phase', [set('drive.input', '3')], 'supplyLNPE'],
    ['a drive for either, on three phases', [set('drive.input', 'either'), set('supply.phases', 3)], 'supplyL1L2L3PE'],
  ] as const)
    test(`has the terminals of ${what}`, () => {
      show(<DriveBox />, lathe(...patch))
      expect(supplyTerminals()).toBe(terminals)
    })
  test('takes its plate as people type it', () => {
    show(<DriveBox />, lathe(set('drive', {})))
    type(fieldAt('drive.powerW').label, '2 hp')
    type(fieldAt('drive.ratedOutputA').label, '7,5 A')
    type('Maker’s name for it', '  Gannet 22 ')
    const { drive } = open().plan
    expect(drive.powerW).toBeCloseTo(1491.4, 1)
    expect([drive.ratedOutputA, drive.name]).toEqual([7.5, 'Gannet 22'])
  })
})

describe('a load against what may carry it', () => {
  const bar = (
    <LoadBar
      title="To the motor"
      carries="motor.plateCurrentA"
      carriesWords="the motor’s plate"
      allows="drive.outputA"
      allowsWords="the drive gives"
    />
  )
  const shown = () => {
    const image = screen.getByRole('img', { name: /^To the motor/ })
    const [load, limit] = [...image.querySelectorAll('span')]
    return { words: plain(image.getAttribute('aria-label')), load, limit }
  }
  test('is told in words, and drawn to one scale', () => {
    show(bar, lathe())
    const { words, load, limit } = shown()
    expect(words).toBe('To the motor: 6 A the motor’s plate, 7 A the drive gives')
    const [width, left] = [load?.style.width, limit?.style.left].map((share) => Number.parseFloat(share ?? ''))
    expect((width ?? 0) / (left ?? 0)).toBeCloseTo(6 / 7, 3)
    expect(load?.className).toContain('bg-green')
  })
  test('is red over its limit, and the limit stays inside the picture', () => {
    show(bar, lathe(set('drive.ratedOutputA', 5)))
    const { load, limit } = shown()
    expect(load?.className).toContain('bg-oxide')
    expect(Number.parseFloat(limit?.style.left ?? '')).toBeLessThan(100)
    expect(Number.parseFloat(load?.style.width ?? '')).toBeLessThan(100)
  })
  test('is not drawn while one of the two is not known', () => {
    show(bar, lathe(set('drive', {})))
    const { words, limit } = shown()
    expect(words).toBe('To the motor: not known yet')
    expect(limit).toBeUndefined()
  })
})

describe('what the drive stage asks', () => {
  test('is whether one phase is allowed only where a three-phase drive stands on one', () => {
    show(<DriveStage />, lathe())
    expect(asked('drive.singlePhasePermitted')).toBe(false)
    cleanup()
    show(<DriveStage />, lathe(set('drive.input', '3')))
    expect([asked('drive.singlePhasePermitted'), asked('drive.singlePhaseFactor')]).toEqual([true, false])
    press(fieldAt('drive.singlePhasePermitted').label, 'Yes')
    expect(open().plan.drive.singlePhasePermitted).toBe(true)
    expect(asked('drive.singlePhaseFactor')).toBe(true)
  })
  test('is whether the jumper is set only where there is one', () => {
    show(<DriveStage />, lathe(set('drive.jumper', 'none')))
    expect(asked('drive.jumperSet')).toBe(false)
    cleanup()
    show(<DriveStage />, lathe(set('drive.jumper', 'volts')))
    expect(asked('drive.jumperSet')).toBe(true)
  })
  test('warns of the charge on the bus, with its volts', () => {
    show(<DriveStage />, lathe())
    const caution = screen.getByRole('heading', { name: 'It stays charged' }).parentElement
    expect(plain(caution?.textContent)).toMatch(
      /bus stands at 325 V .*Wait the maker’s time, ten minutes where it is not/,
    )
  })
})

describe('the circuit', () => {
  test('asks for the plug, and for the lie of the lead, where there are any', () => {
    show(<CircuitSheet />, lathe(set('supply.plugOrFixed', 'fixed')))
    expect([asked('supply.plugA'), asked('supply.extensionCoiled')]).toEqual([false, false])
    press(fieldAt('supply.plugOrFixed').label, fieldAt('supply.plugOrFixed').options?.['plug'] ?? '')
    expect(open().plan.supply.plugOrFixed).toBe('plug')
    expect(asked('supply.plugA')).toBe(true)
    type(fieldAt('supply.extensionM').label, '20 m')
    expect(asked('supply.extensionCoiled')).toBe(true)
    expect(screen.getByText('Extension lead carries')).toBeTruthy()
  })
  test('names the earth-leakage device for the drive’s input', () => {
    show(<CircuitSheet />, lathe())
    expect(screen.getByText(/Earth-leakage device: type F .* never AC\./)).toBeTruthy()
    cleanup()
    show(
      <CircuitSheet />,
      lathe(
        set('supply.phases', 3),
        set('supply.topology', 'three-phase'),
        set('supply.voltageV', 400),
        set('drive.input', '3'),
      ),
    )
    expect(screen.getByText(/type B\. Never behind one of type A, AC or F\./)).toBeTruthy()
  })
  test('shows the wall behind a converter, not behind the mains', () => {
    show(<CircuitSheet />, lathe())
    expect(screen.queryByText('From the wall behind it')).toBeNull()
    cleanup()
    show(<CircuitSheet />, lathe(set('supply.supplyUnit', 'transformer')))
    expect(screen.getByText('From the wall behind it')).toBeTruthy()
    cleanup()
    show(<CircuitSheet />, lathe(set('supply.supplyUnit', 'generator')))
    expect(screen.queryByText('From the wall behind it')).toBeNull()
  })
  test('says that local codes rule', () => {
    show(<CircuitSheet />, lathe())
    expect(screen.getByText(/Local codes rule\./)).toBeTruthy()
  })
})

describe('where it hangs', () => {
  test('asks for the box only in a box, and then tells its heat', () => {
    show(<InstallationSheet />, lathe())
    expect(asked('installation.boxWidthMm')).toBe(false)
    press(fieldAt('installation.place').label, fieldAt('installation.place').options?.['in-box'] ?? '')
    expect(open().plan.installation.place).toBe('in-box')
    expect(asked('installation.boxWidthMm')).toBe(true)
    type(fieldAt('installation.boxWidthMm').label, '12 in')
    type(fieldAt('installation.boxHeightMm').label, '400')
    type(fieldAt('installation.boxDepthMm').label, '20 cm')
    const { boxWidthMm, boxHeightMm, boxDepthMm } = open().plan.installation
    expect(boxWidthMm).toBeCloseTo(304.8, 6)
    expect([boxHeightMm, boxDepthMm]).toEqual([400, 200])
    expect(screen.getByText('Air inside the box')).toBeTruthy()
  })
  test('tells what leaks to earth where the filter’s size is known', () => {
    show(<InstallationSheet />, lathe())
    expect(screen.queryByText('Leaks to earth')).toBeNull()
    cleanup()
    show(<InstallationSheet />, lathe(set('drive.filterFarad', 1e-7)))
    expect(screen.getByText('Leaks to earth')).toBeTruthy()
  })
})

describe('stopping', () => {
  const fitted = 'A brake resistor is fitted'
  test('a resistor of which nothing is known is there, and what is typed of it stays', () => {
    show(<StopSheet />, lathe())
    expect(asked('drive.resistor.ratedW')).toBe(false)
    press(fitted, 'Yes')
    expect(open().plan.drive.resistor).toEqual({})
    type(fieldAt('drive.resistor.ohm').label, '100 Ω')
    type(fieldAt('drive.resistor.ratedW').label, '200 W')
    type(fieldAt('drive.resistor.peakW').label, '2 kW')
    expect(open().plan.drive.resistor).toEqual({ ohm: 100, ratedW: 200, peakW: 2000 })
    press(fitted, 'Yes')
    expect(open().plan.drive.resistor).toBeUndefined()
    expect(asked('drive.resistor.ohm')).toBe(false)
  })
  test('tells the ripple of the bus only where it is worked out', () => {
    show(<StopSheet />, lathe(set('drive.busFarad', undefined)))
    const before = screen.queryByText('Ripple of the bus') !== null
    expect(before).toBe('drive.rippleV' in evaluate(open().plan).figures)
    cleanup()
    show(<StopSheet />, lathe(set('drive.busFarad', 0.001)))
    expect(screen.getByText('Ripple of the bus')).toBeTruthy()
  })
})

describe('the two schools of sizing', () => {
  const schools = (plan: Plan) => {
    show(<SizeSchools evaluation={evaluate(plan)} />, plan)
    return [...(screen.queryByLabelText('How large a drive')?.children ?? [])].map((s) => plain(s.textContent))
  }
  test('match by amps where nothing asks for more', () => {
    const plan = lathe(set('controls.reverseWanted', false), set('survey.holders', []))
    const [byAmps, up] = schools(plan)
    expect(evaluate(plan).sizeUpReasons).toEqual([])
    expect(byAmps).toMatch(/usable output of 6 A or more.*The default here: nothing asks for more\./)
    expect(up).not.toMatch(/default here/)
  })
  test('go one size up for a reason, and say which', () => {
    const plan = lathe(set('drive.input', '3'), set('drive.singlePhasePermitted', true))
    const [reason] = evaluate(plan).sizeUpReasons
    expect(reason).toBeDefined()
    const [byAmps, up] = schools(plan)
    expect(byAmps).not.toMatch(/default here/)
    expect(up).toContain(`The default here: ${reason ?? ''}`)
  })
  test('are silent without the motor’s amps', () => {
    expect(schools(lathe(set('motor', {})))).toEqual([])
  })
})

describe('drives side by side', () => {
  const columns = () => screen.getAllByRole('columnheader').map((h) => plain(h.textContent))
  test('hold a smaller one against the motor, and say that it is too small', () => {
    show(
      <Drives />,
      lathe(set('candidates.drives', [{ id: 'x', name: 'Tern 07', plate: { input: '1', ratedOutputA: 4.2 } }])),
    )
    expect(columns().some((name) => name.includes('Tern 07'))).toBe(true)
    expect(screen.getByText('Too small')).toBeTruthy()
    expect(screen.getByText('117 % of the plate')).toBeTruthy()
  })
  test('one is taken with one press, which can be undone', () => {
    show(
      <Drives />,
      lathe(set('candidates.drives', [{ id: 'x', name: 'Tern 15', plate: { input: '1', ratedOutputA: 8 } }])),
    )
    fireEvent.click(screen.getByRole('button', { name: 'Take Tern 15 into the plan' }))
    const { plan, undo } = open()
    expect([plan.drive.name, plan.drive.ratedOutputA, undo.length]).toEqual(['Tern 15', 8, 1])
  })
})

test('a list says what is not known first, and that it may be left so', () => {
  show(<CircuitSheet />, lathe(set('supply.laying', undefined)))
  const { label, options } = fieldAt('supply.laying')
  const list = screen.getByLabelText<HTMLSelectElement>(label)
  expect(list.selectedOptions[0]?.text).toBe('Not known')
  pick(label, options?.['conduit'] ?? Object.values(options ?? {})[0] ?? '')
  expect(open().plan.supply.laying).toBeDefined()
  pick(label, 'Not known')
  expect(open().plan.supply.laying).toBeUndefined()
})
