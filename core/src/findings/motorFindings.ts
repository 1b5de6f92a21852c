import { frameHeightMm } from '../motor'
import { isKnown, numberOf } from '../evaluate/figure'
import type { Facts } from '../evaluate/facts'
import { usesHighVoltage } from '../evaluate/motorFacts'
import { connections, set, type Connection } from '../plan'
import { amount, amps, hertz, newtonMetres, percent, rpm, sameNominal, say, volts } from '../quantities'
import { judgement, type Remedy, type Verdict } from './finding'

/** Flux over which a motor overheats, over and under which it is watched. */
const BURNS = 1.1
const WARM = 1.05
const WEAK = 0.9
/** Plate arithmetic further apart than this is a contradiction. */
const IMPLIED_MOST = 0.95
const IMPLIED_LEAST = 0.3

const unsuitable: Record<string, { severity: 'stop' | 'watch'; says: string; why: string }> = {
  'single-phase': { severity: 'stop', says: 'A single-phase motor cannot be given variable speed by a three-phase drive.', why: 'Its capacitor and start winding burn at any but mains hertz. It must be replaced by a three-phase motor.' },
  universal: { severity: 'stop', says: 'A universal motor has brushes; a three-phase drive cannot run it.', why: 'It wants a controller of its own kind, or a three-phase motor in its place.' },
  dc: { severity: 'stop', says: 'A direct-current motor has brushes and wants a direct-current drive; a three-phase drive cannot run it.', why: 'Keep its own system while it works, or replace the motor.' },
  stepper: { severity: 'stop', says: 'A stepper or servo motor runs only on its own controller; a drive of this kind cannot run it.', why: 'It wants currents placed by a controller that knows where the rotor stands.' },
  'two-speed': { severity: 'stop', says: 'The two speeds are made by changing poles; its leads are never linked as star and delta.', why: 'On a drive only one winding may be used, at that winding’s own plate, with the other left open and insulated. Linked wrongly it burns.' },
}

/** The links that would suit `wantedV`, for a plate with two voltages. */
function otherConnection({ plan, motor }: Facts): Connection | undefined {
  const pairs: Partial<Record<Connection, Connection>> = { star: 'delta', delta: 'star', low: 'high', high: 'low' }
  return plan.motor.highVoltageV === undefined || motor.connection === undefined ? undefined : pairs[motor.connection]
}

/** Moves the links where that gives the motor the volts the drive has. */
function relinks(facts: Facts): Remedy[] {
  const to = otherConnection(facts)
  const toV = to === undefined ? undefined : usesHighVoltage(to) ? facts.plan.motor.highVoltageV : facts.plan.motor.lowVoltageV
  const ceilingV = numberOf(facts.drive.ceilingV)
  return to !== undefined && toV !== undefined && ceilingV !== undefined && sameNominal(toV, ceilingV) ? [moveLinks(to)] : []
}

const moveLinks = (to: Connection): Remedy => ({ label: say`Move links to ${connections[to].toLowerCase()}`, patch: [set('motor.connection', to)] })

export const motorFindings = [
  judgement('motor.kind', 'motor', 'motor', ({ plan }) => {
    const verdict = plan.motor.kind === undefined ? undefined : unsuitable[plan.motor.kind]
    return verdict ? { severity: verdict.severity, title: say`This motor cannot go on the drive as it is`, says: [verdict.says], why: verdict.why, path: 'motor.kind' } : undefined
  }),

  judgement('motor.plate-speed', 'motor', 'motor', ({ plan, motor }) => {
    if (isKnown(motor.poles) || !motor.poles.refusal) return undefined
    const { ratedSpeedRpm, ratedFrequencyHz } = plan.motor
    if (ratedSpeedRpm === undefined || ratedFrequencyHz === undefined) return undefined
    return {
      severity: 'stop',
      title: say`The plate’s speed and hertz contradict each other`,
      says: say`${rpm(ratedSpeedRpm)} at ${hertz(ratedFrequencyHz)} is not a running induction motor: ${motor.poles.refusal.replace(/^ratedSpeedRpm /, 'the speed ')}.`,
      why: 'Poles, slip and torque all come from these two. Read the plate again; one of them may belong to the other half of the world.',
      path: 'motor.ratedSpeedRpm',
    }
  }),

  judgement('motor.plate-poles', 'motor', 'motor', ({ plan, motor }) => {
    const poles = numberOf(motor.poles)
    const plate = plan.motor.platePoles
    if (poles === undefined || plate === undefined || plate === poles) return undefined
    return {
      severity: 'stop',
      title: say`The plate’s poles and speed contradict each other`,
      says: say`The plate says ${plate} poles; ${rpm(plan.motor.ratedSpeedRpm ?? 0)} at ${hertz(plan.motor.ratedFrequencyHz ?? 0)} is ${poles}.`,
      why: 'Every speed that follows rests on the poles.',
      figures: ['motor.poles'],
      remedies: [{ label: say`Take ${poles} poles from the speed`, patch: [set('motor.platePoles', undefined)] }],
      path: 'motor.platePoles',
    }
  }),

  judgement('motor.plate-amps', 'motor', 'motor', ({ plan, motor }) => {
    const product = numberOf(motor.impliedProduct)
    if (product === undefined || (product <= IMPLIED_MOST && product >= IMPLIED_LEAST)) return undefined
    const few = product > IMPLIED_MOST
    return {
      severity: 'stop',
      title: say`The plate’s amps are far from its power and volts`,
      says: say`${amount('power', plan.motor.powerW ?? 0)} at ${volts(numberOf(motor.plateVoltageV) ?? 0)} and ${amps(numberOf(motor.plateCurrentA) ?? 0)} would mean efficiency times cos phi of ${amount('number', product)}; a motor has 0.3 to 0.95.`,
      why: few ? 'The amps are too few for that power: they may belong to the other voltage.' : 'The amps are too many for that power: they may belong to the other voltage, or to starting.',
      figures: ['motor.impliedProduct'],
      path: 'motor.lowVoltageA',
    }
  }),

  judgement('motor.plate-circuit', 'motor', 'motor', ({ physics, motor }) => {
    const product = numberOf(motor.impliedProduct)
    // Amps that are far out are named by the plain check; this one hears the finer contradictions.
    if (physics.contradiction === undefined || product === undefined || product > IMPLIED_MOST || product < IMPLIED_LEAST) return undefined
    return {
      severity: 'watch',
      title: say`Lines of the plate contradict each other`,
      says: [`No motor does all of it: ${physics.contradiction}.`],
      why: 'Torque, amps and what the drive works out from them rest on these lines. Read the plate again.',
      path: 'motor.lowVoltageA',
    }
  }),

  judgement('motor.plate-pair', 'motor', 'motor', ({ plan }) => {
    const { lowVoltageV, highVoltageV, lowVoltageA, highVoltageA } = plan.motor
    if (lowVoltageV === undefined || highVoltageV === undefined) return undefined
    if (highVoltageV <= lowVoltageV)
      return {
        severity: 'stop',
        about: 'volts',
        title: say`The two voltages are the wrong way round`,
        says: say`The higher is ${volts(highVoltageV)}, the lower ${volts(lowVoltageV)}.`,
        why: 'The lower belongs to delta or parallel, the higher to star or series.',
        remedies: [{ label: say`Change them over`, patch: [set('motor.lowVoltageV', highVoltageV), set('motor.highVoltageV', lowVoltageV), set('motor.lowVoltageA', highVoltageA), set('motor.highVoltageA', lowVoltageA)] }],
        path: 'motor.lowVoltageV',
      }
    if (lowVoltageA === undefined || highVoltageA === undefined) return undefined
    const off = (lowVoltageV * lowVoltageA) / (highVoltageV * highVoltageA)
    return off > 1.15 || off < 0.87
      ? {
          severity: 'stop',
          about: 'amps',
          title: say`The two amps do not belong to the two volts`,
          says: say`${volts(lowVoltageV)} at ${amps(lowVoltageA)} and ${volts(highVoltageV)} at ${amps(highVoltageA)} are not the same power.`,
          why: 'Drive size and overload rest on the amps for the links used.',
          path: 'motor.highVoltageA',
        }
      : undefined
  }),

  judgement('motor.links-and-leads', 'motor', 'motor', ({ plan, motor }) => {
    const { leads } = plan.motor
    if (leads === undefined || motor.connection === undefined) return undefined
    const fits: Record<string, readonly Connection[]> = { '3': ['fixed', 'star', 'delta'], '6': ['star', 'delta'], '9-star': ['low', 'high'], '9-delta': ['low', 'high'], '12': ['low', 'high', 'star', 'delta'] }
    return fits[leads]?.includes(motor.connection)
      ? undefined
      : {
          severity: 'stop',
          title: say`These links do not belong to these leads`,
          says: say`${leads.replace('-', ' leads, ')} cannot be linked “${connections[motor.connection]}”.`,
          why: 'Six leads are linked star or delta; nine leads low (parallel) or high (series). The picture inside the lid is the authority.',
          path: 'motor.connection',
        }
  }),

  judgement('motor.flux', 'motor', 'motor', fluxVerdict),

  judgement('motor.overload', 'settings', 'motor', overloadVerdict),

  judgement('motor.over-safe-speed', 'speeds', 'motor', ({ plan, motor, settings, speeds }) => {
    const [safe, top, poles] = [numberOf(motor.safeRpm), numberOf(speeds.topMotorRpm), numberOf(motor.poles)]
    if (safe === undefined || top === undefined || poles === undefined || top <= safe * 1.001) return undefined
    // A plate that prints its loaded speed is always a slip below synchronous; mains hertz is safe by definition.
    const [maxHz, plateHz] = [numberOf(settings.maximumHz), numberOf(motor.frequencyHz)]
    if (maxHz !== undefined && plateHz !== undefined && maxHz <= plateHz) return undefined
    const safeHz = Math.floor((safe * poles) / 120)
    return {
      severity: 'stop',
      title: say`The motor is asked to turn faster than it is safe`,
      says: say`${hertz(maxHz ?? 0)} turns it at ${rpm(top)}; a ${poles}-pole motor of frame ${plan.motor.frame ?? 'unknown'} is safe to ${rpm(safe)}.`,
      why: 'Bearings, fan and rotor are built for a highest speed. Past it they fail, and the fan first.',
      remedies: [{ label: say`Lower the highest hertz to ${hertz(Math.max(safeHz, plateHz ?? 0))}`, patch: highestHertz(plan.settings.inDrive.maximumHz !== undefined, Math.max(safeHz, plateHz ?? 0)) }],
      figures: ['motor.safeRpm', 'motor.topRpm'],
      path: 'settings.chosen.maximumHz',
    }
  }),

  judgement('motor.two-pole-over-plate', 'speeds', 'motor', ({ motor, settings }) => {
    const [maxHz, plateHz, poles] = [numberOf(settings.maximumHz), numberOf(motor.frequencyHz), numberOf(motor.poles)]
    if (maxHz === undefined || plateHz === undefined || poles !== 2 || maxHz <= plateHz * 1.02) return undefined
    return {
      severity: 'watch',
      title: say`A two-pole motor above its plate`,
      says: say`It is asked for ${hertz(maxHz)}; its plate says ${hertz(plateHz)}.`,
      why: 'It already turns fast at mains hertz: fan noise, bearing life and a weak pull-out are reasons why many never take a two-pole motor further.',
      remedies: [{ label: say`Lower the highest hertz to ${hertz(plateHz)}`, patch: [set('settings.chosen.maximumHz', plateHz)] }],
      figures: ['motor.topRpm'],
      path: 'settings.chosen.maximumHz',
    }
  }),

  judgement('motor.hot-at-low-hertz', 'speeds', 'motor', ({ plan, motor, settings, speeds }) => {
    const [low, base] = [numberOf(settings.minimumHz), numberOf(motor.frequencyHz)]
    if (plan.motor.cooling !== 'shaft-fan' || low === undefined || base === undefined) return undefined
    const ratio = plan.motor.inverterDutyRatio
    if (ratio !== undefined && low >= base / ratio) return undefined
    const floor = ratio !== undefined ? base / ratio : base / 10
    const remedies: Remedy[] = [
      { label: say`Raise the lowest hertz to ${hertz(Math.ceil(floor))}`, patch: [set('settings.chosen.minimumHz', Math.ceil(floor)), set('settings.inDrive.minimumHz', undefined)] },
      { label: say`Fit a blower`, patch: [set('motor.cooling', 'blower')] },
    ]
    if (low < floor)
      return {
        severity: 'watch',
        title: say`Too slow for the fan on the shaft`,
        says: say`At ${hertz(low)} its own fan hardly turns: under ${hertz(floor)} no continuous torque can be planned on.`,
        why: 'The motor cooks at low speed under load, slowly and without a trip: the overload counts amps, not the missing air.',
        remedies,
        figures: ['motor.lowTorqueFraction'],
        path: 'settings.chosen.minimumHz',
      }
    const share = numberOf(speeds.lowTorqueFraction)
    if (share === undefined || share >= 0.75) return undefined
    return {
      severity: 'note',
      title: say`Short cuts only at the slow end`,
      says: say`At ${hertz(low)} the shaft fan lets it hold ${percent(share)} of its torque all day; more for minutes.`,
      why: 'Feel the motor after a long slow job. A blower of its own widens this.',
      remedies: remedies.slice(1),
      figures: ['motor.lowTorqueFraction'],
      path: 'settings.chosen.minimumHz',
    }
  }),

  judgement('motor.frame-unread', 'motor', 'motor', ({ plan }) => {
    const { frame, maximumRpm } = plan.motor
    return frame !== undefined && frame.trim() !== '' && maximumRpm === undefined && frameHeightMm(frame) === undefined
      ? {
          severity: 'note',
          title: say`Frame not recognised`,
          says: say`“${frame}” is neither an IEC nor a NEMA frame known here, so its safe speed is not known.`,
          why: 'Type the frame as stamped (90L, 56C, 145T), or the highest speed if the plate prints one.',
          path: 'motor.frame',
        }
      : undefined
  }),
]

const highestHertz = (held: boolean, hz: number) => [set('settings.chosen.maximumHz', hz), ...(held ? [set('settings.inDrive.maximumHz', hz)] : [])]

const OTHER_HALF = say`Base hertz belong to the other half of the world`

/** One of the two is a 50 Hz figure and the other a 60 Hz one. */
const otherHalf = (aHz: number, bHz: number): boolean => Math.min(aHz, bHz) === 50 && Math.max(aHz, bHz) === 60

function fluxVerdict(facts: Facts): Verdict | undefined {
  const { motor, settings, speeds } = facts
  const k = numberOf(speeds.fluxFraction)
  const [plateV, setV, baseHz, plateHz] = [motor.plateVoltageV, speeds.setVoltageV, settings.baseFrequencyHz, motor.frequencyHz].map(numberOf)
  if (motor.suitable === false || k === undefined || plateV === undefined || setV === undefined || baseHz === undefined || plateHz === undefined) return undefined
  if (sameNominal(plateV, setV) && Math.abs(baseHz - plateHz) < 0.5) return undefined
  const figures = ['motor.fluxFraction', 'drive.setVoltageV', 'motor.plateVoltageV']
  const relink = relinks(facts)
  if (k > WARM) {
    const hot = k > BURNS
    const tooManyVolts = setV > plateV && !sameNominal(setV, plateV)
    const title = tooManyVolts ? say`The drive gives more volts than these links may have` : say`Too many volts for the hertz`
    return {
      severity: hot ? 'stop' : 'watch',
      about: 'over',
      title: otherHalf(baseHz, plateHz) ? OTHER_HALF : title,
      says: say`${volts(setV)} at ${hertz(baseHz)} against the plate’s ${volts(plateV)} at ${hertz(plateHz)}: ${percent(k)} of the flux it was built for.`,
      why: 'The iron saturates, the amps rise without any load and the winding burns.',
      remedies: [
        ...relink,
        ...(tooManyVolts ? [{ label: say`Set motor volts to ${volts(plateV)}`, patch: [set('settings.chosen.ratedVoltageV', plateV), set('settings.inDrive.ratedVoltageV', undefined)] }] : []),
        ...(Math.abs(baseHz - plateHz) >= 0.5 ? [{ label: say`Set base to the plate’s ${hertz(plateHz)}`, patch: [set('settings.chosen.baseFrequencyHz', undefined), set('settings.inDrive.baseFrequencyHz', undefined)] }] : []),
      ],
      figures,
      path: tooManyVolts ? 'motor.connection' : 'settings.chosen.baseFrequencyHz',
    }
  }
  if (k >= WEAK) return undefined
  const torque = numberOf(motor.torqueNm)
  const lowBase = (plateHz * setV) / plateV
  const link = motor.connection === 'star' || motor.connection === 'high'
  return {
    severity: 'watch',
    about: 'under',
    title: otherHalf(baseHz, plateHz) ? OTHER_HALF : link && relink.length > 0 ? say`Links are in ${motor.connection === 'star' ? 'star' : 'series'}: torque is lost` : say`Too few volts for the hertz: torque is lost`,
    says: say`The drive gives ${volts(setV)} at ${hertz(baseHz)}; linked so the motor wants ${volts(plateV)} at ${hertz(plateHz)}. Flux ${percent(k)}, pull-out torque ${percent(k * k)}${torque === undefined ? '' : say`: about ${newtonMetres(torque * k * k)} where ${newtonMetres(torque)} should be`}.`,
    why: 'It runs, sounds right and has no pull; pushed, it draws more amps than the winding may carry.',
    remedies: [
      ...relink,
      ...(Math.abs(baseHz - plateHz) < 0.5
        ? [{ label: say`Set base to ${hertz(Math.round(lowBase))}: full torque up to there`, patch: [set('settings.chosen.baseFrequencyHz', Math.round(lowBase)), set('settings.inDrive.baseFrequencyHz', undefined)] }]
        : [{ label: say`Set base to the plate’s ${hertz(plateHz)}`, patch: [set('settings.chosen.baseFrequencyHz', undefined), set('settings.inDrive.baseFrequencyHz', undefined)] }]),
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
  const enter: Remedy = { label: say`Enter ${amps(plateA)}`, patch: [set('settings.chosen.overloadA', undefined), set('settings.inDrive.overloadA', plateA)] }
  const common = { remedies: [enter], figures: ['settings.overloadA', 'motor.plateCurrentA'], path: 'settings.inDrive.overloadA' }
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
  const deltaAmps = highVoltageV !== undefined && motor.connection !== undefined && usesHighVoltage(motor.connection) && lowVoltageA !== undefined && held >= lowVoltageA * 0.95
  const serviceA = numberOf(motor.serviceFactorA)
  if (held > plateA * OVER) {
    const withinService = serviceA !== undefined && held <= serviceA * 1.005
    return {
      severity: withinService ? 'watch' : 'stop',
      about: deltaAmps ? 'other-links' : 'over',
      title: deltaAmps ? say`Overload left at the amps of the other links` : withinService ? say`Overload at the service-factor amps` : say`Overload above the motor’s plate`,
      says: say`It is set to ${amps(held)}; the plate allows ${amps(plateA)} for these links${deltaAmps ? say`. The windings could carry ${percent(held / plateA)} of their amps` : ''}${serviceA === undefined ? '' : say`, and never more than ${amps(serviceA)}`}.`,
      why: withinService ? 'On a drive the service factor counts as 1.0; at its edge there is nothing in hand.' : 'The overload is all that stands between a stall and a burnt winding.',
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
