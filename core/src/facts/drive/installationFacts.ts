import { enclosureHeat, heatLoss } from '../../drive'
import { inputPower } from '../../motor'
import type { Knowing } from '../context'
import type { FigureState } from '../figure'
import { choice, named } from '../ledger'
import type { MotorFacts } from '../motor/motorFacts'

export interface InstallationFacts {
  driveEfficiency: FigureState
  lossW: FigureState
  /** Taken from the bus at full load. */
  throughW: FigureState
  /** How much hotter the inside of the box is, where the drive hangs in one. */
  riseK: FigureState | undefined
  /** Air at the drive: inside its box, or the shop's. */
  airC: FigureState
}

/** Where the drive hangs: what heat it gives off and what air it then has. */
export function installationFacts({ plan, ledger, tables, motor }: Knowing<{ motor: MotorFacts }>): InstallationFacts {
  const { planning } = tables
  const driveEfficiency = ledger.typical(
    named('drive.efficiency', 'Drive efficiency', 'fraction'),
    planning.driveEfficiency.value,
    planning.driveEfficiency.citation,
    'overrides.driveEfficiency',
  )
  const powerW = ledger.given('motor.powerW')
  const lossW = ledger.derive(
    heatLoss,
    'lossW',
    named('installation.lossW', 'Heat of the drive at full load', 'power'),
    {
      shaftW: powerW,
      motorEfficiency: motor.efficiency,
      driveEfficiency,
      standingW: ledger.typical(
        named('drive.lossW', 'Standing loss of the drive', 'power'),
        planning.driveStandingLossW.value,
        planning.driveStandingLossW.citation,
      ),
    },
  )
  const throughW = ledger.derive(
    inputPower,
    'inputW',
    named('drive.throughW', 'Taken by the motor at full load', 'power'),
    { powerW, efficiency: motor.efficiency },
  )
  const roomC = ledger.givenOr(
    'installation.roomC',
    () =>
      ledger.typical(
        named('installation.typicalRoomC', 'Hottest in the shop', 'temperature'),
        planning.roomC.value,
        planning.roomC.citation,
      ),
    'Hottest in the shop',
  )
  if (plan.installation.place !== 'in-box') return { driveEfficiency, lossW, throughW, riseK: undefined, airC: roomC }
  const material = plan.installation.boxMaterial
  const { riseK, insideC } = ledger.compute(
    enclosureHeat,
    {
      riseK: named('installation.riseK', 'Inside is hotter than the shop by', 'temperatureRise'),
      insideC: named('installation.insideC', 'Air inside the box', 'temperature'),
    },
    {
      lossW,
      widthMm: ledger.given('installation.boxWidthMm'),
      heightMm: ledger.given('installation.boxHeightMm'),
      depthMm: ledger.given('installation.boxDepthMm'),
      material: material === undefined ? undefined : choice(material, 'Box of'),
      roomC,
    },
  )
  return { driveEfficiency, lossW, throughW, riseK, airC: insideC }
}
