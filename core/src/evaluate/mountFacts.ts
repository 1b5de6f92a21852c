import type { Library } from '../data/planningValues'
import { enclosureHeat, heatLoss } from '../drive'
import type { Plan } from '../plan'
import { isKnown, type Reading } from './figure'
import type { Ledger } from './ledger'
import type { MotorFacts } from './motorFacts'

export interface MountFacts {
  driveEfficiency: Reading
  lossW: Reading
  /** Taken from the bus at full load. */
  throughW: Reading
  /** How much hotter the inside of the box is, where the drive hangs in one. */
  riseK: Reading | undefined
  /** Air at the drive: inside its box, or the shop's. */
  airC: Reading
}

/** Where the drive hangs: what heat it gives off and what air it then has. */
export function mountFacts(plan: Plan, ledger: Ledger, library: Library, motor: MotorFacts): MountFacts {
  const { planning } = library
  const driveEfficiency = ledger.typical(
    { id: 'drive.efficiency', label: 'Drive efficiency', dimension: 'fraction' },
    planning.driveEfficiency.value,
    planning.driveEfficiency.source,
    'overrides.driveEfficiency',
  )
  const { lossW } = ledger.compute(
    heatLoss,
    { lossW: { id: 'mount.lossW', label: 'Heat of the drive at full load', dimension: 'power' } },
    {
      shaftW: ledger.given('motor.powerW'),
      motorEfficiency: motor.efficiency,
      driveEfficiency,
      standingW: ledger.typical(
        { id: 'drive.lossW', label: 'Standing loss of the drive', dimension: 'power' },
        planning.driveStandingLossW.value,
        planning.driveStandingLossW.source,
      ),
    },
  )
  const powerW = ledger.given('motor.powerW')
  const through = { id: 'drive.throughW', label: 'Taken by the motor at full load', dimension: 'power' as const }
  const throughW =
    isKnown(powerW) && isKnown(motor.efficiency)
      ? ledger.stated(
          through,
          powerW.value / motor.efficiency.value,
          'computed',
          [powerW, motor.efficiency],
          'Shaft power over the motor’s efficiency',
        )
      : ledger.block(through, [powerW, motor.efficiency])
  const own = ledger.given('mount.roomC', 'Hottest in the shop')
  const roomC = isKnown(own)
    ? own
    : ledger.typical(
        { id: 'mount.typicalRoomC', label: 'Hottest in the shop', dimension: 'temperature' },
        planning.roomC.value,
        planning.roomC.source,
      )
  if (plan.mount.place !== 'in-box') return { driveEfficiency, lossW, throughW, riseK: undefined, airC: roomC }
  const material = plan.mount.boxMaterial
  const { riseK, insideC } = ledger.compute(
    enclosureHeat,
    {
      riseK: { id: 'mount.riseK', label: 'Inside is hotter than the shop by', dimension: 'temperatureRise' },
      insideC: { id: 'mount.insideC', label: 'Air inside the box', dimension: 'temperature' },
    },
    {
      lossW,
      widthMm: ledger.given('mount.boxWidthMm'),
      heightMm: ledger.given('mount.boxHeightMm'),
      depthMm: ledger.given('mount.boxDepthMm'),
      material: material === undefined ? undefined : { raw: material, shown: material, label: 'Box of' },
      roomC,
    },
  )
  return { driveEfficiency, lossW, throughW, riseK, airC: insideC }
}
