import { plateOf } from '../data/leadConnections'
import type { Facts } from '../evaluate/facts'
import { numberOf } from '../evaluate/figure'
import { set } from '../plan'
import { amps, hertz, newtonMetres, percent, sameNominal, say, volts } from '../quantities'
import { judgement, type Remedy, type Verdict } from './finding'
import { relinks } from './relink'

/** Flux over which a motor overheats, over and under which it is watched. */
const BURNS = 1.1
const WARM = 1.05
const WEAK = 0.9

const OTHER_HALF = say`Base hertz belong to the other half of the world`

/** One of the two is a 50 Hz figure and the other a 60 Hz one. */
const otherHalf = (aHz: number, bHz: number): boolean => Math.min(aHz, bHz) === 50 && Math.max(aHz, bHz) === 60

function fluxVerdict(facts: Facts): Verdict | undefined {
  const { motor, settings, speeds } = facts
  const k = numberOf(speeds.fluxFraction)
  const [plateV, setV, baseHz, plateHz] = [
    motor.plateVoltageV,
    speeds.setVoltageV,
    settings.baseFrequencyHz,
    motor.frequencyHz,
  ].map(numberOf)
  if (
    motor.suitable === false ||
    k === undefined ||
    plateV === undefined ||
    setV === undefined ||
    baseHz === undefined ||
    plateHz === undefined
  )
    return undefined
  if (sameNominal(plateV, setV) && Math.abs(baseHz - plateHz) < 0.5) return undefined
  const figures = ['motor.fluxFraction', 'drive.setVoltageV', 'motor.plateVoltageV']
  const relink = relinks(facts)
  if (k > WARM) {
    const hot = k > BURNS
    const tooManyVolts = setV > plateV && !sameNominal(setV, plateV)
    const title = tooManyVolts
      ? say`The drive gives more volts than these links may have`
      : say`Too many volts for the hertz`
    return {
      severity: hot ? 'stop' : 'watch',
      about: 'over',
      title: otherHalf(baseHz, plateHz) ? OTHER_HALF : title,
      says: say`${volts(setV)} at ${hertz(baseHz)} against the plate’s ${volts(plateV)} at ${hertz(plateHz)}: ${percent(k)} of the flux it was built for.`,
      why: 'The iron saturates, the amps rise without any load and the winding burns.',
      remedies: [
        ...relink,
        ...(tooManyVolts
          ? [
              {
                label: say`Set motor volts to ${volts(plateV)}`,
                patch: [set('settings.chosen.ratedVoltageV', plateV), set('settings.inDrive.ratedVoltageV', undefined)],
              },
            ]
          : []),
        ...(Math.abs(baseHz - plateHz) >= 0.5
          ? [
              {
                label: say`Set base to the plate’s ${hertz(plateHz)}`,
                patch: [
                  set('settings.chosen.baseFrequencyHz', undefined),
                  set('settings.inDrive.baseFrequencyHz', undefined),
                ],
              },
            ]
          : []),
      ],
      figures,
      path: tooManyVolts ? 'motor.connection' : 'settings.chosen.baseFrequencyHz',
    }
  }
  if (k >= WEAK) return undefined
  const torque = numberOf(motor.torqueNm)
  const lowBase = (plateHz * setV) / plateV
  const { plate, starOver } =
    motor.connection === undefined ? { plate: 'low', starOver: false } : plateOf(motor.connection)
  const link = plate === 'high' || starOver
  const inStar = motor.connection === 'star' || starOver
  return {
    severity: 'watch',
    about: 'under',
    title: otherHalf(baseHz, plateHz)
      ? OTHER_HALF
      : link && relink.length > 0
        ? say`Links are in ${inStar ? 'star' : 'series'}: torque is lost`
        : say`Too few volts for the hertz: torque is lost`,
    says: say`The drive gives ${volts(setV)} at ${hertz(baseHz)}; linked so the motor wants ${volts(plateV)} at ${hertz(plateHz)}. Flux ${percent(k)}, pull-out torque ${percent(k * k)}${torque === undefined ? '' : say`: about ${newtonMetres(torque * k * k)} where ${newtonMetres(torque)} should be`}.`,
    why: 'It runs, sounds right and has no pull; pushed, it draws more amps than the winding may carry.',
    remedies: [
      ...relink,
      ...(Math.abs(baseHz - plateHz) < 0.5
        ? [
            {
              label: say`Set base to ${hertz(Math.round(lowBase))}: full torque up to there`,
              patch: [
                set('settings.chosen.baseFrequencyHz', Math.round(lowBase)),
                set('settings.inDrive.baseFrequencyHz', undefined),
              ],
            },
          ]
        : [
            {
              label: say`Set base to the plate’s ${hertz(plateHz)}`,
              patch: [
                set('settings.chosen.baseFrequencyHz', undefined),
                set('settings.inDrive.baseFrequencyHz', undefined),
              ],
            },
          ]),
    ],
    figures,
    path: 'motor.connection',
  }
}

/** Over this share of the plate's amps an overload setting no longer protects. */
const OVER = 1.02
const UNDER = 0.85

function overloadVerdict(facts: Facts): Verdict | undefined {
  const { plan, motor, settings } = facts
  const plateA = numberOf(motor.plateCurrentA)
  const held = numberOf(settings.overloadA)
  if (motor.suitable === false || plateA === undefined || held === undefined) return undefined
  const { inDrive, state } = plan.settings
  const enter: Remedy = {
    label: say`Enter ${amps(plateA)}`,
    patch: [set('settings.chosen.overloadA', undefined), set('settings.inDrive.overloadA', plateA)],
  }
  const common = {
    remedies: [enter],
    figures: ['settings.overloadA', 'motor.plateCurrentA'],
    path: 'settings.inDrive.overloadA',
  }
  const driveA = plan.drive.ratedOutputA
  if (inDrive.overloadA === undefined && plan.settings.chosen.overloadA === undefined) {
    const untouched = state === 'as-arrived' || state === 'reset' || state === 'second-hand'
    if (!untouched || driveA === undefined || driveA <= plateA * OVER) return undefined
    return {
      severity: 'stop',
      about: 'as-arrived',
      title: say`The drive protects itself, not this motor`,
      says: say`Until it is set, the overload stands at ${state === 'second-hand' ? 'whatever the last owner typed' : say`the drive’s own ${amps(driveA)}`}; the motor’s plate is ${amps(plateA)}.`,
      why: 'A stalled or overworked motor burns before the drive trips.',
      ...common,
    }
  }
  const { lowVoltageA, highVoltageV } = plan.motor
  const deltaAmps =
    highVoltageV !== undefined &&
    motor.connection !== undefined &&
    plateOf(motor.connection).plate === 'high' &&
    lowVoltageA !== undefined &&
    held >= lowVoltageA * 0.95
  const serviceA = numberOf(motor.serviceFactorA)
  if (held > plateA * OVER) {
    const withinService = serviceA !== undefined && held <= serviceA * 1.005
    return {
      severity: withinService ? 'watch' : 'stop',
      about: deltaAmps ? 'other-links' : 'over',
      title: deltaAmps
        ? say`Overload left at the amps of the other links`
        : withinService
          ? say`Overload at the service-factor amps`
          : say`Overload above the motor’s plate`,
      says: say`It is set to ${amps(held)}; the plate allows ${amps(plateA)} for these links${deltaAmps ? say`. The windings could carry ${percent(held / plateA)} of their amps` : ''}${serviceA === undefined ? '' : say`, and never more than ${amps(serviceA)}`}.`,
      why: withinService
        ? 'On a drive the service factor counts as 1.0; at its edge there is nothing in hand.'
        : 'The overload is all that stands between a stall and a burnt winding.',
      ...common,
      remedies: [...(deltaAmps ? relinks(facts) : []), enter],
    }
  }
  if (held < plateA * UNDER)
    return {
      severity: 'note',
      about: 'under',
      title: say`Overload under the plate`,
      says: say`It is set to ${amps(held)}; the plate allows ${amps(plateA)}.`,
      why: 'It is safe, and it trips in heavy cuts the motor could take.',
      ...common,
    }
  return undefined
}

/** Volts, hertz and overload against the links in use. */
export const motorFluxFindings = [
  judgement('motor.flux', 'motor', 'motor', fluxVerdict),
  judgement('motor.overload', 'settings', 'motor', overloadVerdict),
]
