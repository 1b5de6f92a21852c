import { describe, expect, test } from '@jest/globals'
import { existsSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { evaluate } from '../src/conversion/evaluate'
import type { Evaluation } from '../src/evaluate/evaluation'
import { jobKinds, set, type Job, type JobKind, type Patch, type Plan } from '../src/plan'
import { demoPlans } from './demoPlans'
import { on400, soundPlan, spoiled } from './mistakes'

/**
 * What plans of the tests come to, kept in `figures.tsv` as it was when it was last looked at: plan, figure, value, unit, a
 * line each and no words, so that a difference can be read. Of a plan made from the sound one only what is other. Written
 * anew, on purpose, where ZESTY_FIGURES says so: see below.
 */
const file = join(import.meta.dirname, 'figures.tsv')
const isAnew = process.env['ZESTY_FIGURES'] === 'anew'

const rounded = (value: unknown): string => {
  if (typeof value === 'number') return String(Number(value.toPrecision(6)))
  return typeof value === 'string' || typeof value === 'boolean' ? String(value) : 'unknown'
}

/** Everything an evaluation says beside its findings: a figure's value and unit by its name. */
function told(evaluation: Evaluation): Record<string, string> {
  const lines: Record<string, string> = {}
  for (const [id, figure] of Object.entries(evaluation.figures))
    if (figure) lines[id] = `${rounded(figure.value)}\t${figure.dimension}${figure.restsOnTypical ? ', typical' : ''}`
  for (const [id, blocked] of Object.entries(evaluation.blocked))
    if (blocked) lines[id] = `unknown\tfor want of ${blocked.missing.join(' ')}`
  for (const { id, value } of evaluation.settings) lines[`setting ${id}`] = `${rounded(value)}\t`
  for (const { id, state } of evaluation.chain) lines[`link ${id}`] = `${state}\t`
  for (const { id, verdict, doneOn, positionId } of evaluation.jobs)
    lines[`job ${id}`] = `${verdict ?? 'unknown'}\ton ${positionId ?? 'none'}, also ${doneOn.join(' ')}`
  for (const { id, main, reversed, jobsReached } of evaluation.positions)
    lines[`position ${id}`] = `${jobsReached}\tjobs${main ? ', main' : ''}${reversed === true ? ', reversed' : ''}`
  for (const { id, state, missing, stops, watches } of evaluation.stages)
    lines[`stage ${id}`] = `${state}\t${missing} missing, ${stops} stops, ${watches} watches`
  evaluation.agenda.forEach(({ paths, findingId }, n) => {
    lines[`agenda ${n + 1}`] = `${(paths ?? [findingId ?? 'a stage']).join(' ')}\t`
  })
  const { earthLeakageType, sizeUpReasons, delta87Hz, limits, torque } = evaluation
  const rest = { earthLeakageType, sizeUpReasons: sizeUpReasons.length, delta87Hz, limits, torque }
  for (const [key, value] of leavesOf(rest)) lines[`rest ${key}`] = `${rounded(value)}\t`
  return lines
}

/** Every plain value in a tree, by the path to it. */
function leavesOf(tree: unknown, path = ''): [string, unknown][] {
  if (typeof tree !== 'object' || tree === null) return [[path, tree]]
  return Object.entries(tree).flatMap(([key, value]) => leavesOf(value, path === '' ? key : `${path}.${key}`))
}

/** The lines that are other than on the sound plan; what is gone is told too. */
function differences(plan: Plan): Record<string, string> {
  const [before, after] = [sound, told(evaluate(plan))]
  const ids = [...new Set([...Object.keys(before), ...Object.keys(after)])]
  return Object.fromEntries(ids.filter((id) => before[id] !== after[id]).map((id) => [id, after[id] ?? 'gone\t']))
}

const sound = told(evaluate(soundPlan()))

const [onB] = soundPlan().survey.positions[1]?.transmission ?? []
const belt = (measured: object): Patch => [set('survey.positions.1.transmission.0', { ...onB, ...measured })]

/** A job of each kind in mild steel, with what is told of its cut. */
const everyKind = (cut: Partial<Job>): Job[] =>
  (Object.keys(jobKinds) as JobKind[]).map((kind) => ({
    id: kind,
    name: kind,
    kind,
    material: 'mild-steel',
    tool: 'hss',
    diameterMm: 20,
    ...cut,
  }))

/** Plans without a fault that go ways which no mistake goes. */
const others: Record<string, Patch> = {
  'a drive that stands more for a minute': [set('drive.overloadClass', 'heavy')],
  'a motor with a blower': [set('motor.cooling', 'blower')],
  'a plate for constant torque': [set('motor.inverterDutyRatio', 10)],
  'plain V/f': [set('drive.control', 'vf')],
  'a doubler on 120 V': [
    set('supply.voltageV', 120),
    set('drive.inputVoltageV', 120),
    set('drive.doubler', true),
    set('supply.breakerA', 40),
  ],
  'a wall of 400 V': on400,
  'a three-phase drive on one phase, with its factor': [
    set('drive.input', '3'),
    set('drive.singlePhasePermitted', true),
    set('drive.singlePhaseFactor', 0.6),
    set('drive.ratedOutputA', 12),
  ],
  'that drive high up and warm': [
    set('drive.input', '3'),
    set('drive.singlePhasePermitted', true),
    set('drive.ratedOutputA', 16),
    set('installation.altitudeM', 2000),
    set('installation.roomC', 45),
  ],
  'a carrier over the drive’s own': [set('drive.carrierHz', 12000), set('drive.ratedCarrierHz', 4000)],
  'a drive in a box': [
    set('installation.place', 'in-box'),
    set('installation.boxWidthMm', 400),
    set('installation.boxHeightMm', 600),
    set('installation.boxDepthMm', 250),
    set('installation.roomC', 20),
  ],
  'a long motor cable': [set('installation.motorCableM', 12), set('drive.riseS', 1e-7)],
  'capacitors and trip read from the manual': [
    set('drive.busFarad', 0.00082),
    set('drive.tripV', 410),
    set('drive.chopperV', 380),
  ],
  'a coast that was timed': [set('survey.coastS', 25)],
  'a chuck whose inertia is timed': [set('survey.holders.1.inertiaFrom', 'timing'), set('survey.holders.1.runUpS', 4)],
  'a chuck by its drawing, and a flywheel that always turns': [
    set('survey.holders.0.inertiaFrom', 'rim'),
    set('survey.holders.0.boreMm', 120),
    set('survey.holders.0.material', 'iron'),
    set('survey.holders.0.alwaysTurns', true),
    set('survey.holders.1.inertiaFrom', 'drawing'),
    set('survey.holders.1.steps', [
      { outerMm: 250, lengthMm: 60 },
      { outerMm: 120, boreMm: 35, lengthMm: 40 },
    ]),
  ],
  'a resistor in full': [
    set('drive.resistor', { ohm: 100, ratedW: 200, peakW: 2000 }),
    set('controls.stopsPerHour', 12),
    set('settings.chosen.decelerationS', 3),
  ],
  'a threaded nose whose seat was measured': [set('survey.spindleNose', 'threaded'), set('survey.seatTorqueNm', 40)],
  'a knob measured at its top': [set('controls.knobTopHz', 90)],
  'a two-pole motor': [set('motor.ratedSpeedRpm', 2840), set('survey.jobs', [])],
  'a six-pole motor': [set('motor.ratedSpeedRpm', 940)],
  'a motor for 60 Hz': [
    set('motor.ratedFrequencyHz', 60),
    set('motor.ratedSpeedRpm', 1720),
    set('supply.frequencyHz', 60),
  ],
  'a plate that prints cos phi alone': [set('motor.efficiency', undefined), set('motor.powerFactor', 0.82)],
  'a plate that prints neither': [set('motor.efficiency', undefined), set('motor.powerFactor', undefined)],
  'planning values of one’s own': [
    set('overrides.motorEfficiency', 0.8),
    set('overrides.driveEfficiency', 0.95),
    set('overrides.truePowerFactor', 0.7),
  ],
  'a motor good for a highest speed': [set('motor.maximumRpm', 3000)],
  'a frame of inches': [set('motor.frame', '145T')],
  'a flat belt': [
    set('survey.positions.1.transmission', [{ kind: 'flat-belt', driverMm: 100, drivenMm: 250, slip: 0.02 }]),
  ],
  'a crossed belt': [
    set('survey.positions.1.transmission', [{ kind: 'crossed-belt', driverMm: 100, drivenMm: 200, centreMm: 600 }]),
  ],
  'a timing belt': [
    set('survey.positions.1.transmission', [
      { kind: 'timing-belt', driverTeeth: 20, drivenTeeth: 50, section: 'tooth-l', centreMm: 300 },
    ]),
  ],
  'a worm': [set('survey.positions.1.transmission', [{ kind: 'worm', starts: 2, wheelTeeth: 40 }])],
  'two belts, tensioned': belt({ section: 'a', belts: 2, beltMm: 1330, deflectionMm: 6, deflectionForceN: 12 }),
  'a belt known from outside': belt({ section: 'a', outsideMm: 1380 }),
  'a pulley to be bored': belt({ boreMm: 19, section: 'a' }),
  'a pulley that was not measured': [
    set('survey.positions.1.transmission', [{ kind: 'v-belt', drivenMm: 224, section: 'a' }]),
  ],
  'a position that shakes': [set('survey.positions.1.resonanceHz', 40)],
  'a position whose stiffness is known': [set('survey.positions.1.stiffnessNmPerRad', 900)],
  'an extension lead, rolled up': [
    set('supply.extensionM', 15),
    set('supply.extensionMm2', 2.5),
    set('supply.extensionCoiled', true),
  ],
  'a converter': [
    set('supply.supplyUnit', 'rotary-converter'),
    set('supply.supplyUnitW', 5000),
    set('supply.phases', 3),
    set('supply.topology', 'three-phase'),
    set('drive.input', '3'),
  ],
  'a cable in a warm conduit': [set('supply.laying', 'conduit'), set('supply.ambientC', 45), set('supply.cableM', 40)],
  'a job of every kind, told in full': [
    set('survey.jobs', everyKind({ feedMm: 0.1, depthMm: 1, widthMm: 6, teeth: 4, pitchMm: 1.5 })),
  ],
  'a job of every kind, half told': [set('survey.jobs', everyKind({}))],
  'jobs in wood and stainless, with carbide': [
    set('survey.jobs', [
      { id: 'w', kind: 'milling', material: 'wood', diameterMm: 20, feedMm: 0.2, depthMm: 3, widthMm: 10, teeth: 2 },
      { id: 's', kind: 'drilling', material: 'stainless', tool: 'carbide', diameterMm: 8, feedMm: 0.1 },
      {
        id: 'k',
        kind: 'turning',
        kc11: 1500,
        mc: 0.2,
        diameterMm: 30,
        surfaceSpeedMPerMin: 40,
        feedMm: 0.2,
        depthMm: 2,
      },
      { id: 't', kind: 'turning', torqueNm: 12, speedRpm: 300 },
      { id: 'b', kind: 'sawing', material: 'mild-steel', diameterMm: 300 },
    ]),
  ],
  'nothing that spins is marked': [set('survey.holders', []), set('survey.originalTopRpm', undefined)],
  'a belt of which only the pulleys are known': [
    set('survey.positions.1.transmission', [{ kind: 'v-belt', driverMm: 90, drivenMm: 224 }]),
  ],
  'nothing known of the motor': [set('motor', {})],
  'nothing known of the drive': [set('drive', {})],
  'nothing known of the wall': [set('supply', {})],
  'no belts': [set('survey.positions', []), set('survey.jobs', []), set('survey.mainPositionId', undefined)],
}

/** Some forty plans and what they come to; of those that are not whole only what differs from the sound one. */
const plans = new Map<string, () => Record<string, string>>([
  ['the sound plan', () => sound],
  ...[...demoPlans].map(([name, plan]) => [name, () => told(evaluate(plan))] as const),
  ...Object.entries(others).map(([name, patch]) => [name, () => differences(spoiled(...patch))] as const),
])

const kept = new Map<string, string[]>()
if (existsSync(file) && !isAnew)
  for (const row of readFileSync(file, 'utf8').replace(/\n$/, '').split('\n').slice(1)) {
    const [plan = '', ...figure] = row.split('\t')
    kept.set(plan, [...(kept.get(plan) ?? []), figure.join('\t')])
  }

function rowsOf(lines: Record<string, string>): string[] {
  const rows = Object.entries(lines).map(([id, said]) => `${id}\t${said}`)
  return rows.length === 0 ? ['all as on the sound plan\t\t'] : rows.sort()
}

describe('what a plan comes to', () => {
  test('is kept of each', () => {
    if (isAnew) {
      const rows = [...plans].flatMap(([name, tell]) => rowsOf(tell()).map((row) => `${name}\t${row}`))
      writeFileSync(file, `plan\tfigure\tvalue\tunit\n${rows.join('\n')}\n`)
    }
    expect(isAnew ? 'written anew; run it again without' : [...kept.keys()].sort()).toEqual([...plans.keys()].sort())
    expect(Object.keys(sound).length).toBeGreaterThan(250)
  })
  test.each([...plans])('%s', (name, tell) => expect(rowsOf(tell())).toEqual(kept.get(name)))
})
