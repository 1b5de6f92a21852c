import { beltGeometry, pulleysOverlap } from '../drivetrain/beltLength'
import { ratioStages } from '../drivetrain/effectiveSizes'
import { trainRatio, trainStages } from '../drivetrain/drivetrainRatio'
import type { TransmissionKind } from '../drivetrain/transmissionKinds'
import { stageOfKind, type TransmissionStage } from '../plan'
import { amount, message, type Message } from '../quantities'
import { Refusal } from '../rules/rule'

/** Two step pulleys that face each other, step by step; mm. */
export interface StepPair {
  driverMm: readonly number[]
  drivenMm: readonly number[]
  /** Between their shafts, where it was measured. */
  centreMm?: number | undefined
}

/** A machine's drive as its step pulleys and back gear make it. */
export interface StepTrain {
  kind: TransmissionKind
  /** Motor to the next shaft, and from there to the spindle where there is a countershaft. */
  pairs: readonly StepPair[]
  /** Of a back gear that goes in and out; none where there is none. */
  gears: readonly { driver: number; driven: number }[]
}

/** One way the belts and gears can be set. */
export interface StepCombination {
  /** By its steps from the motor on, `2-1, geared`. */
  name: string
  stages: TransmissionStage[]
  speedRatio: number
  /** Why it cannot be set, or is of no use; nothing where it can. */
  not?: Message
}

/** Share of its length by which one belt can be made to serve steps that want different lengths. */
const ONE_BELT = 0.02

/** Speeds this near to each other are one speed. */
const SAME_SPEED = 0.02

/** Faces that do not match: so many steps here, so many there. */
export const stepsMatch = ({ driverMm, drivenMm }: StepPair): boolean =>
  driverMm.length === drivenMm.length && driverMm.length > 0

/**
 * Every combination of steps and back gear, fastest first, with those that cannot be set named: one belt
 * cannot serve steps whose lengths differ much, and pulleys cannot overlap. Pairs that do not match give none.
 */
export function stepPositions({ kind, pairs, gears }: StepTrain): StepCombination[] {
  if (pairs.length === 0 || !pairs.every(stepsMatch)) return []
  const wrong = pairs.map((pair) => misfits(pair))
  const rows = pairs.reduce<number[][]>(
    (all, { driverMm }) => all.flatMap((row) => driverMm.map((_, i) => [...row, i])),
    [[]],
  )
  const ways = rows.flatMap((steps) =>
    gears.length === 0 ? [{ steps, geared: false }] : [false, true].map((geared) => ({ steps, geared })),
  )
  const made = ways.flatMap(({ steps, geared }): StepCombination[] => {
    const stages: TransmissionStage[] = [
      ...pairs.map(({ driverMm, drivenMm, centreMm }, p) =>
        stageOfKind({ driverMm: driverMm[steps[p] ?? 0], drivenMm: drivenMm[steps[p] ?? 0], centreMm }, kind),
      ),
      ...(geared
        ? gears.map(({ driver, driven }): TransmissionStage => ({
            kind: 'gear-pair',
            driverTeeth: driver,
            drivenTeeth: driven,
          }))
        : []),
    ]
    const read = trainStages.safeParse(ratioStages(stages))
    const ratio = read.success ? trainRatio(read.data) : undefined
    if (!ratio || ratio instanceof Refusal) return []
    const not = steps.map((step, p) => wrong[p]?.[step]).find((said) => said !== undefined)
    const name = `${steps.map((step) => step + 1).join('-')}${geared ? ', geared' : ''}`
    return [{ name, stages, speedRatio: ratio.speedRatio, ...(not ? { not } : {}) }]
  })
  return sameSpeeds(made.sort((a, b) => b.speedRatio - a.speedRatio))
}

/** What is wrong with each step of a pair, against the length that the most of them want. */
function misfits(pair: StepPair): (Message | undefined)[] {
  const steps = pair.driverMm.map((driver, i) => {
    const driven = pair.drivenMm[i] ?? driver
    return { largeMm: Math.max(driver, driven), smallMm: Math.min(driver, driven) }
  })
  // Without a distance the steps are held against each other at one that any machine has: twice the largest.
  const centreMm = pair.centreMm ?? 2 * Math.max(...steps.map((s) => s.largeMm))
  const lengths = steps.map(({ largeMm, smallMm }) => beltGeometry(largeMm, smallMm, centreMm, false).lengthMm)
  const common = [...lengths].sort((a, b) => a - b)[Math.floor((lengths.length - 1) / 2)] ?? 0
  return steps.map(({ largeMm, smallMm }, i) => {
    if (pulleysOverlap(largeMm, smallMm, centreMm)) return message`its pulleys would overlap`
    const more = (lengths[i] ?? common) - common
    if (Math.abs(more) <= ONE_BELT * common) return undefined
    return message`step ${i + 1} wants a belt ${amount('length', Math.abs(more))} ${more > 0 ? 'longer' : 'shorter'} than the others`
  })
}

/** Marks what gives the speed of another that can be set. */
function sameSpeeds(sorted: readonly StepCombination[]): StepCombination[] {
  let last: StepCombination | undefined
  return sorted.map((combination) => {
    if (combination.not) return combination
    if (last && last.speedRatio / combination.speedRatio - 1 < SAME_SPEED)
      return { ...combination, not: message`the same speed as ${last.name}` }
    last = combination
    return combination
  })
}
