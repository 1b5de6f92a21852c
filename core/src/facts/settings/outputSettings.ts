import { shaftFanCurve } from '../../data/shaftFanCurve'
import { amount, message, percent } from '../../quantities'
import { numberOf } from '../figure'
import { awaits, decided, followed, leave } from './derived'
import type { FurtherInputs } from './furtherInputs'
import type { Derived } from './settingLine'

/** Under this share of rated torque the motor’s own fan no longer does. */
const FAN_ENOUGH = 0.95
/** The blower goes off this much above where it comes on, of base hertz. */
const HYSTERESIS = 0.1

/** Share of base hertz at which the fan on the shaft still carries a share of rated torque, by the one curve. */
function fanShare(torque: number): number {
  const { points } = shaftFanCurve
  for (const [i, to] of points.entries()) {
    const from = points[i - 1]
    if (from === undefined || to.torqueFraction < torque) continue
    const part = (torque - from.torqueFraction) / (to.torqueFraction - from.torqueFraction)
    return from.frequencyFraction + part * (to.frequencyFraction - from.frequencyFraction)
  }
  return 1
}

const doesBlower = ({ plan }: FurtherInputs): boolean => plan.wiring.relayDoes === 'blower'

const blowerHz = (facts: FurtherInputs): number | undefined => {
  const base = numberOf(facts.motor.frequencyHz)
  return base === undefined ? undefined : fanShare(FAN_ENOUGH) * base
}

/** What the drive’s contact tells or switches. */
export const outputSettings = {
  relayTask: ({ plan }: FurtherInputs): Derived => {
    const { relayDoes } = plan.wiring
    switch (relayDoes) {
      case 'lamp':
        return decided('running', 'A lamp shows RUN.')
      case 'coolant':
        return decided('running', 'The pump runs with the spindle.')
      case 'blower':
        return decided('below-hertz', 'The blower is wanted where the motor’s own fan is too slow.')
      case 'brake':
        return decided('brake', 'It frees the brake before it turns.')
      default:
        if (plan.controls.runLamp === true) return decided('running', 'A lamp shows RUN.')
        return leave('Nothing hangs on it.')
    }
  },
  relayHz: (facts: FurtherInputs): Derived => {
    if (!doesBlower(facts)) return leave('No threshold is wanted.')
    const hz = blowerHz(facts)
    return hz === undefined
      ? awaits('motor.ratedFrequencyHz', 'Hertz')
      : followed(
          Math.round(hz * 10) / 10,
          message`Below it the fan on the shaft carries less than ${percent(FAN_ENOUGH)} of rated torque, by the typical curve.`,
          facts.motor.frequencyHz,
        )
  },
  relayBackHz: (facts: FurtherInputs): Derived => {
    if (!doesBlower(facts)) return leave('No threshold is wanted.')
    const [hz, base] = [blowerHz(facts), numberOf(facts.motor.frequencyHz)]
    return hz === undefined || base === undefined
      ? awaits('motor.ratedFrequencyHz', 'Hertz')
      : followed(
          Math.round((hz + HYSTERESIS * base) * 10) / 10,
          message`${amount('frequency', Math.round(HYSTERESIS * base * 10) / 10)} above the other, or the contact chatters.`,
          facts.motor.frequencyHz,
        )
  },
}
