import { isKnown, numberOf } from '../facts/figure'
import { actingValue } from '../facts/settings/settingsFacts'
import { set } from '../plan'
import { amount, amps, hertz, newtonMetres, percent, message, seconds } from '../quantities'
import { judgement } from './finding'

export const driveFindings = [
  judgement('drive.output-too-small', 'drive', 'drive', ({ motor, drive, plan }) => {
    const [outputA, plateA] = [numberOf(drive.outputA), numberOf(motor.plateCurrentA)]
    if (outputA === undefined || plateA === undefined || outputA >= plateA) return undefined
    if (drive.onOnePhase && plan.drive.singlePhasePermitted !== true) return undefined
    return {
      severity: 'stop',
      title: message`The drive is too small for this motor`,
      says: drive.onOnePhase
        ? message`On one phase it may give ${amps(outputA)} of its ${amps(plan.drive.ratedOutputA ?? 0)}; the motor’s plate is ${amps(plateA)}.`
        : message`It gives ${amps(outputA)}; the motor’s plate is ${amps(plateA)} for these links.`,
      why: 'Drives are matched by output amps, not by power. Too small, it trips in every heavy cut.',
      figures: ['drive.outputA', 'motor.plateCurrentA'],
      path: 'drive.ratedOutputA',
    }
  }),

  judgement('drive.three-phase-input-on-one', 'drive', 'drive', ({ plan, drive, tables }) => {
    if (!drive.onOnePhase) return undefined
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
        : undefined
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
  }),

  judgement('drive.hertz-beyond-drive', 'speeds', 'drive', ({ plan, settings }) => {
    const [maxHz, most] = [numberOf(settings.maximumHz), plan.drive.maximumHz]
    if (maxHz === undefined || most === undefined || maxHz <= most) return undefined
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
  }),

  judgement('drive.stop-trips', 'settings', 'drive', ({ plan, settings, stop }) => {
    const [wantedS, safeS] = [numberOf(settings.decelerationS), numberOf(stop.stopS)]
    const mode = actingValue(settings.lines, 'stopMode')
    if (
      wantedS === undefined ||
      safeS === undefined ||
      mode !== 'ramp' ||
      plan.drive.resistor !== undefined ||
      wantedS >= safeS
    )
      return undefined
    const ohm = numberOf(stop.resistorOhm)
    const rounded = Math.ceil(safeS * 1.1)
    return {
      severity: 'watch',
      title: message`A stop in ${seconds(wantedS)} would trip the drive`,
      says: message`${stop.heaviest?.name ?? 'What spins'} on the position used most needs about ${seconds(safeS)} for the drive to swallow its energy.${ohm === undefined ? '' : message` A resistor of ${amount('resistance', ohm)} would take it, ${amount('power', numberOf(stop.resistorW) ?? 0)} at its peak.`}`,
      why: 'It trips on over-voltage in the middle of the stop, and from there the spindle coasts.',
      remedies: [
        {
          label: message`Set deceleration to ${seconds(rounded)}`,
          patch: [set('settings.chosen.decelerationS', rounded), set('settings.inDrive.decelerationS', undefined)],
        },
        ...(plan.drive.brakeChopper && ohm !== undefined
          ? [{ label: message`Plan a ${amount('resistance', ohm)} resistor`, patch: [set('drive.resistor', { ohm })] }]
          : []),
      ],
      figures: ['stop.withoutResistorS', 'stop.inertia'],
      path: 'settings.chosen.decelerationS',
    }
  }),

  judgement('drive.resistor-without-chopper', 'drive', 'drive', ({ plan }) =>
    plan.drive.resistor !== undefined && plan.drive.brakeChopper === false
      ? {
          severity: 'stop',
          title: message`A brake resistor on a drive without a chopper`,
          says: message`The drive has no terminals that switch a resistor.`,
          why: 'Across the bus it would be on all the time and burn. Nothing but a resistor on its own terminals is ever fed from the bus.',
          remedies: [{ label: message`Leave the resistor out`, patch: [set('drive.resistor', undefined)] }],
          path: 'drive.brakeChopper',
        }
      : undefined,
  ),

  judgement('drive.plain-vf-at-low-hertz', 'drive', 'drive', ({ plan, settings, motor, physics }) => {
    const [low, base] = [numberOf(settings.minimumHz), numberOf(motor.frequencyHz)]
    if (
      plan.drive.control !== 'vf' ||
      low === undefined ||
      base === undefined ||
      low >= 0.2 * base ||
      !isKnown(motor.torqueNm)
    )
      return undefined
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
  }),
]
