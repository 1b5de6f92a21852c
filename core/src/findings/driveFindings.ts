import { numberOf } from '../facts/figure'
import type { FigureId } from '../facts/figureId'
import { doesNotApply, good, isUnjudged, lacks, need, typed, waitsFor } from './answer'
import { set } from '../plan'
import { amps, hertz, newtonMetres, percent, message } from '../quantities'
import { findingId, judgement } from './finding'

/** A drive this near the motor's amps is as good as one that has them. */
const AS_GOOD_AS = 0.97
/** From here on it is too small. */
const TIGHT = 0.9
/** Share of base under which plain V/f has lost much of its volts in the winding. */
const WEAK_UNDER = 0.2

export const driveFindings = [
  judgement(
    {
      id: 'drive.output-too-small',
      asks: 'Drive’s amps against the motor’s',
      stage: 'drive',
      chainLink: 'drive',
      by: 'buying',
      danger: true,
    },
    ({ motor, drive, plan }) => {
      if (drive.onOnePhase && plan.drive.singlePhasePermitted !== true)
        return plan.drive.singlePhasePermitted === false
          ? doesNotApply('It may not stand on one phase at all')
          : lacks('drive.singlePhasePermitted')
      const known = need(drive.outputA, motor.plateCurrentA)
      if (isUnjudged(known)) return known
      const [outputA, plateA] = known
      if (outputA >= plateA * AS_GOOD_AS)
        return good(message`It gives ${amps(outputA)}; the motor’s plate is ${amps(plateA)}.`, {
          figures: ['drive.outputA', 'motor.plateCurrentA'],
        })
      // What is taken off for carrier, height and heat is a planning value, and no stop by itself.
      const byPlate = !drive.onOnePhase && (plan.drive.ratedOutputA ?? 0) >= plateA * AS_GOOD_AS
      const tight = outputA >= plateA * TIGHT || byPlate
      return {
        severity: tight ? 'watch' : 'stop',
        // Where only the heat of its box takes the amps away, that is where it is mended.
        follows: byPlate && plan.installation.place === 'in-box' ? findingId('installation.box-hot') : undefined,
        title: tight ? message`The drive is tight for this motor` : message`The drive is too small for this motor`,
        says: drive.onOnePhase
          ? message`On one phase it may give ${amps(outputA)} of its ${amps(plan.drive.ratedOutputA ?? 0)}; the motor’s plate is ${amps(plateA)}.`
          : message`It gives ${amps(outputA)}; the motor’s plate is ${amps(plateA)} for these links.`,
        why: tight
          ? 'Drives are matched by output amps, not by power. A tenth short it runs the motor, and trips in the heaviest cuts.'
          : 'Drives are matched by output amps, not by power. Too small, it trips in every heavy cut.',
        figures: ['drive.outputA', 'motor.plateCurrentA'],
        path: 'drive.ratedOutputA',
      }
    },
  ),

  judgement(
    {
      id: 'drive.three-phase-input-on-one',
      asks: 'Three-phase drive on one phase',
      stage: 'drive',
      chainLink: 'drive',
      by: 'buying',
      danger: true,
    },
    ({ plan, drive, tables }) => {
      if (plan.drive.input === undefined || plan.supply.phases === undefined)
        return waitsFor(typed('drive.input', plan.drive.input), typed('supply.phases', plan.supply.phases))
      if (!drive.onOnePhase) return doesNotApply('The drive has the phases it is made for')
      const permitted = plan.drive.singlePhasePermitted
      const outputA = numberOf(drive.outputA)
      if (permitted === true) {
        return plan.drive.singlePhaseFactor === undefined
          ? {
              severity: 'watch',
              about: 'typical',
              title: message`Derating for one phase is a typical value`,
              says: message`Planned at ${percent(tables.planning.singlePhaseFactor.value)} of its output${outputA === undefined ? '' : message`: ${amps(outputA)}`}. The manual may say less.`,
              why: 'On one phase the rectifier carries root three times the current and the capacitors ripple more.',
              figures: outputA === undefined ? [] : ['drive.outputA'],
              path: 'drive.singlePhaseFactor',
            }
          : good(
              message`By its manual ${percent(plan.drive.singlePhaseFactor)} of its output is left: ${amps(outputA ?? 0)}.`,
              { figures: ['drive.outputA'] },
            )
      }
      return {
        severity: 'stop',
        about: permitted === false ? 'forbidden' : 'unknown',
        title:
          permitted === false
            ? message`The manual does not allow one phase`
            : message`A three-phase drive on a one-phase wall`,
        says:
          permitted === false
            ? message`This drive must have all three phases.`
            : message`Whether the manual allows one phase, and how much output is left then, is not known.`,
        why: 'Without derating its rectifier and capacitors fail; many trip at once on a lost phase.',
        remedies:
          permitted === undefined
            ? [{ label: message`The manual allows it: derate`, patch: [set('drive.singlePhasePermitted', true)] }]
            : [],
        path: 'drive.singlePhasePermitted',
      }
    },
  ),

  judgement(
    {
      id: 'drive.rectifier',
      asks: 'Rectifier fed by one phase',
      stage: 'drive',
      chainLink: 'drive',
      by: 'buying',
      danger: true,
    },
    ({ plan, drive }) => {
      if (plan.drive.input === undefined || plan.supply.phases === undefined)
        return waitsFor(typed('drive.input', plan.drive.input), typed('supply.phases', plan.supply.phases))
      if (!drive.onOnePhase) return doesNotApply('The drive has the phases it is made for')
      if (plan.drive.singlePhasePermitted === false) return doesNotApply('It may not stand on one phase at all')
      const known = need(drive.computedInputA, typed('drive.ratedInputA', plan.drive.ratedInputA))
      if (isUnjudged(known)) return known
      const [inputA, plateA] = known
      const figures: FigureId[] = ['drive.computedInputA']
      if (inputA <= plateA) return good(message`${amps(inputA)} through a rectifier of ${amps(plateA)}.`, { figures })
      return {
        severity: 'stop',
        title: message`One phase asks too much of the rectifier`,
        says: message`At full load it takes ${amps(inputA)} through two legs; its plate is ${amps(plateA)} through three.`,
        why: 'Four of its six diodes carry everything, and they and the capacitors are made for the plate. A larger drive, or a smaller motor.',
        figures,
        path: 'drive.ratedInputA',
      }
    },
  ),

  judgement(
    {
      id: 'drive.hertz-beyond-drive',
      asks: 'Highest hertz against the drive',
      stage: 'speeds',
      chainLink: 'drive',
      by: 'first-spin',
    },
    ({ plan, settings }) => {
      const known = need(settings.maximumHz, typed('drive.maximumHz', plan.drive.maximumHz))
      if (isUnjudged(known)) return known
      const [maxHz, most] = known
      if (maxHz <= most) return good(message`The plan asks for ${hertz(maxHz)}; the drive ends at ${hertz(most)}.`)
      return {
        severity: 'stop',
        title: message`The drive cannot give these hertz`,
        says: message`The plan asks for ${hertz(maxHz)}; the drive ends at ${hertz(most)}.`,
        why: 'It will not take the value, or it will never reach it.',
        remedies: [
          {
            label: message`Lower the highest hertz to ${hertz(most)}`,
            patch: [set('settings.chosen.maximumHz', most), set('settings.inDrive.maximumHz', undefined)],
          },
        ],
        path: 'settings.chosen.maximumHz',
      }
    },
  ),

  judgement(
    {
      id: 'drive.plain-vf-at-low-hertz',
      asks: 'Pull at the lowest hertz',
      stage: 'drive',
      chainLink: 'drive',
      by: 'on-machine',
    },
    ({ plan, settings, motor, physics }) => {
      if (plan.drive.control === 'vector') return doesNotApply('Vector control pulls to about a hertz')
      const known = need(
        settings.minimumHz,
        motor.frequencyHz,
        motor.torqueNm,
        typed('drive.control', plan.drive.control),
      )
      if (isUnjudged(known)) return known
      const [low, base] = known
      if (low >= WEAK_UNDER * base) return good(message`It goes down to ${hertz(low)} only.`)
      const [pull, torque] = [numberOf(physics.lowPullNm), numberOf(motor.torqueNm)]
      return {
        severity: pull !== undefined && torque !== undefined && pull < torque ? 'watch' : 'note',
        title: message`Plain V/f pulls weakly at the slow end`,
        says: message`The plan goes down to ${hertz(low)}. ${pull === undefined || torque === undefined ? 'How much torque is left there is not known: the plate is not complete.' : message`Without boost its most is about ${newtonMetres(pull)} there; rated is ${newtonMetres(torque)}.`}`,
        why: 'At few hertz most of the volts are lost in the winding. Sensorless vector, or a lower belt position, pulls better.',
        remedies: [{ label: message`Use sensorless vector, if it has it`, patch: [set('drive.control', 'vector')] }],
        figures: pull === undefined ? [] : ['motor.lowPull'],
        path: 'drive.control',
      }
    },
  ),
]
