import { describe, expect, test } from '@jest/globals'
import { evaluate } from '../src/conversion/evaluate'
import { compareRoutes } from '../src/compare/compareRoutes'
import { numberOf } from '../src/facts/figure'
import { applyPatch, set, setField, type Change } from '../src/plan'
import { messageText } from '../src/quantities'
import { beforeConverter, spoiled } from './mistakes'

const evaluated = (...patch: Change[]) => evaluate(spoiled(...patch))
const line = (evaluation: ReturnType<typeof evaluated>, id: string) => evaluation.judged.find((l) => l.id === id)
const found = (evaluation: ReturnType<typeof evaluated>, id: string) =>
  evaluation.findings.find((f) => f.id === id || f.id.startsWith(`${id}/`))

describe('plug and lead before or behind a converter', () => {
  test('which side they lie on is asked', () => {
    const asked = evaluated(...beforeConverter, set('supply.leadSide', undefined))
    expect(line(asked, 'plug-and-lead.plug')).toMatchObject({ missing: ['supply.leadSide'] })
  })
  test('at the wall they carry the amps of the wall', () => {
    const atWall = evaluated(...beforeConverter)
    const wallA = atWall.figures['supply.wallA']?.value ?? 0
    const driveA = atWall.figures['drive.inputA']?.value ?? 0
    expect(wallA).toBeGreaterThan(driveA)
    const between = Math.ceil(driveA / 0.8) + 1
    const plug = (side: 'wall' | 'drive') =>
      found(
        evaluated(
          ...beforeConverter,
          set('supply.plugA', between),
          set('supply.leadSide', side),
          set('supply.breakerA', between),
          set('supply.plugKind', 'industrial'),
        ),
        'plug-and-lead.plug',
      )?.severity
    expect([plug('wall'), plug('drive')]).toEqual(['stop', undefined])
  })
})

test('the cable’s finding belongs to the breaker that is there, and tells the other size too', () => {
  const { figures } = evaluated(set('supply.cableM', 10), set('supply.laying', 'surface'))
  expect([figures['supply.neededMm2']?.value, figures['supply.neededAskedMm2']?.value]).toEqual([4, 2.5])
})

describe('heat in the box', () => {
  const box = [
    set('installation.place', 'in-box'),
    set('installation.boxWidthMm', 500),
    set('installation.boxHeightMm', 600),
    set('installation.boxDepthMm', 250),
  ] as const
  const inside = (...patch: Change[]) => evaluated(...box, ...patch).figures['installation.insideC']?.value ?? NaN
  test('is that of its duty, and less with a fan', () => {
    expect(inside(set('installation.boxDuty', 'half'))).toBeLessThan(inside())
    expect(inside(set('installation.boxDuty', 'seldom'))).toBeLessThan(inside(set('installation.boxDuty', 'half')))
    expect(inside(set('installation.filterFanM3PerH', 100))).toBeLessThan(inside())
  })
  test('is one finding: what the drive then gives hangs under it', () => {
    const evaluation = evaluated(...box)
    expect(found(evaluation, 'drive.derated')?.follows).toBe('installation.box-hot')
  })
})

test('a small drive is never planned for more input than its output amps draw', () => {
  const input = (amps: number) =>
    evaluated(set('drive.ratedOutputA', amps), set('drive.ratedInputA', undefined)).figures['drive.computedInputA']
      ?.value ?? NaN
  expect(input(3) / input(7)).toBeCloseTo(0.5, 6)
  expect(input(12)).toBe(input(7))
})

test('routes are compared at the wall, also where a converter stands there already', () => {
  const plan = spoiled(...beforeConverter)
  const { lines, figures } = compareRoutes(plan, evaluate(plan))
  const route = (id: string) => lines.find((l) => l.id === id)?.wallA
  const [drive, converter] = [route('drive-each'), route('converter-drives')].map((f) => f && numberOf(f))
  // The same drive behind the same converter takes the same from the wall.
  expect(drive).toBeCloseTo(converter ?? NaN, 6)
  expect(figures['route.drive-each.this.unitA']?.value).toBeLessThan(drive ?? 0)
  const unknown = spoiled(...beforeConverter, set('supply.wallVoltageV', undefined))
  const blocked = compareRoutes(unknown, evaluate(unknown)).lines.find((l) => l.id === 'drive-each')?.wallA
  expect(blocked && 'missing' in blocked ? blocked.missing : []).toEqual(['supply.wallVoltageV'])
})

test('a typed coast stands in every sentence that lets it coast', () => {
  const coasts = (...patch: Change[]) => {
    const { findings, judged } = evaluated(set('survey.coastS', 21), ...patch)
    return [
      ...findings.map((f) => messageText(f.says)),
      ...judged.filter((l) => l.answer === 'good').map((l) => messageText(l.says)),
    ].filter((said) => /\bcoast(s|ed)\b/.test(said) && !/not judged/i.test(said))
  }
  for (const patch of [
    [set('controls.runBy', 'main-switch')],
    [set('controls.emergencyStop', 'ramp-input'), set('controls.quickRampS', 1)],
    [set('settings.inDrive.overVoltage', 'trips')],
    [set('settings.inDrive.rideThrough', 'off')],
    [set('settings.inDrive.turningStart', 'lockout')],
    [set('settings.chosen.decelerationS', 1)],
    [set('settings.chosen.stopMode', 'coast'), set('survey.spindleNose', 'threaded')],
  ] as Change[][]) {
    const said = coasts(...patch)
    expect(said.length).toBeGreaterThan(0)
    for (const sentence of said) expect(sentence).toMatch(/21/)
  }
})

test('a speed that was typed for a blade is never judged by the table of its material', () => {
  const job = { id: 'saw', kind: 'sawing', material: 'stainless', diameterMm: 300 } as const
  const plan = spoiled(set('survey.jobs', [{ ...job, surfaceSpeedMPerMin: 90 }]))
  const { findings, figures, jobs } = evaluate(plan)
  expect(findings.filter((f) => /surface|blade/i.test(messageText(f.title)))).toEqual([])
  expect(figures[jobs[0]?.wantedRpm ?? 'motor.torque']?.value).toBeCloseTo((90 * 1000) / (Math.PI * 300), 1)
})

test('a stepper on its own driver is no fault', () => {
  const plan = applyPatch(spoiled(), [setField(spoiled(), 'motor.kind', 'servo'), set('drive.kind', 'brushless')])
  expect(evaluate(plan).findings.filter((f) => f.id.startsWith('motor.kind'))).toEqual([])
})
