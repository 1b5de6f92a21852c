import { drivetrainResonance, excitedFrequency, reduction, skipBand } from '../../drivetrain'
import { reflectedInertia } from '../../workholding'
import type { Knowing } from '../context'
import { numberOf } from '../figure'
import type { FigureId } from '../figureId'
import { named } from '../ledger'
import type { PositionFacts } from '../spindle/speedFacts'
import { ofPosition } from './trainFacts'
import type { MotorFacts } from '../motor/motorKnown'
import type { SpeedFacts } from '../spindle/speedFacts'
import type { StopFacts } from '../drive/stopFacts'

/** Where a position shakes: as it was found, or as twist and inertia make it likely. */
export interface ResonanceFacts {
  position: PositionFacts
  hz: number
  measured: boolean
  /** To be passed through without staying. */
  fromHz: number
  toHz: number
  figure: FigureId
}

/** Inertia felt at the motor on every position, and the hertz at which the train shakes where that is known. */
export const resonanceFacts = (
  context: Knowing<{ motor: MotorFacts; stop: StopFacts; speeds: SpeedFacts }>,
): ResonanceFacts[] =>
  context.speeds.positions.flatMap((facts): ResonanceFacts[] => {
    const { ledger, motor, stop } = context
    const { name, index, position, speedRatio } = facts
    if ((numberOf(speedRatio) ?? 0) === 0) return []
    ledger.derive(
      reflectedInertia,
      'inertiaKgM2',
      named(ofPosition(position, 'feltInertia'), `${name}: inertia felt at the motor`, 'inertia'),
      {
        inertiaKgM2: stop.load,
        ratio: ledger.derive(
          reduction,
          'reduction',
          named(ofPosition(position, 'reduction'), `${name}: motor turns for one of the spindle`, 'number'),
          { speedRatio },
        ),
      },
    )
    const { resonanceHz, stiffnessNmPerRad } = position
    if (resonanceHz !== undefined) {
      const figure = ledger.given(`survey.positions.${index}.resonanceHz`)
      return [{ position: facts, hz: resonanceHz, measured: true, ...skipBand(resonanceHz), figure: figure.id }]
    }
    if (stiffnessNmPerRad === undefined) return []
    const rotor = ledger.derive(
      reflectedInertia,
      'inertiaKgM2',
      named(ofPosition(position, 'rotorInertia'), `${name}: the rotor, felt at the spindle`, 'inertia'),
      { inertiaKgM2: ledger.given('motor.rotorKgM2'), ratio: speedRatio },
    )
    const swingsHz = ledger.derive(
      drivetrainResonance,
      'frequencyHz',
      named(ofPosition(position, 'swings'), `${name}: the train swings at`, 'frequency'),
      {
        stiffnessNmPerRad: ledger.given(`survey.positions.${index}.stiffnessNmPerRad`),
        inertiaMotorKgM2: rotor,
        inertiaLoadKgM2: stop.load,
      },
    )
    // Drive hertz at which the motor turns as often as the train swings: unbalance and a belt's splice then shake it.
    const excited = ledger.derive(
      excitedFrequency,
      'frequencyHz',
      named(ofPosition(position, 'excitedHz'), `${name}: shaken by the motor’s turning at`, 'frequency'),
      { swingsHz, poles: motor.poles },
    )
    const hz = numberOf(excited)
    return hz === undefined ? [] : [{ position: facts, hz, measured: false, ...skipBand(hz), figure: excited.id }]
  })
