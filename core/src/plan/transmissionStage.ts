import { z } from 'zod'
import { beltNames } from '../data/beltProfile'
import { transmissionKinds, type TransmissionKind } from '../drivetrain/transmissionKinds'
import type { AllKeys } from './allKeys'
import { asKind } from './asKind'
import { choice, count, quantity } from './field'

/** Names the kind of a stage: what stands between its two shafts. */
const kindMeta = choice('Stage', transmissionKinds).meta() ?? {}

const kind = <K extends TransmissionKind>(value: K) => z.literal(value).meta(kindMeta)

const pulleys = {
  driverMm: quantity('length', 'Driving pulley', 1, 3000, 'Pitch diameter'),
  drivenMm: quantity('length', 'Driven pulley', 1, 3000, 'Pitch diameter'),
}

const slip = { slip: quantity('fraction', 'Belt slip', 0, 0.2, 'Nothing unless you measured it') }

/** What is measured of any belt: where its shafts stand, how long it is, and the slot the motor moves in. */
const lie = {
  belts: count('Belts side by side', 1, 12),
  centreMm: quantity('length', 'Centre to centre', 10, 10_000, 'Between the shafts, as measured'),
  beltMm: quantity('length', 'Belt, pitch length', 50, 20_000, 'As printed on it, where that is the pitch length'),
  slotLeastMm: quantity('length', 'Slot, nearest', 10, 10_000, 'Centre to centre with the motor pushed in'),
  slotMostMm: quantity('length', 'Slot, farthest', 10, 10_000, 'Centre to centre with the motor pulled out'),
  boreMm: quantity('length', 'Bore of the motor’s pulley', 4, 150, 'As it is now'),
}

/** How tight a belt stands: a force on the middle of its span, and how far it then gives. */
const deflection = {
  deflectionForceN: quantity(
    'force',
    'Pressed with',
    0.5,
    500,
    'One belt, at the middle of its span, by a spring balance',
  ),
  deflectionMm: quantity('length', 'and gives', 0.5, 200),
}

/** Only V-belts have their outside measured, and lie in grooves cut for another. */
const vBelt = {
  section: choice('Belt section', beltNames.v),
  grooves: choice('Grooves cut for', beltNames.v, 'Only where they are cut for another section than the belt'),
  outsideMm: quantity('length', 'Belt, round its outside', 50, 20_000, 'By a tape, the belt off'),
  ratedBeltW: quantity(
    'power',
    'Maker’s rating, one belt',
    10,
    100_000,
    'At this pulley and speed; goes over the planning value',
  ),
}

export const shiftings = { locked: 'Locked at this ratio', moves: 'Still shifted' } as const
export const sheaveBelts = { good: 'Full width, even', worn: 'Narrow, hard or glazed' } as const

/** What is to become of a unit that is shifted while it turns, once a drive makes the speeds. */
const shifted = { shifting: choice('With the drive it is', shiftings) }

const ratio = (label: string, help: string) => quantity('number', label, 0.001, 1000, help)

/**
 * One stage between two shafts, by its kind: belts by the diameters they run on, gears and timing belts by their
 * teeth, a worm by its starts, a sealed gearbox or a variator by its ratio, variable sheaves by how they stand and how far they go.
 * A stage that does not say its kind yet is held as a V-belt is.
 */
export const transmissionStageSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: kind('v-belt').optional().meta(kindMeta),
    ...pulleys,
    ...slip,
    ...vBelt,
    ...lie,
    ...deflection,
  }),
  z.strictObject({
    kind: kind('poly-v'),
    ...pulleys,
    ...slip,
    section: choice('Belt', beltNames.rib),
    ...lie,
    ...deflection,
  }),
  z.strictObject({ kind: kind('flat-belt'), ...pulleys, ...slip, ...lie, ...deflection }),
  z.strictObject({ kind: kind('crossed-belt'), ...pulleys, ...slip, ...lie, ...deflection }),
  z.strictObject({
    kind: kind('timing-belt'),
    driverTeeth: quantity('teeth', 'Driving pulley', 1, 3000),
    drivenTeeth: quantity('teeth', 'Driven pulley', 1, 3000),
    section: choice('Belt', beltNames.tooth),
    ...lie,
  }),
  z.strictObject({
    kind: kind('variable-sheave'),
    driverMm: quantity('length', 'Driving sheave', 1, 3000, 'Pitch diameter, as it is set now'),
    drivenMm: quantity('length', 'Driven sheave', 1, 3000, 'Pitch diameter, as it is set now'),
    ...slip,
    slowestRatio: ratio('Slowest it can be set', 'Driven turns for one of the driving'),
    fastestRatio: ratio('Fastest it can be set', 'Driven turns for one of the driving'),
    ...shifted,
    wear: choice('Its belt', sheaveBelts),
  }),
  z.strictObject({
    kind: kind('gear-pair'),
    driverTeeth: quantity('teeth', 'Driving gear', 1, 3000),
    drivenTeeth: quantity('teeth', 'Driven gear', 1, 3000),
  }),
  z.strictObject({
    kind: kind('worm'),
    starts: quantity('teeth', 'Starts of the worm', 1, 3000, 'Threads that begin at its end; one is usual'),
    wheelTeeth: quantity('teeth', 'Worm wheel', 1, 3000),
  }),
  z.strictObject({
    kind: kind('gearbox'),
    reduction: quantity('number', 'Turns in for one out', 0.001, 3000, 'As printed on it: the 10 of 10 : 1'),
  }),
  z.strictObject({
    kind: kind('variator'),
    reduction: quantity(
      'number',
      'Turns in for one out',
      0.001,
      3000,
      'Hydraulic or by friction, as it is set now; counted by hand or by rpm',
    ),
    ...shifted,
    leastRpm: quantity('speed', 'Slowest it may be driven', 1, 10_000, 'Its oil pump or balls want it; by its plate'),
  }),
  z.strictObject({ kind: kind('direct') }),
])

/** A stage of a belt train. What its kind does not have reads as unknown. */
export type TransmissionStage = AllKeys<z.output<typeof transmissionStageSchema>>

/** What may be known of a stage, whatever its kind. */
export type StageFields = { [K in keyof TransmissionStage]?: TransmissionStage[K] | undefined }

/** The same stage as another kind: what both kinds have stays, what the new one does not have goes. */
export const stageOfKind = (stage: StageFields, to: TransmissionKind | undefined): TransmissionStage =>
  asKind(transmissionStageSchema, stage, to)
