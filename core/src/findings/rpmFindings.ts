import { heartOf, set } from '../plan'
import { message, rpm } from '../quantities'
import { doesNotApply, good, isUnjudged, lacks, need } from './answer'
import { judgement } from './finding'

/** What is asked of speeds that are set in rpm of the motor. */
export const rpmFindings = [
  judgement(
    {
      id: 'speeds.least-over-most',
      asks: 'Least speed against most',
      stage: 'speeds',
      chainLink: 'spindle',
      by: 'first-spin',
    },
    ({ plan, settings }) => {
      if (heartOf(plan) === 'inverter') return doesNotApply('Its speeds are set in hertz')
      const { leastSpeedRpm, mostSpeedRpm } = settings
      if (!leastSpeedRpm || !mostSpeedRpm) return lacks('motor.ratedSpeedRpm')
      const known = need(leastSpeedRpm, mostSpeedRpm)
      if (isUnjudged(known)) return known
      const [least, most] = known
      return least < most
        ? good(message`${rpm(least)} to ${rpm(most)} of the motor.`)
        : {
            severity: 'stop',
            title: message`The least speed is not under the most`,
            says: message`${rpm(least)} to ${rpm(most)}.`,
            why: 'The knob does nothing, or works backwards.',
            path: 'settings.chosen.leastSpeedRpm',
          }
    },
  ),
  judgement(
    {
      id: 'speeds.over-plate',
      asks: 'Most speed against the motor',
      stage: 'speeds',
      chainLink: 'motor',
      by: 'first-spin',
      danger: true,
    },
    ({ plan, settings, motor: { safeRpm } }) => {
      if (heartOf(plan) === 'inverter') return doesNotApply('Its speeds are set in hertz')
      const { mostSpeedRpm } = settings
      if (!mostSpeedRpm) return lacks('motor.ratedSpeedRpm')
      const known = need(mostSpeedRpm, safeRpm)
      if (isUnjudged(known)) return known
      const [most, safe] = known
      const to = Math.floor(safe)
      return most <= safe * 1.02
        ? good(message`${rpm(most)}, of ${rpm(safe)} on its plate.`, { figures: [safeRpm.id] })
        : {
            severity: 'stop',
            title: message`Faster than the motor’s plate`,
            says: message`${rpm(most)} are set; its plate ends at ${rpm(safe)}.`,
            why: 'Windings, bands and magnets are held by their plate’s speed, and burst over it.',
            remedies: [
              {
                label: message`Set most speed to ${rpm(to)}`,
                patch: [set('settings.chosen.mostSpeedRpm', to), set('settings.inDrive.mostSpeedRpm', undefined)],
              },
            ],
            figures: [safeRpm.id],
            path:
              plan.settings.inDrive.mostSpeedRpm === undefined
                ? 'settings.chosen.mostSpeedRpm'
                : 'settings.inDrive.mostSpeedRpm',
          }
    },
  ),
]
