import { fluxLimits } from '../data/fluxLimits'
import { DOUBLER_MOST_V } from '../data/doubler'
import { plateOf } from '../motor/leadConnections'
import type { Facts } from '../facts/facts'
import { doesNotApply, good, isUnjudged, lacks, need, typed, waitsFor } from './answer'
import { numberOf } from '../facts/figure'
import type { FigureId } from '../facts/figureId'
import { set } from '../plan'
import { amps, hertz, newtonMetres, percent, printNumber, sameNominal, message, volts } from '../quantities'
import { findingId, judgement, type Answer, type Remedy, type Verdict } from './finding'
import { relinks } from './relink'

/** Bases this near are the plate's own. */
const SAME_BASE = 0.1

const OTHER_HALF = message`Base hertz belong to the other half of the world`

/** A base at which these volts are what the links may have: the plate's own where the volts are, else in proportion. */
function rebase({ plan }: Facts, plateHz: number, rightHz: number): Remedy[] {
  const toPlate = Math.abs(rightHz / plateHz - 1) < SAME_BASE
  const hz = Math.round(rightHz)
  const inDrive =
    plan.settings.inDrive.baseFrequencyHz === undefined ? [] : [set('settings.inDrive.baseFrequencyHz', undefined)]
  return [
    {
      label: toPlate
        ? message`Set base to the plate’s ${hertz(plateHz)}`
        : message`Set base to ${hertz(hz)}, where these volts belong`,
      patch: [set('settings.chosen.baseFrequencyHz', toPlate ? undefined : hz), ...inDrive],
    },
  ]
}

/** Nothing on the motor's side helps a doubler on too many volts. */
const burstDoubler = ({ plan, supply }: Facts): boolean =>
  plan.drive.doubler === true && (numberOf(supply.feedV) ?? 0) > DOUBLER_MOST_V

/** One of the two is a 50 Hz figure and the other a 60 Hz one. */
const otherHalf = (aHz: number, bHz: number): boolean => Math.min(aHz, bHz) === 50 && Math.max(aHz, bHz) === 60

function fluxVerdict(facts: Facts): Answer {
  const { motor, settings, speeds } = facts
  if (motor.suitable === false) return doesNotApply('A drive cannot run this motor as it is')
  const known = need(
    speeds.fluxFraction,
    motor.plateVoltageV,
    speeds.setVoltageV,
    settings.baseFrequencyHz,
    motor.frequencyHz,
  )
  if (isUnjudged(known)) return known
  const [k, plateV, setV, baseHz, plateHz] = known
  const sound = good(
    message`${volts(setV)} at ${hertz(baseHz)} against the plate’s ${volts(plateV)} at ${hertz(plateHz)}: ${percent(k)} of its flux.`,
    { figures: ['motor.fluxFraction'] },
  )
  if (sameNominal(plateV, setV) && Math.abs(baseHz - plateHz) < 0.5) return sound
  const figures: FigureId[] = ['motor.fluxFraction', 'drive.setVoltageV', 'motor.plateVoltageV']
  const relink = relinks(facts)
  if (k > fluxLimits.warm) {
    const hot = k > fluxLimits.burns
    const tooManyVolts = setV > plateV && !sameNominal(setV, plateV)
    const title = tooManyVolts
      ? message`The drive gives more volts than these links may have`
      : message`Too many volts for the hertz`
    return {
      severity: hot ? 'stop' : 'watch',
      about: 'over',
      follows: burstDoubler(facts) ? findingId('wall.doubler') : undefined,
      title: otherHalf(baseHz, plateHz) ? OTHER_HALF : title,
      says: message`${volts(setV)} at ${hertz(baseHz)} against the plate’s ${volts(plateV)} at ${hertz(plateHz)}: ${percent(k)} of the flux it was built for.`,
      why: 'The iron saturates, the amps rise without any load and the winding burns.',
      remedies: [
        ...relink,
        ...(tooManyVolts && !burstDoubler(facts)
          ? [
              {
                label: message`Set motor volts to ${volts(plateV)}`,
                patch: [set('settings.chosen.ratedVoltageV', plateV), set('settings.inDrive.ratedVoltageV', undefined)],
              },
            ]
          : []),
        ...rebase(facts, plateHz, (plateHz * setV) / plateV),
      ],
      figures,
      path: 'motor.connection',
    }
  }
  if (k >= fluxLimits.weak) return sound
  const [torque, usable] = [motor.torqueNm, speeds.usableNm].map(numberOf)
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
        ? message`Links are in ${inStar ? 'star' : 'series'}: torque is lost`
        : message`Too few volts for the hertz: torque is lost`,
    says: message`The drive gives ${volts(setV)} at ${hertz(baseHz)}; linked so the motor wants ${volts(plateV)} at ${hertz(plateHz)}. Flux ${percent(k)}, pull-out ${percent(k * k)} of what it should be${torque === undefined || usable === undefined ? '' : message`; all day about ${newtonMetres(usable)} where ${newtonMetres(torque)} should be`}.`,
    why: 'It runs, sounds right and has no pull; pushed, it draws more amps than the winding may carry.',
    remedies: [
      ...relink,
      ...(Math.abs(baseHz - plateHz) < 0.5
        ? [
            {
              label: message`Set base to ${hertz(Math.round(lowBase))}: full torque up to there`,
              patch: [
                set('settings.chosen.baseFrequencyHz', Math.round(lowBase)),
                set('settings.inDrive.baseFrequencyHz', undefined),
              ],
            },
          ]
        : [
            {
              label: message`Set base to the plate’s ${hertz(plateHz)}`,
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

function overloadVerdict(facts: Facts): Answer {
  const { plan, motor, settings } = facts
  if (motor.suitable === false) return doesNotApply('A drive cannot run this motor as it is')
  const known = need(motor.plateCurrentA, settings.overloadA)
  if (isUnjudged(known)) return known
  const [plateA, held] = known
  const sound = (a: number): Answer =>
    good(message`${amps(a)} where the plate allows ${amps(plateA)}.`, {
      figures: ['settings.overloadA', 'motor.plateCurrentA'],
    })
  const { inDrive, state } = plan.settings
  const enter: Remedy = {
    label: message`Enter ${amps(plateA)}`,
    patch: [set('settings.chosen.overloadA', undefined), set('settings.inDrive.overloadA', plateA)],
  }
  const common: Pick<Verdict, 'remedies' | 'figures' | 'path'> = {
    remedies: [enter],
    figures: ['settings.overloadA', 'motor.plateCurrentA'],
    path: 'settings.inDrive.overloadA',
  }
  const driveA = plan.drive.ratedOutputA
  if (inDrive.overloadA === undefined && plan.settings.chosen.overloadA === undefined) {
    const untouched = state === 'as-arrived' || state === 'reset' || state === 'second-hand'
    if (state === undefined) return waitsFor(typed('settings.state', state))
    if (!untouched)
      return driveA === undefined || driveA <= plateA * OVER
        ? sound(held)
        : {
            severity: 'stop',
            toDo: true,
            about: 'never-read',
            title: message`The overload was never read back`,
            says: message`The card says ${amps(held)}; until it is read in the drive it counts as the drive’s own ${amps(driveA)}.`,
            why: 'It is the one setting that stands between a stall and a burnt winding, and the one most often left. Read it in the drive.',
            ...common,
          }
    if (driveA === undefined) return waitsFor(typed('drive.ratedOutputA', driveA))
    if (driveA <= plateA * OVER) return sound(driveA)
    return {
      severity: 'stop',
      toDo: true,
      about: 'as-arrived',
      title: message`The drive protects itself, not this motor`,
      says: message`Until it is set, the overload stands at ${state === 'second-hand' ? 'whatever the last owner typed' : message`the drive’s own ${amps(driveA)}`}; the motor’s plate is ${amps(plateA)}.`,
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
        ? message`Overload left at the amps of the other links`
        : withinService
          ? message`Overload at the service-factor amps`
          : message`Overload above the motor’s plate`,
      says: message`It is set to ${amps(held)}; the plate allows ${amps(plateA)} for these links${deltaAmps ? message`. The windings could carry ${percent(held / plateA)} of their amps` : ''}${serviceA === undefined ? '' : message`, and never more than ${amps(serviceA)}`}.`,
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
      title: message`Overload under the plate`,
      says: message`It is set to ${amps(held)}; the plate allows ${amps(plateA)}.`,
      why: 'It is safe, and it trips in heavy cuts the motor could take.',
      ...common,
    }
  return sound(held)
}

const untouched = {
  'as-arrived': 'As it came',
  reset: 'After its reset',
  'second-hand': 'With its old settings',
} as const

/** A drive that nobody has read counts as set for 50 and for 60 hertz, whichever is worse, at all the volts it has. */
function asArrived({ plan, motor, drive }: Facts): Answer {
  const { state, inDrive } = plan.settings
  if (motor.suitable === false) return doesNotApply('A drive cannot run this motor as it is')
  if (state === undefined) return lacks('settings.state')
  if (state === 'entered') return doesNotApply('The card is said to be entered')
  if (inDrive.baseFrequencyHz !== undefined && inDrive.ratedVoltageV !== undefined)
    return doesNotApply('Its volts and base were read')
  const known = need(motor.plateVoltageV, motor.frequencyHz, drive.ceilingV)
  if (isUnjudged(known)) return known
  const [plateV, plateHz, ceilingV] = known
  const givenV = inDrive.ratedVoltageV ?? ceilingV
  const bases = inDrive.baseFrequencyHz === undefined ? [50, 60] : [inDrive.baseFrequencyHz]
  const worst = Math.max(...bases.map((hz) => givenV / hz / (plateV / plateHz)))
  const baseHz = Math.min(...bases)
  const bothHz = bases.map((hz) => printNumber(hz, 3, 0)).join(' or ')
  if (worst <= fluxLimits.burns)
    return good(message`Whether it is set for ${bothHz} Hz, it makes ${percent(worst)} of the flux at the most.`)
  return {
    severity: 'stop',
    toDo: true,
    follows: findingId('motor.flux', 'over'),
    title: message`The drive must be set before the motor is joined to it`,
    says: message`${untouched[state]} it may give ${volts(givenV)} at ${hertz(baseHz)}; this motor wants ${volts(plateV)} at ${hertz(plateHz)}: ${percent(worst)} of the flux it was built for.`,
    why: 'The first RUN would burn it, with no load at all. Enter motor volts and base hertz with its leads off, and read both back.',
    remedies: [{ label: message`The card is entered, and read back`, patch: [set('settings.state', 'entered')] }],
    path: 'settings.state',
  }
}

/** Volts, hertz and overload against the links in use. */
export const motorFluxFindings = [
  judgement(
    {
      id: 'motor.as-arrived',
      asks: 'The drive before it is set',
      stage: 'settings',
      chainLink: 'drive',
      by: 'first-power',
      danger: true,
    },
    asArrived,
  ),

  judgement(
    {
      id: 'motor.flux',
      asks: 'Volts and hertz against the links',
      stage: 'motor',
      chainLink: 'motor',
      by: 'first-power',
      danger: true,
    },
    fluxVerdict,
  ),
  judgement(
    {
      id: 'motor.overload',
      asks: 'Overload amps against the plate',
      stage: 'settings',
      chainLink: 'motor',
      by: 'first-power',
      danger: true,
    },
    overloadVerdict,
  ),
]
