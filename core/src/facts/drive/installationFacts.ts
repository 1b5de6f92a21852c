import { enclosureHeat, filterFan, heatLoss } from '../../drive'
import { inputPower } from '../../motor'
import type { Knowing } from '../context'
import { isKnown, type FigureState } from '../figure'
import { choice, named, type Ledger } from '../ledger'
import type { MotorFacts } from '../motor/motorKnown'

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

const boxNames = {
  riseK: named('installation.riseK', 'Inside is hotter than the shop by', 'temperatureRise'),
  insideC: named('installation.insideC', 'Air inside the box', 'temperature'),
}

/** Share of the heat at full load that a box sees in the long run, by how long the machine works. */
const DUTY = { 'all-day': 1, half: 0.6, seldom: 0.35 } as const

/** The heat that warms a box: that of full load, or what its duty leaves of it. */
function inBox(duty: keyof typeof DUTY | undefined, ledger: Ledger, lossW: FigureState): FigureState {
  if (duty === undefined || duty === 'all-day' || !isKnown(lossW)) return lossW
  return ledger.stated(
    named('installation.boxW', 'Heat in the box in the long run', 'heat'),
    lossW.value * DUTY[duty],
    'typical',
    [lossW],
    'Planning value: six tenths of full load where it works half of the time, a third now and then',
  )
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
    named('installation.lossW', 'Heat of the drive at full load', 'heat'),
    {
      shaftW: powerW,
      motorEfficiency: motor.efficiency,
      driveEfficiency,
      standingW: ledger.typical(
        named('drive.lossW', 'Standing loss of the drive', 'heat'),
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
  const boxW = inBox(plan.installation.boxDuty, ledger, lossW)
  if (plan.installation.filterFanM3PerH !== undefined) {
    const fanned = ledger.compute(filterFan, boxNames, {
      lossW: boxW,
      airflowM3PerH: ledger.given('installation.filterFanM3PerH'),
      roomC,
    })
    return { driveEfficiency, lossW, throughW, riseK: fanned.riseK, airC: fanned.insideC }
  }
  const material = plan.installation.boxMaterial
  const { riseK, insideC } = ledger.compute(enclosureHeat, boxNames, {
    lossW: boxW,
    widthMm: ledger.given('installation.boxWidthMm'),
    heightMm: ledger.given('installation.boxHeightMm'),
    depthMm: ledger.given('installation.boxDepthMm'),
    material: material === undefined ? undefined : choice(material, 'Box of'),
    roomC,
  })
  return { driveEfficiency, lossW, throughW, riseK, airC: insideC }
}
