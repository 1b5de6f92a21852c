import { doesNotApply, ended, good, isUnjudged, lacks, need, waitsFor } from './answer'
import { planningValues } from '../data/planningValues'
import { numberOf } from '../facts/figure'
import { constantPowerHz, hertzAtRpm, staysAtPlate, torqueCapability } from '../motor'
import { set } from '../plan'
import { hertz, newtonMetres, percent, rpm, message } from '../quantities'
import { Refusal } from '../rules/rule'
import { judgement, type Remedy } from './finding'
import { highestHertz } from './hertzPatch'
import { lackOfTorque } from './lackOfTorque'

/** Times base to which constant power is planned at the most. */
const LASTS = planningValues.topHertzRatio.value

/** How fast and how slow the motor itself may be asked to turn. */
export const motorSpeedFindings = [
  judgement(
    {
      id: 'motor.over-safe-speed',
      asks: 'Motor’s speed against what it stands',
      stage: 'speeds',
      chainLink: 'motor',
      by: 'on-machine',
      danger: true,
    },
    ({ plan, motor, settings, speeds }) => {
      const [maxHz, plateHz] = [numberOf(settings.maximumHz), numberOf(motor.frequencyHz)]
      // A plate that prints its loaded speed is always a slip below synchronous; mains hertz is safe by definition.
      if (maxHz !== undefined && plateHz !== undefined && maxHz <= plateHz)
        return good(message`${hertz(maxHz)}, not above its plate.`)
      if (
        plan.motor.kind === 'high-frequency' &&
        plan.motor.maximumRpm === undefined &&
        maxHz !== undefined &&
        plateHz !== undefined
      )
        return {
          severity: 'stop',
          about: 'high-frequency',
          title: message`A high-frequency motor above its plate`,
          says: message`It is asked for ${hertz(maxHz)}; its plate says ${hertz(plateHz)}, and no higher speed.`,
          why: 'Its rotor and bearings turn at the edge of what they stand. Past the plate they fail, and at such speeds in pieces.',
          remedies: [
            { label: message`Lower the highest hertz to ${hertz(plateHz)}`, patch: highestHertz(plan, plateHz) },
          ],
          path: 'settings.chosen.maximumHz',
        }
      const known = need(motor.safeRpm, speeds.topMotorRpm, motor.poles)
      if (isUnjudged(known)) return known
      const [safe, top, poles] = known
      if (top <= safe * 1.001)
        return good(message`${rpm(top)} at the highest hertz; it is safe to ${rpm(safe)}.`, {
          figures: ['motor.safeRpm', 'motor.topRpm'],
        })
      const safeHz = Math.floor(hertzAtRpm(safe, poles))
      return {
        severity: 'stop',
        title: message`The motor is asked to turn faster than it is safe`,
        says: message`${hertz(maxHz ?? 0)} turns it at ${rpm(top)}; a ${poles}-pole motor ${plan.motor.frame === undefined ? 'whose frame was not read' : `of frame ${plan.motor.frame}`} is safe to ${rpm(safe)}.`,
        why: 'Bearings, fan and rotor are built for a highest speed. Past it they fail, and the fan first.',
        remedies: [
          {
            label: message`Lower the highest hertz to ${hertz(Math.max(safeHz, plateHz ?? 0))}`,
            patch: highestHertz(plan, Math.max(safeHz, plateHz ?? 0)),
          },
        ],
        figures: ['motor.safeRpm', 'motor.topRpm'],
        path: 'settings.chosen.maximumHz',
      }
    },
  ),

  judgement(
    {
      id: 'motor.two-pole-over-plate',
      asks: 'Two-pole motor above its plate',
      stage: 'speeds',
      chainLink: 'motor',
      by: 'on-machine',
    },
    ({ plan, motor, settings }) => {
      const known = need(settings.maximumHz, motor.frequencyHz, motor.poles)
      if (isUnjudged(known)) return known
      const [maxHz, plateHz, poles] = known
      if (poles !== 2) return doesNotApply('It has more than two poles')
      if (maxHz <= plateHz * 1.02) return good(message`${hertz(maxHz)}, not above its plate.`)
      return {
        severity: 'watch',
        title: message`A two-pole motor above its plate`,
        says: message`It is asked for ${hertz(maxHz)}; its plate says ${hertz(plateHz)}.`,
        why: 'It already turns fast at mains hertz: fan noise, bearing life and a weak pull-out are reasons why many never take a two-pole motor further.',
        remedies: [
          { label: message`Lower the highest hertz to ${hertz(plateHz)}`, patch: highestHertz(plan, plateHz) },
        ],
        figures: ['motor.topRpm'],
        path: 'settings.chosen.maximumHz',
      }
    },
  ),

  judgement(
    {
      id: 'motor.past-pull-out',
      asks: 'Pull at the highest hertz',
      stage: 'speeds',
      chainLink: 'motor',
      by: 'on-machine',
    },
    (facts) => {
      const { plan, torque } = facts
      if (torque?.inputs.of !== 'induction') return lackOfTorque(facts)
      const { baseHz, highestHz, plateHz, ratedTorqueNm, flux, breakdownRatio, poles } = torque.inputs
      const field = { baseFrequencyHz: baseHz, fluxFraction: flux, breakdownRatio }
      const lasts = constantPowerHz({ ...field, timesBase: LASTS })
      if (highestHz <= lasts * 1.02)
        return good(message`${hertz(highestHz)}; constant power lasts to about ${hertz(lasts)}.`)
      if (staysAtPlate(poles, plateHz)) return doesNotApply('It is not planned above its plate')
      // Of the motor alone, its cooling apart: a blower's.
      const top = torqueCapability.compute({
        ...field,
        frequencyHz: highestHz,
        ratedFrequencyHz: plateHz,
        ratedTorqueNm,
        cooling: 'blower',
      })
      if (top instanceof Refusal) return ended('The rule refuses this plate')
      const allDayNm = top.continuousNm ?? 0
      const power = (allDayNm * highestHz) / (ratedTorqueNm * plateHz)
      return {
        severity: 'watch',
        title: message`The motor has little left at the highest hertz`,
        says: message`At ${hertz(highestHz)} it holds ${newtonMetres(allDayNm)} of ${newtonMetres(ratedTorqueNm)}, ${percent(power)} of its power, and stalls at ${newtonMetres(top.peakNm)}; constant power lasts to about ${hertz(lasts)}.`,
        why: 'Above base the field weakens: torque falls, and pull-out with its square. It is no harm, only less than it looks.',
        remedies: [
          {
            label: message`Lower the highest hertz to ${hertz(Math.floor(lasts))}`,
            patch: highestHertz(plan, Math.floor(lasts)),
          },
        ],
        path: 'settings.chosen.maximumHz',
      }
    },
  ),

  judgement(
    {
      id: 'motor.hot-at-low-hertz',
      asks: 'Cooling at the lowest hertz',
      stage: 'speeds',
      chainLink: 'motor',
      by: 'on-machine',
      danger: true,
    },
    ({ plan, motor, settings, speeds }) => {
      const { cooling } = plan.motor
      if (cooling === undefined) return lacks('motor.cooling')
      if (cooling !== 'shaft-fan') return doesNotApply('It is not cooled by a fan on its shaft')
      const known = need(settings.minimumHz, motor.frequencyHz)
      if (isUnjudged(known)) return known
      const [low, base] = known
      const ratio = plan.motor.inverterDutyRatio
      if (ratio !== undefined && low >= base / ratio)
        return good(message`${hertz(low)} lies in the constant-torque range of its plate.`)
      const floor = ratio !== undefined ? base / ratio : base / 10
      const remedies: Remedy[] = [
        {
          label: message`Raise the lowest hertz to ${hertz(Math.ceil(floor))}`,
          patch: [set('settings.chosen.minimumHz', Math.ceil(floor)), set('settings.inDrive.minimumHz', undefined)],
        },
        { label: message`Fit a blower`, patch: [set('motor.cooling', 'blower')] },
      ]
      if (low < floor)
        return {
          severity: 'watch',
          title: message`Too slow for the fan on the shaft`,
          says: message`At ${hertz(low)} its own fan hardly turns: under ${hertz(floor)} no continuous torque can be planned on.`,
          why: 'The motor cooks at low speed under load, slowly and without a trip: the overload counts amps, not the missing air.',
          remedies,
          figures: ['motor.lowTorqueFraction'],
          path: 'settings.chosen.minimumHz',
        }
      const share = numberOf(speeds.lowTorqueFraction)
      if (share === undefined) return waitsFor(speeds.lowTorqueFraction)
      if (share >= 0.75)
        return good(message`At ${hertz(low)} it holds ${percent(share)} of its torque all day.`, {
          figures: ['motor.lowTorqueFraction'],
        })
      return {
        severity: 'note',
        title: message`Short cuts only at the slow end`,
        says: message`At ${hertz(low)} the shaft fan lets it hold ${percent(share)} of its torque all day; more for minutes.`,
        why: 'Feel the motor after a long slow job. A blower of its own widens this.',
        remedies: remedies.slice(1),
        figures: ['motor.lowTorqueFraction'],
        path: 'settings.chosen.minimumHz',
      }
    },
  ),

  judgement(
    {
      id: 'motor.liquid-flow',
      asks: 'Flow of the cooling liquid',
      stage: 'motor',
      chainLink: 'motor',
      by: 'first-spin',
      danger: true,
    },
    ({ plan }) => {
      const { cooling } = plan.motor
      if (cooling === undefined) return lacks('motor.cooling')
      if (cooling !== 'liquid-or-none') return doesNotApply('Air cools it')
      switch (plan.installation.flowInterlock) {
        case undefined:
          return lacks('installation.flowInterlock')
        case 'no-liquid':
          return doesNotApply('No liquid cools it')
        case 'stops-it':
          return good(message`A flow switch stops it.`)
        case 'none':
          return {
            severity: 'stop',
            title: message`Nothing stops the spindle when its liquid does`,
            says: message`A hose off, a pump left out, a frozen line: it runs on without cooling.`,
            why: 'Its winding and bearings are gone in minutes, and the drive’s overload, which counts amps, does not see it.',
            remedies: [
              {
                label: message`Wire a flow switch that stops it`,
                patch: [set('installation.flowInterlock', 'stops-it')],
              },
            ],
            path: 'installation.flowInterlock',
          }
      }
    },
  ),

  judgement(
    {
      id: 'motor.spindle-lowest',
      asks: 'Lowest hertz of a spindle motor',
      stage: 'speeds',
      chainLink: 'motor',
      by: 'first-spin',
    },
    ({ plan, motor, settings, tables }) => {
      if (plan.motor.kind !== 'high-frequency') return doesNotApply('It is no motor for hundreds of hertz')
      if (plan.highFrequency.leastRpm !== undefined) return doesNotApply('Its maker’s slowest is known, and rules')
      const known = need(settings.minimumHz, motor.frequencyHz)
      if (isUnjudged(known)) return known
      const [low, plateHz] = known
      const least = Math.ceil(plateHz * tables.planning.lowestHertzHighFrequency.value)
      if (low >= least * 0.99) return good(message`${hertz(low)}; a quarter of its plate is ${hertz(least)}.`)
      return {
        severity: 'watch',
        title: message`Slower than a spindle motor likes`,
        says: message`The plan goes down to ${hertz(low)}; under ${hertz(least)}, a quarter of its plate, it has little torque and its bearings little oil, by a planning value.`,
        why: 'It draws its amps and gives no torque: it stalls in the cut and heats. Its maker’s lowest rules.',
        remedies: [
          {
            label: message`Raise the lowest hertz to ${hertz(least)}`,
            patch: [set('settings.chosen.minimumHz', least), set('settings.inDrive.minimumHz', undefined)],
          },
        ],
        path: 'settings.chosen.minimumHz',
      }
    },
  ),
]
