import { drivetrainResonance, skipBand } from '../drivetrain'
import { reflectedInertia } from '../workholding'
import { numberOf, type Reading } from './figure'
import type { Ledger } from './ledger'
import type { MotorFacts } from './motorFacts'
import type { PositionFacts } from './speedFacts'

/** Where a position shakes: as it was found, or as twist and inertia make it likely. */
export interface ShakeFacts {
  position: PositionFacts
  hz: number
  measured: boolean
  /** To be passed through without staying. */
  fromHz: number
  toHz: number
  figure: string
}

/** Inertia felt at the motor on every position, and the hertz at which the train shakes where that is known. */
export function shakeFacts(
  ledger: Ledger,
  motor: MotorFacts,
  inertia: Reading,
  positions: readonly PositionFacts[],
): ShakeFacts[] {
  return positions.flatMap((position): ShakeFacts[] => {
    const id = `position.${position.position.id}`
    const ratio = numberOf(position.speedRatio)
    if (ratio === undefined || ratio === 0) return []
    const { name } = position
    const reduction = ledger.stated(
      { id: `${id}.reduction`, label: `${name}: motor turns for one of the spindle`, dimension: 'number' },
      1 / ratio,
      'computed',
      [position.speedRatio],
    )
    ledger.compute(
      reflectedInertia,
      {
        inertiaKgM2: { id: `${id}.feltInertia`, label: `${name}: inertia felt at the motor`, dimension: 'inertia' },
      },
      { inertiaKgM2: inertia, ratio: reduction },
    )
    const { shakesHz, stiffnessNmPerRad } = position.position
    const path = `survey.positions.${position.index}`
    if (shakesHz !== undefined) {
      const figure = ledger.given(`${path}.shakesHz`)
      return [{ position, hz: shakesHz, measured: true, ...skipBand(shakesHz), figure: figure.id }]
    }
    if (stiffnessNmPerRad === undefined) return []
    const rotor = ledger.compute(
      reflectedInertia,
      {
        inertiaKgM2: {
          id: `${id}.rotorInertia`,
          label: `${name}: the rotor, felt at the spindle`,
          dimension: 'inertia',
        },
      },
      { inertiaKgM2: ledger.given('motor.rotorKgM2'), ratio: position.speedRatio },
    ).inertiaKgM2
    const { frequencyHz } = ledger.compute(
      drivetrainResonance,
      { frequencyHz: { id: `${id}.swings`, label: `${name}: the train swings at`, dimension: 'frequency' } },
      {
        stiffnessNmPerRad: ledger.given(`${path}.stiffnessNmPerRad`),
        inertiaMotorKgM2: rotor,
        inertiaLoadKgM2: inertia,
      },
    )
    const hz = shakenAt(ledger, motor, frequencyHz, { id: `${id}.shakenHz`, name })
    return hz === undefined ? [] : [{ position, hz, measured: false, ...skipBand(hz), figure: `${id}.shakenHz` }]
  })
}

/** Drive hertz at which the motor turns as often as the train swings: unbalance and a belt's splice then shake it. */
function shakenAt(
  ledger: Ledger,
  motor: MotorFacts,
  swings: Reading,
  { id, name }: { id: string; name: string },
): number | undefined {
  const naming = { id, label: `${name}: shaken by the motor’s turning at`, dimension: 'frequency' as const }
  const [often, poles] = [numberOf(swings), numberOf(motor.poles)]
  if (often === undefined || poles === undefined) {
    ledger.block(naming, [swings, motor.poles])
    return undefined
  }
  return ledger.stated(naming, (often * poles) / 2, 'computed', [swings, motor.poles], 'One swing a turn of the motor')
    .value
}
