import { leadConnections } from '../motor/leadConnections'
import { doesNotApply, good, isUnjudged, lacks, need, typed } from './answer'
import { numberOf, isKnown } from '../facts/figure'
import { frameCaution, isAmbiguousFrame } from '../data/frameSizes'
import { frameHeightMm } from '../motor'
import { connections, heartOf, set } from '../plan'
import { amount, amps, hertz, rpm, message, volts } from '../quantities'
import { judgement } from './finding'
import { hasOwnDrive, unsuitableHere } from './unsuitableKinds'

/** Plate arithmetic further apart than this is a contradiction. */
const IMPLIED_MOST = 0.95
const IMPLIED_LEAST = 0.3

/** What the nameplate says, held against itself. */
export const motorPlateFindings = [
  judgement(
    {
      id: 'motor.kind',
      asks: 'Whether a drive can run this motor',
      stage: 'motor',
      chainLink: 'motor',
      by: 'buying',
      danger: true,
    },
    ({ plan }) => {
      const { kind } = plan.motor
      const heart = heartOf(plan)
      if (heart !== 'inverter' && plan.drive.kind === undefined) return lacks('drive.kind')
      if (hasOwnDrive(plan))
        return good(heart === 'dc' ? message`A DC drive runs it.` : message`It stands on a driver of its own.`)
      const verdict = unsuitableHere(plan)
      return verdict
        ? {
            severity: 'stop',
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
        : kind === undefined
          ? lacks('motor.kind')
          : good(message`A drive of this kind runs it.`)
    },
  ),

  judgement(
    {
      id: 'motor.one-winding',
      asks: 'Two-speed motor',
      stage: 'motor',
      chainLink: 'motor',
      by: 'first-power',
      danger: true,
    },
    ({ plan }) =>
      plan.motor.kind === 'pole-changing' && plan.motor.oneWinding === true
        ? {
            severity: 'note',
            title: message`One winding of a two-speed motor`,
            says: message`The plate typed must be this winding’s own: its volts, amps and speed. The ends of the other stay open, each insulated on its own.`,
            why: 'Joined together or to the drive, the idle winding short-circuits or burns. Only with two separate windings is one of them free; with one tapped winding use the connection of its own diagram.',
            path: 'motor.kind',
          }
        : plan.motor.kind === undefined
          ? lacks('motor.kind')
          : doesNotApply('Not a two-speed motor on one of its windings'),
  ),

  judgement(
    {
      id: 'motor.plate-speed',
      asks: 'Plate’s speed against its hertz',
      stage: 'motor',
      chainLink: 'motor',
      by: 'buying',
      danger: true,
    },
    ({ plan, motor }) => {
      const known = need(
        typed('motor.ratedSpeedRpm', plan.motor.ratedSpeedRpm),
        typed('motor.ratedFrequencyHz', plan.motor.ratedFrequencyHz),
      )
      if (isUnjudged(known)) return known
      const [ratedSpeedRpm, ratedFrequencyHz] = known
      if (isKnown(motor.poles) || !motor.poles.refusal)
        return good(
          message`${rpm(ratedSpeedRpm)} at ${hertz(ratedFrequencyHz)}: ${numberOf(motor.poles) ?? '?'} poles.`,
          { figures: ['motor.poles'] },
        )
      return {
        severity: 'stop',
        title: message`The plate’s speed and hertz contradict each other`,
        says: message`${rpm(ratedSpeedRpm)} at ${hertz(ratedFrequencyHz)} is not a running induction motor: ${motor.poles.refusal.replace(/^ratedSpeedRpm /, 'the speed ')}.`,
        why: 'Poles, slip and torque all come from these two. Read the plate again; one of them may belong to the other half of the world.',
        path: 'motor.ratedSpeedRpm',
      }
    },
  ),

  judgement(
    {
      id: 'motor.plate-poles',
      asks: 'Plate’s poles against its speed',
      stage: 'motor',
      chainLink: 'motor',
      by: 'buying',
      danger: true,
    },
    ({ plan, motor }) => {
      const plate = plan.motor.platePoles
      if (plate === undefined) return doesNotApply('The plate is not said to print its poles')
      const known = need(motor.poles)
      if (isUnjudged(known)) return known
      const [poles] = known
      if (plate === poles) return good(message`${poles} by both.`, { figures: ['motor.poles'] })
      return {
        severity: 'stop',
        title: message`The plate’s poles and speed contradict each other`,
        says: message`The plate says ${plate} poles; ${rpm(plan.motor.ratedSpeedRpm ?? 0)} at ${hertz(plan.motor.ratedFrequencyHz ?? 0)} is ${poles}.`,
        why: 'Every speed that follows rests on the poles.',
        figures: ['motor.poles'],
        remedies: [{ label: message`Take ${poles} poles from the speed`, patch: [set('motor.platePoles', undefined)] }],
        path: 'motor.platePoles',
      }
    },
  ),

  judgement(
    {
      id: 'motor.plate-amps',
      asks: 'Plate’s amps against its power and volts',
      stage: 'motor',
      chainLink: 'motor',
      by: 'buying',
      danger: true,
    },
    ({ plan, motor }) => {
      const known = need(motor.impliedProduct)
      if (isUnjudged(known)) return known
      const [product] = known
      if (product <= IMPLIED_MOST && product >= IMPLIED_LEAST)
        return good(message`They mean efficiency times cos phi of ${amount('number', product)}.`, {
          figures: ['motor.impliedProduct'],
        })
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
    },
  ),

  judgement(
    {
      id: 'motor.plate-circuit',
      asks: 'Lines of the plate against each other',
      stage: 'motor',
      chainLink: 'motor',
      by: 'buying',
    },
    ({ physics, motor }) => {
      if (motor.suitable === false) return doesNotApply('A drive cannot run this motor as it is')
      const known = need(motor.impliedProduct, physics.noLoadA)
      const product = numberOf(motor.impliedProduct)
      if (physics.contradiction === undefined)
        return isUnjudged(known)
          ? known
          : good(message`One motor does all of it: ${amps(known[1])} at no load.`, { figures: ['motor.noLoadA'] })
      // Amps that are far out are named by the plain check; this one hears the finer contradictions.
      if (product === undefined || product > IMPLIED_MOST || product < IMPLIED_LEAST)
        return doesNotApply('Its amps and power contradict each other already')
      return {
        severity: 'watch',
        title: message`Lines of the plate contradict each other`,
        says: [`No motor does all of it: ${physics.contradiction}.`],
        why: 'Torque, amps and what the drive works out from them rest on these lines. Read the plate again.',
        path: 'motor.lowVoltageA',
      }
    },
  ),

  judgement(
    {
      id: 'motor.plate-pair',
      asks: 'The plate’s two voltages',
      stage: 'motor',
      chainLink: 'motor',
      by: 'buying',
      danger: true,
    },
    ({ plan }) => {
      const { lowVoltageV, highVoltageV, lowVoltageA, highVoltageA } = plan.motor
      if (lowVoltageV === undefined) return lacks('motor.lowVoltageV')
      if (highVoltageV === undefined) return doesNotApply('The plate has one voltage')
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
      if (lowVoltageA === undefined && highVoltageA === undefined) return lacks('motor.lowVoltageA')
      if (lowVoltageA === undefined || highVoltageA === undefined)
        return good(message`The plate prints one of the two amps; the other follows from the volts.`)
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
        : good(
            message`${volts(lowVoltageV)} at ${amps(lowVoltageA)} is the power of ${volts(highVoltageV)} at ${amps(highVoltageA)}.`,
          )
    },
  ),

  judgement(
    {
      id: 'motor.links-and-leads',
      asks: 'Links against leads',
      stage: 'motor',
      chainLink: 'motor',
      by: 'first-power',
      danger: true,
    },
    ({ plan, motor }) => {
      const { leads } = plan.motor
      if (leads === undefined && plan.motor.highVoltageV === undefined && plan.motor.connection === undefined)
        return doesNotApply('The plate prints one voltage and no links were typed')
      if (leads === undefined) return lacks('motor.leads')
      if (motor.connection === undefined) return lacks('motor.connection')
      const fits = leadConnections[leads].some((c) => c.connection === motor.connection)
      // Three leads come from a star or a delta inside, which some plates say; there is nothing to link.
      return fits || (leads === '3' && (motor.connection === 'star' || motor.connection === 'delta'))
        ? good(message`${connections[motor.connection]} is a way to link them.`)
        : {
            severity: 'stop',
            title: message`These links do not belong to these leads`,
            says: message`${leads.replace('-', ' leads, ')} cannot be linked “${connections[motor.connection]}”.`,
            why: 'Six leads are linked star or delta; nine leads low (parallel) or high (series); twelve low or high, each as star or delta. The picture inside the lid is the authority.',
            path: 'motor.connection',
          }
    },
  ),

  judgement(
    { id: 'motor.frame-unread', asks: 'Frame', stage: 'motor', chainLink: 'motor', by: 'on-machine' },
    ({ plan }) => {
      const { frame, maximumRpm } = plan.motor
      if (maximumRpm !== undefined) return doesNotApply('The plate prints its highest speed')
      if (frame === undefined || frame.trim() === '') return lacks('motor.frame')
      if (isAmbiguousFrame(frame))
        return {
          severity: 'note',
          title: message`56 is the name of two frames`,
          says: message`IEC 56 has its shaft 56 mm over its feet, NEMA 56 three and a half inches, 89 mm.`,
          why: 'Which of the two decides its shaft, its key and its safe speed. Measure, or go by the country it is made for.',
          remedies: [
            { label: message`It is NEMA 56`, patch: [set('motor.frame', 'NEMA 56')] },
            { label: message`It is IEC 56`, patch: [set('motor.frame', 'IEC 56')] },
          ],
          path: 'motor.frame',
        }
      const caution = frameCaution(frame)
      if (caution !== undefined && frameHeightMm(frame) !== undefined)
        return {
          severity: 'note',
          title: message`Frame ${frame}: look at it first`,
          says: [`${frame}: ${caution}.`],
          why: 'The frame’s name fixes its height, not everything about its shaft and feet.',
          path: 'motor.frame',
        }
      return frameHeightMm(frame) === undefined
        ? {
            severity: 'note',
            title: message`Frame not recognised`,
            says: message`“${frame}” is neither an IEC nor a NEMA frame known here, so its safe speed is not known.`,
            why: 'Type the frame as stamped (90L, 56C, 145T), or the highest speed if the plate prints one.',
            path: 'motor.frame',
          }
        : good(message`${frame}: shaft height ${amount('length', frameHeightMm(frame) ?? 0)}.`)
    },
  ),
]
