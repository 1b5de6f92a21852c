import { frameSize } from '../data/frameSizes'
import { drivetrainRatio, isBelt, isPlainBelt, pulleyBore, ratioStages } from '../drivetrain'
import type { Plan, Stage } from '../plan'
import { beltCarry, type BeltCarry, type BeltLoad } from './beltCarry'
import { beltLie, type BeltLie, type BeltName } from './beltLie'
import { beltPulleys, type BeltPulleys } from './beltPulleys'
import { numberOf, type Reading } from './figure'
import type { Ledger } from './ledger'
import type { MotorFacts } from './motorFacts'
import { positionName } from './trainFacts'

/** One belt of a position: its pulleys, how it lies, what it bears and holds. */
export interface BeltFacts extends BeltName {
  pulleys: BeltPulleys
  /** Where its length or the distance of the shafts is known. */
  lie: BeltLie | undefined
  carry: BeltCarry | undefined
  load: BeltLoad
  /** The motor's pulley bored to the motor's shaft. */
  bore: { shaftMm: number; wallMm: number; permitted: boolean; keyWidthMm: number; hubMm: number } | undefined
}

/** Belts of which somebody typed more than the pulleys. */
export const beltFacts = (plan: Plan, ledger: Ledger, motor: MotorFacts): BeltFacts[] =>
  plan.survey.positions.flatMap((position, p) =>
    position.stages.flatMap((stage, s): BeltFacts[] => {
      if (!isBelt(stage.kind) || !isTold(stage)) return []
      const path = `survey.positions.${p}.stages.${s}`
      const id = `position.${position.id}.belt${s + 1}`
      const belt = { stage, path, id, name: positionName(position, p) }
      const pulleys = beltPulleys(ledger, stage, path, id, belt.name)
      if (!pulleys) return []
      const lie = beltLie(ledger, belt, pulleys)
      const load = loadOf(ledger, motor, belt, position.stages.slice(0, s))
      // What a timing belt bears and how tight it stands is its maker's; teeth do not slip.
      const carry = lie && isPlainBelt(stage.kind) ? beltCarry(ledger, belt, pulleys, lie, load) : undefined
      return [{ ...belt, pulleys, lie, carry, load, bore: s === 0 ? boreOf(plan, ledger, belt, pulleys) : undefined }]
    }),
  )

const isTold = ({ section, centreMm, beltMm, outsideMm, boreMm }: Stage): boolean =>
  (section ?? centreMm ?? beltMm ?? outsideMm ?? boreMm) !== undefined

/** The motor's power, and its torque and speed as the stages before the belt hand them on. */
function loadOf(ledger: Ledger, motor: MotorFacts, { id, name }: BeltName, before: readonly Stage[]): BeltLoad {
  const powerW = ledger.given('motor.powerW', 'Motor power')
  if (before.length === 0) return { powerW, torqueNm: motor.torqueNm, speedRpm: motor.ratedSpeedRpm }
  const { speedRatio } = ledger.compute(
    drivetrainRatio,
    {
      speedRatio: { id: `${id}.before`, label: `${name}: turns per motor turn before this belt`, dimension: 'number' },
    },
    { stages: { raw: ratioStages(before), shown: `${before.length}`, label: 'Stages before it' } },
  )
  const ratio = numberOf(speedRatio)
  const handed = (what: Reading, end: string, label: string, dimension: 'torque' | 'speed', times: number): Reading => {
    const naming = { id: `${id}.${end}`, label: `${name}: ${label}`, dimension }
    const value = numberOf(what)
    return value === undefined || ratio === undefined
      ? ledger.block(naming, [what, speedRatio])
      : ledger.stated(naming, value * times, 'computed', [what, speedRatio], 'Without losses on the way')
  }
  return {
    powerW,
    torqueNm: handed(motor.torqueNm, 'driverNm', 'rated torque at the driving pulley', 'torque', 1 / (ratio ?? 1)),
    speedRpm: handed(motor.ratedSpeedRpm, 'driverRpm', 'driving pulley at rated speed', 'speed', ratio ?? 1),
  }
}

/** The V-pulley on the motor, bored to the motor's shaft; by the plate's own diameter, else by its frame. */
function boreOf(plan: Plan, ledger: Ledger, { path, id, name, stage }: BeltName, { profile }: BeltPulleys) {
  const grooves = stage.grooves ?? (profile?.form === 'v' ? profile.id : undefined)
  const { shaftMm, frame } = plan.motor
  const standard = frame === undefined ? undefined : frameSize(frame)?.shaftMm
  const diameter = shaftMm ?? standard
  if (grooves === undefined || diameter === undefined || stage.boreMm === undefined) return undefined
  const { output } = ledger.compute(
    pulleyBore,
    {
      keyWidthMm: { id: `${id}.keyWidth`, label: `${name}: key of the motor’s shaft, width`, dimension: 'length' },
      hubMm: { id: `${id}.keyway`, label: `${name}: keyway in the hub, over the bore`, dimension: 'length' },
      wallMm: { id: `${id}.wall`, label: `${name}: iron left between keyway and groove`, dimension: 'length' },
    },
    {
      shaftMm:
        shaftMm === undefined
          ? { raw: diameter, shown: diameter, label: `Shaft of frame ${frame ?? ''}, mm` }
          : ledger.given('motor.shaftMm'),
      diameterMm: ledger.given(`${path}.driverMm`),
      section: { raw: grooves, shown: grooves, label: 'Grooves cut for' },
    },
  )
  return output && { shaftMm: diameter, ...output }
}
