import { frameSize } from '../../data/frameSizes'
import {
  drivetrainRatio,
  isBelt,
  isPlainBelt,
  pulleyBore,
  ratioStages,
  shaftSpeed,
  shaftTorque,
} from '../../drivetrain'
import { positionName, type TransmissionStage } from '../../plan'
import type { Knowing } from '../context'
import { choice, named } from '../ledger'
import { beltCapacity, type BeltCapacity, type BeltLoad } from './beltCapacity'
import { beltGeometry, type BeltGeometry } from './beltGeometry'
import { beltPulleys, type BeltName, type BeltPulleys } from './beltPulleys'
import type { MotorFacts } from '../motor/motorKnown'

/** One belt of a position: its pulleys, how it lies, what it bears and holds. */
export interface BeltFacts extends BeltName {
  pulleys: BeltPulleys
  /** Where its length or the distance of the shafts is known. */
  geometry: BeltGeometry | undefined
  capacity: BeltCapacity | undefined
  load: BeltLoad
  /** The motor's pulley bored to the motor's shaft. */
  bore: { shaftMm: number; wallMm: number; permitted: boolean; keyWidthMm: number; hubMm: number } | undefined
}

/** Belts of which somebody typed more than the pulleys. */
export const beltFacts = (context: Knowing<{ motor: MotorFacts }>): BeltFacts[] =>
  context.plan.survey.positions.flatMap((position, p) =>
    position.transmission.flatMap((stage, s): BeltFacts[] => {
      if (!isBelt(stage.kind) || !isTold(stage)) return []
      const { ledger } = context
      const belt: BeltName = {
        stage,
        path: `survey.positions.${p}.transmission.${s}`,
        id: `position.${position.id}.belt${s + 1}`,
        name: positionName(position, p),
      }
      const pulleys = beltPulleys(ledger, belt)
      if (!pulleys) return []
      const geometry = beltGeometry(ledger, belt, pulleys)
      const load = loadOf(context, belt, position.transmission.slice(0, s))
      // What a timing belt bears and how tight it stands is its maker's; teeth do not slip.
      const capacity =
        geometry && isPlainBelt(stage.kind) ? beltCapacity(ledger, belt, pulleys, geometry, load) : undefined
      return [
        { ...belt, pulleys, geometry, capacity, load, bore: s === 0 ? boreOf(context, belt, pulleys) : undefined },
      ]
    }),
  )

const isTold = ({ section, centreMm, beltMm, outsideMm, boreMm }: TransmissionStage): boolean =>
  (section ?? centreMm ?? beltMm ?? outsideMm ?? boreMm) !== undefined

/** The motor's power, and its torque and speed as the stages before the belt hand them on. */
function loadOf(
  { ledger, motor }: Knowing<{ motor: MotorFacts }>,
  { id, name }: BeltName,
  before: readonly TransmissionStage[],
): BeltLoad {
  const powerW = ledger.given('motor.powerW')
  if (before.length === 0) return { powerW, torqueNm: motor.torqueNm, speedRpm: motor.ratedSpeedRpm }
  const speedRatio = ledger.derive(
    drivetrainRatio,
    'speedRatio',
    named(`${id}.before`, `${name}: turns per motor turn before this belt`, 'number'),
    { stages: { raw: ratioStages(before), shown: `${before.length}`, label: 'Stages before it' } },
  )
  return {
    powerW,
    torqueNm: ledger.derive(
      shaftTorque,
      'torqueNm',
      named(`${id}.driverNm`, `${name}: rated torque at the driving pulley`, 'torque'),
      { torqueNm: motor.torqueNm, speedRatio },
    ),
    speedRpm: ledger.derive(
      shaftSpeed,
      'speedRpm',
      named(`${id}.driverRpm`, `${name}: driving pulley at rated speed`, 'speed'),
      { speedRpm: motor.ratedSpeedRpm, speedRatio },
    ),
  }
}

/** The V-pulley on the motor, bored to the motor's shaft; by the plate's own diameter, else by its frame. */
function boreOf(
  { plan, ledger }: Knowing<{ motor: MotorFacts }>,
  { path, id, name, stage }: BeltName,
  { profile }: BeltPulleys,
) {
  const grooves = stage.grooves ?? (profile?.form === 'v' ? profile.id : undefined)
  const { shaftMm, frame } = plan.motor
  const standard = frame === undefined ? undefined : frameSize(frame)?.shaftMm
  const diameter = shaftMm ?? standard
  if (grooves === undefined || diameter === undefined || stage.boreMm === undefined) return undefined
  const { output } = ledger.compute(
    pulleyBore,
    {
      keyWidthMm: named(`${id}.keyWidth`, `${name}: key of the motor’s shaft, width`, 'length'),
      hubMm: named(`${id}.keyway`, `${name}: keyway in the hub, over the bore`, 'length'),
      wallMm: named(`${id}.wall`, `${name}: iron left between keyway and groove`, 'length'),
    },
    {
      shaftMm:
        shaftMm === undefined ? choice(diameter, `Shaft of frame ${frame ?? ''}, mm`) : ledger.given('motor.shaftMm'),
      diameterMm: ledger.given(`${path}.driverMm`),
      section: choice(grooves, 'Grooves cut for'),
    },
  )
  return output && { shaftMm: diameter, ...output }
}
