import { doesNotApply, good, isUnjudged, lacks, need } from './answer'
import { numberOf } from '../facts/figure'
import { ONE_SIZE, sizeUpReasons } from '../facts/drive/sizing'
import { terminalNeeds } from '../facts/drive/terminalNeeds'
import { connections, set } from '../plan'
import { amount, amps, hertz, listed, message, type Message } from '../quantities'
import { judgement } from './finding'

/** Choices of drive and links that good people make either way, with what speaks for each here. */
export const choiceFindings = [
  judgement(
    { id: 'drive.one-size-up', asks: 'One size up', stage: 'drive', chainLink: 'drive', by: 'buying' },
    (facts) => {
      const { motor, drive } = facts
      const known = need(drive.outputA, motor.plateCurrentA)
      if (isUnjudged(known)) return known
      const [outputA, plateA] = known
      if (outputA < plateA) return doesNotApply('The drive is too small as it is')
      const has = message`${amps(outputA)} for a motor of ${amps(plateA)}`
      if (outputA >= plateA * ONE_SIZE) return good(message`${has}: a size in hand.`, { figures: ['drive.outputA'] })
      const reasons = sizeUpReasons(facts)
      if (reasons.length === 0)
        return good(message`${has}, and nothing here speaks for more.`, { figures: ['drive.outputA'] })
      return {
        severity: 'note',
        title: message`One size up is worth its price here`,
        says: message`It gives ${amps(outputA)} for a motor of ${amps(plateA)}, enough by amps; but ${reasons.join(', and ')}.`,
        why: 'Matched by amps is right for most machines. One phase, heavy rotors and reversing eat the margin for a minute’s overload, and the next size costs little.',
        figures: ['drive.outputA', 'motor.plateCurrentA'],
        path: 'drive.ratedOutputA',
      }
    },
  ),

  judgement(
    { id: 'drive.terminals', asks: 'Terminals for the controls', stage: 'drive', chainLink: 'drive', by: 'buying' },
    ({ plan }) => {
      const needs = terminalNeeds(plan, plan.drive)
      const lacking = needs.filter((n) => n.has === false)
      if (needs.length === 0) return lacks('controls.runBy', 'controls.reference')
      if (lacking.length === 0 && needs.some((n) => n.has === undefined)) return lacks('drive.digitalInputs')
      return lacking.length === 0
        ? good(message`It has ${listed(needs.map((n) => n.what))}.`)
        : {
            severity: 'watch',
            title: message`The drive lacks ${listed(lacking.map((n) => n.what))}`,
            says: message`The controls want ${lacking.map((n) => `${n.what} for ${n.because}`).join('; ')}.`,
            why: 'Found out with the panel half wired, it costs a relay, a module or another drive.',
            path: 'drive.digitalInputs',
          }
    },
  ),

  judgement(
    {
      id: 'motor.delta-87-hz',
      asks: 'Lower-voltage links on the higher volts',
      stage: 'motor',
      chainLink: 'motor',
      by: 'buying',
    },
    ({ plan, motor, drive, delta87Hz, settings }) => {
      if (!delta87Hz) return doesNotApply('The links and volts leave no such choice')
      const known = need(delta87Hz.baseHz, delta87Hz.usableHz, delta87Hz.powerW, delta87Hz.currentA, drive.ceilingV)
      if (isUnjudged(known)) return known
      const [baseHz, usableHz, powerW, currentA, ceilingV] = known
      const used =
        motor.connection === delta87Hz.connection && Math.abs((numberOf(settings.baseFrequencyHz) ?? 0) - baseHz) < 1.5
      if (used) return good(message`Linked so, with base at ${hertz(baseHz)}.`)
      const links = connections[delta87Hz.connection].toLowerCase()
      const plateHz = plan.motor.ratedFrequencyHz ?? 0
      const says: Message = message`Linked ${links}, with base set to ${hertz(Math.round(baseHz))}, this motor keeps its full torque to ${hertz(usableHz)} instead of ${hertz(plateHz)}: ${amount('power', powerW)} there. The drive must give ${amps(currentA)}${delta87Hz.permitted ? '' : message`, which this one does not`}.`
      return {
        severity: 'note',
        title: message`More speed at full torque is to be had`,
        says,
        why: 'The lower-voltage links on the higher volts: the flux stays what it was built for. Its limits are the drive’s amps, the safe speed, the fan’s noise, and a winding made for the higher volts.',
        remedies: delta87Hz.permitted
          ? [
              {
                label: message`Link ${links}, base ${hertz(Math.round(baseHz))}${plan.settings.inDrive.overloadA === undefined ? '' : message`, and enter ${amps(plan.motor.lowVoltageA ?? currentA)}`}`,
                patch: [
                  set('motor.connection', delta87Hz.connection),
                  set('settings.chosen.ratedVoltageV', ceilingV),
                  set('settings.chosen.baseFrequencyHz', Math.round(baseHz)),
                  set('settings.inDrive.ratedVoltageV', undefined),
                  set('settings.inDrive.baseFrequencyHz', undefined),
                  set(
                    'settings.inDrive.overloadA',
                    plan.settings.inDrive.overloadA === undefined ? undefined : plan.motor.lowVoltageA,
                  ),
                ],
              },
            ]
          : [],
        figures: ['motor.delta87UsableHz', 'motor.delta87BaseHz', 'motor.delta87W'],
        path: 'motor.connection',
      }
    },
  ),

  judgement(
    {
      id: 'route.one-speed',
      asks: 'Whether the route gives other speeds',
      stage: 'route',
      chainLink: 'drive',
      by: 'buying',
    },
    ({ plan }) =>
      plan.route.chosen === 'converter-starters'
        ? {
            severity: 'watch',
            title: message`A converter with a starter gives one speed`,
            says: message`The machine keeps its belts and gears and the speeds they give; nothing here changes them.`,
            why: 'It is cheap for many machines and simple to keep. Soft start, a speed knob and a quick stop want a drive.',
            remedies: [{ label: message`A drive on each machine instead`, patch: [set('route.chosen', 'drive-each')] }],
            path: 'route.chosen',
          }
        : plan.route.chosen === undefined && plan.drive.ratedOutputA === undefined
          ? lacks('route.chosen')
          : good(message`The route chosen gives any speed.`),
  ),
]
