import { leadConnections } from '../motor/leadConnections'
import { numberOf, isKnown } from '../facts/figure'
import { frameHeightMm } from '../motor'
import { connections, set } from '../plan'
import { amount, amps, hertz, rpm, message, volts } from '../quantities'
import { judgement } from './finding'

/** Plate arithmetic further apart than this is a contradiction. */
const IMPLIED_MOST = 0.95
const IMPLIED_LEAST = 0.3

const unsuitable: Record<string, { severity: 'stop' | 'watch'; says: string; why: string }> = {
  'single-phase': {
    severity: 'stop',
    says: 'A single-phase motor cannot be given variable speed by a three-phase drive.',
    why: 'Its capacitor and start winding burn at any but mains hertz. It must be replaced by a three-phase motor.',
  },
  universal: {
    severity: 'stop',
    says: 'A universal motor has brushes; a three-phase drive cannot run it.',
    why: 'It wants a controller of its own kind, or a three-phase motor in its place.',
  },
  dc: {
    severity: 'stop',
    says: 'A direct-current motor has brushes and wants a direct-current drive; a three-phase drive cannot run it.',
    why: 'Keep its own system while it works, or replace the motor.',
  },
  servo: {
    severity: 'stop',
    says: 'A stepper or servo motor runs only on its own controller; a drive of this kind cannot run it.',
    why: 'It wants currents placed by a controller that knows where the rotor stands.',
  },
  brushless: {
    severity: 'stop',
    says: 'A brushless motor runs only on a driver made for it; a drive of this kind cannot run it.',
    why: 'Its driver must know where the rotor stands, and gives it volts of its own.',
  },
  'pole-changing': {
    severity: 'stop',
    says: 'The two speeds are made by changing poles; its leads are never linked as star and delta.',
    why: 'On a drive only one winding may be used, at that winding’s own plate, with the other left open and insulated. Linked wrongly it burns.',
  },
}

/** What the nameplate says, held against itself. */
export const motorPlateFindings = [
  judgement('motor.kind', 'motor', 'motor', ({ plan, motor }) => {
    const { kind } = plan.motor
    const verdict = kind === undefined || motor.suitable === true ? undefined : unsuitable[kind]
    return verdict
      ? {
          severity: verdict.severity,
          title: message`This motor cannot go on the drive as it is`,
          says: [verdict.says],
          why: verdict.why,
          ...(kind === 'pole-changing'
            ? {
                remedies: [
                  {
                    label: message`Use one winding, typed at its own plate`,
                    patch: [
                      set('motor.oneWinding', true),
                      set('motor.leads', '3'),
                      set('motor.connection', 'fixed'),
                      set('motor.highVoltageV', undefined),
                      set('motor.highVoltageA', undefined),
                    ],
                  },
                ],
              }
            : {}),
          path: 'motor.kind',
        }
      : undefined
  }),

  judgement('motor.one-winding', 'motor', 'motor', ({ plan }) =>
    plan.motor.kind === 'pole-changing' && plan.motor.oneWinding === true
      ? {
          severity: 'note',
          title: message`One winding of a two-speed motor`,
          says: message`The plate typed must be this winding’s own: its volts, amps and speed. The ends of the other stay open, each insulated on its own.`,
          why: 'Joined together or to the drive, the idle winding short-circuits or burns. Only with two separate windings is one of them free; with one tapped winding use the connection of its own diagram.',
          path: 'motor.kind',
        }
      : undefined,
  ),

  judgement('motor.plate-speed', 'motor', 'motor', ({ plan, motor }) => {
    if (isKnown(motor.poles) || !motor.poles.refusal) return undefined
    const { ratedSpeedRpm, ratedFrequencyHz } = plan.motor
    if (ratedSpeedRpm === undefined || ratedFrequencyHz === undefined) return undefined
    return {
      severity: 'stop',
      title: message`The plate’s speed and hertz contradict each other`,
      says: message`${rpm(ratedSpeedRpm)} at ${hertz(ratedFrequencyHz)} is not a running induction motor: ${motor.poles.refusal.replace(/^ratedSpeedRpm /, 'the speed ')}.`,
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
      title: message`The plate’s poles and speed contradict each other`,
      says: message`The plate says ${plate} poles; ${rpm(plan.motor.ratedSpeedRpm ?? 0)} at ${hertz(plan.motor.ratedFrequencyHz ?? 0)} is ${poles}.`,
      why: 'Every speed that follows rests on the poles.',
      figures: ['motor.poles'],
      remedies: [{ label: message`Take ${poles} poles from the speed`, patch: [set('motor.platePoles', undefined)] }],
      path: 'motor.platePoles',
    }
  }),

  judgement('motor.plate-amps', 'motor', 'motor', ({ plan, motor }) => {
    const product = numberOf(motor.impliedProduct)
    if (product === undefined || (product <= IMPLIED_MOST && product >= IMPLIED_LEAST)) return undefined
    const few = product > IMPLIED_MOST
    return {
      severity: 'stop',
      title: message`The plate’s amps are far from its power and volts`,
      says: message`${amount('power', plan.motor.powerW ?? 0)} at ${volts(numberOf(motor.plateVoltageV) ?? 0)} and ${amps(numberOf(motor.plateCurrentA) ?? 0)} would mean efficiency times cos phi of ${amount('number', product)}; a motor has 0.3 to 0.95.`,
      why: few
        ? 'The amps are too few for that power: they may belong to the other voltage.'
        : 'The amps are too many for that power: they may belong to the other voltage, or to starting.',
      figures: ['motor.impliedProduct'],
      path: 'motor.lowVoltageA',
    }
  }),

  judgement('motor.plate-circuit', 'motor', 'motor', ({ physics, motor }) => {
    const product = numberOf(motor.impliedProduct)
    // Amps that are far out are named by the plain check; this one hears the finer contradictions.
    if (
      physics.contradiction === undefined ||
      product === undefined ||
      product > IMPLIED_MOST ||
      product < IMPLIED_LEAST
    )
      return undefined
    return {
      severity: 'watch',
      title: message`Lines of the plate contradict each other`,
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
        title: message`The two voltages are the wrong way round`,
        says: message`The higher is ${volts(highVoltageV)}, the lower ${volts(lowVoltageV)}.`,
        why: 'The lower belongs to delta or parallel, the higher to star or series.',
        remedies: [
          {
            label: message`Change them over`,
            patch: [
              set('motor.lowVoltageV', highVoltageV),
              set('motor.highVoltageV', lowVoltageV),
              set('motor.lowVoltageA', highVoltageA),
              set('motor.highVoltageA', lowVoltageA),
            ],
          },
        ],
        path: 'motor.lowVoltageV',
      }
    if (lowVoltageA === undefined || highVoltageA === undefined) return undefined
    const off = (lowVoltageV * lowVoltageA) / (highVoltageV * highVoltageA)
    return off > 1.15 || off < 0.87
      ? {
          severity: 'stop',
          about: 'amps',
          title: message`The two amps do not belong to the two volts`,
          says: message`${volts(lowVoltageV)} at ${amps(lowVoltageA)} and ${volts(highVoltageV)} at ${amps(highVoltageA)} are not the same power.`,
          why: 'Drive size and overload rest on the amps for the links used.',
          path: 'motor.highVoltageA',
        }
      : undefined
  }),

  judgement('motor.links-and-leads', 'motor', 'motor', ({ plan, motor }) => {
    const { leads } = plan.motor
    if (leads === undefined || motor.connection === undefined) return undefined
    const fits = leadConnections[leads].some((c) => c.connection === motor.connection)
    // Three leads come from a star or a delta inside, which some plates say; there is nothing to link.
    return fits || (leads === '3' && (motor.connection === 'star' || motor.connection === 'delta'))
      ? undefined
      : {
          severity: 'stop',
          title: message`These links do not belong to these leads`,
          says: message`${leads.replace('-', ' leads, ')} cannot be linked “${connections[motor.connection]}”.`,
          why: 'Six leads are linked star or delta; nine leads low (parallel) or high (series); twelve low or high, each as star or delta. The picture inside the lid is the authority.',
          path: 'motor.connection',
        }
  }),

  judgement('motor.frame-unread', 'motor', 'motor', ({ plan }) => {
    const { frame, maximumRpm } = plan.motor
    return frame !== undefined && frame.trim() !== '' && maximumRpm === undefined && frameHeightMm(frame) === undefined
      ? {
          severity: 'note',
          title: message`Frame not recognised`,
          says: message`“${frame}” is neither an IEC nor a NEMA frame known here, so its safe speed is not known.`,
          why: 'Type the frame as stamped (90L, 56C, 145T), or the highest speed if the plate prints one.',
          path: 'motor.frame',
        }
      : undefined
  }),
]
