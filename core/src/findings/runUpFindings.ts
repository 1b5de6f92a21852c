import { isKnown, numberOf } from '../facts/figure'
import { NONE_FITS } from '../facts/drive/stopFacts'
import type { Facts } from '../facts/facts'
import { actingValue } from '../facts/settings/settingsFacts'
import { rampsAtMushroom, set } from '../plan'
import { amount, message, seconds, type Message } from '../quantities'
import { rotationalEnergy } from '../drivetrain'
import { doesNotApply, ended, good, isUnjudged, lacks, need, typed } from './answer'
import { forSeconds } from './coasting'
import { judgement, type Answer } from './finding'

const ohms = (value: number): Message => message`${amount('resistance', value)}`
const watts = (value: number): Message => message`${amount('heat', value)}`

/** A fitted resistor against the drive, the stop, the stops of an hour, and its own fire. */
function resistor({ plan, stop, settings, drive }: Facts): Answer | Answer[] {
  const { resistor: fitted, minimumOhm, brakeChopper } = plan.drive
  if (!fitted) return doesNotApply('No brake resistor is planned')
  if (brakeChopper === false) return doesNotApply('The drive has nothing that switches it')
  const ways: Answer[] = []
  const wouldBurnW = (numberOf(drive.busV) ?? NaN) ** 2 / (fitted.ohm ?? NaN)
  ways.push(ohmsOf(fitted.ohm, minimumOhm, numberOf(stop.resistorMostOhm), settings.decelerationS))
  const meanW = numberOf(stop.resistorMeanW)
  if (fitted.ratedW === undefined || plan.controls.stopsPerHour === undefined)
    ways.push({
      ...lacks(
        ...(fitted.ratedW === undefined ? ['drive.resistor.ratedW' as const] : []),
        ...(plan.controls.stopsPerHour === undefined ? ['controls.stopsPerHour' as const] : []),
      ),
      about: 'watts',
    })
  else if (meanW === undefined) ways.push({ ...waits(stop), about: 'watts' })
  else if (meanW > fitted.ratedW)
    ways.push({
      severity: 'stop',
      about: 'watts',
      title: message`The brake resistor overheats`,
      says: message`At ${plan.controls.stopsPerHour} stops an hour it takes ${watts(meanW)} on the average; it is made for ${watts(fitted.ratedW)}.`,
      why: 'It glows, and sets alight what lies beside it.',
      figures: ['stop.resistorMeanW', 'stop.energyJ'],
      path: 'drive.resistor.ratedW',
    })
  else
    ways.push(
      good(message`It takes ${watts(meanW)} on the average of ${watts(fitted.ratedW)}.`, {
        about: 'watts',
        figures: ['stop.resistorMeanW'],
      }),
    )
  const peakW = numberOf(stop.resistorW)
  if (fitted.peakW === undefined) ways.push({ ...lacks('drive.resistor.peakW'), about: 'peak' })
  else if (peakW === undefined) ways.push({ ...waits(stop), about: 'peak' })
  else
    ways.push(
      peakW > fitted.peakW
        ? {
            severity: 'watch',
            about: 'peak',
            title: message`The brake resistor is small for one stop`,
            says: message`The stop begins with ${watts(peakW)}; it takes ${watts(fitted.peakW)} for moments.`,
            why: 'Its wire goes open, and from then on the drive trips in every stop.',
            figures: ['stop.resistorW'],
            path: 'drive.resistor.peakW',
          }
        : good(message`It takes ${watts(fitted.peakW)} for moments; the stop begins with ${watts(peakW)}.`, {
            about: 'peak',
            figures: ['stop.resistorW'],
          }),
    )
  ways.push(switchOf(fitted.thermalSwitch, wouldBurnW, fitted.ratedW))
  ways.push(
    plan.controls.emergencyStop === 'safe-torque-off'
      ? {
          severity: 'note',
          about: 'safe-torque-off',
          title: message`An emergency stop does not use the brake resistor`,
          says: message`Safe torque off takes the motor’s field away: the spindle coasts${forSeconds(plan)}, resistor or not.`,
          why: 'Only a stop by ramp sends energy to the resistor.',
          path: 'controls.emergencyStop',
        }
      : good(message`It works in every stop by ramp.`, { about: 'safe-torque-off' }),
  )
  return ways
}

const waits = (stop: Facts['stop']) => {
  const known = need(stop.resistorW)
  return isUnjudged(known) ? known : lacks()
}

function ohmsOf(
  ohm: number | undefined,
  least: number | undefined,
  most: number | undefined,
  decelerationS: Facts['settings']['decelerationS'],
): Answer {
  const about = 'ohms'
  if (ohm === undefined || least === undefined)
    return {
      ...lacks(
        ...(ohm === undefined ? ['drive.resistor.ohm' as const] : []),
        ...(least === undefined ? ['drive.minimumOhm' as const] : []),
      ),
      about,
    }
  if (ohm < least)
    return {
      severity: 'stop',
      about,
      title: message`The brake resistor has too few ohms`,
      says: message`It has ${ohms(ohm)}; the drive wants ${ohms(least)} at least.`,
      why: 'The chopper carries more than it is made for, fails shorted, and leaves the resistor on the bus for good.',
      path: 'drive.resistor.ohm',
    }
  if (most !== undefined && ohm > most) {
    const wanted = Math.ceil(((numberOf(decelerationS) ?? 0) * ohm * 1.1) / most)
    return {
      severity: 'watch',
      about,
      title: message`The brake resistor has too many ohms for this stop`,
      says: message`It has ${ohms(ohm)}; more than ${ohms(most)} does not take the peak.`,
      why: 'The bus rises past it and the drive trips in the middle of the stop; from there the spindle coasts.',
      remedies: [
        {
          label: message`Set deceleration to ${seconds(wanted)}`,
          patch: [set('settings.chosen.decelerationS', wanted), set('settings.inDrive.decelerationS', undefined)],
        },
      ],
      figures: ['stop.resistorMostOhm'],
      path: 'drive.resistor.ohm',
    }
  }
  return good(
    message`${ohms(ohm)}, over the drive’s least of ${ohms(least)}${most === undefined ? '' : message` and under the ${ohms(most)} that take the peak`}.`,
    { about },
  )
}

function switchOf(
  thermalSwitch: 'drops-input' | 'trips-drive' | 'none' | undefined,
  wouldBurnW: number,
  ratedW: number | undefined,
): Answer {
  const about = 'thermal-switch'
  if (thermalSwitch === undefined) return { ...lacks('drive.resistor.thermalSwitch'), about }
  if (thermalSwitch === 'drops-input') return good(message`Its thermal switch takes the supply off.`, { about })
  const burns = Number.isFinite(wouldBurnW)
    ? message` Left on the bus it takes ${watts(wouldBurnW)}${ratedW === undefined ? '' : message`, and it is made for ${watts(ratedW)}`}.`
    : ''
  return {
    severity: thermalSwitch === 'none' ? 'stop' : 'watch',
    about,
    title:
      thermalSwitch === 'none'
        ? message`A brake resistor without a thermal switch`
        : message`The resistor’s switch only trips the drive`,
    says: message`A chopper that fails shorted leaves it on the bus for good.${burns}`,
    why: 'Tripping the drive does not take it off: only a switch that drops the supply’s contactor does.',
    remedies: [
      {
        label: message`Its switch takes the supply off`,
        patch: [set('drive.resistor.thermalSwitch', 'drops-input')],
        mains: true,
      },
    ],
    path: 'drive.resistor.thermalSwitch',
  }
}

/** For moments a drive gives half as much again; a run-up that asks for more does not happen in its time. */
const FOR_MOMENTS = 1.5

/** Heat of DC stops, as a share of what the motor loses at full load, from which it is told. */
const HOT_SHARE = 0.5

/** How hard it starts and stops, and what that asks of drive, resistor and motor. */
export const runUpFindings = [
  judgement(
    { id: 'drive.run-up', asks: 'Run-up in its time', stage: 'settings', chainLink: 'drive', by: 'on-machine' },
    ({ settings, stop }) => {
      const acting = actingValue(settings.lines, 'accelerationS')
      const known = need(
        typed('settings.chosen.accelerationS', typeof acting === 'number' ? acting : undefined),
        stop.rampS,
      )
      if (isUnjudged(known)) return known
      const [wantedS, quickestS] = known
      const figures = ['stop.rampS', 'stop.inertia'] as const
      if (wantedS >= quickestS)
        return good(message`${seconds(wantedS)}; on rated torque it is up in ${seconds(quickestS)}.`, {
          figures: [...figures],
        })
      const beyond = wantedS * FOR_MOMENTS < quickestS
      const rounded = Math.ceil(quickestS * 1.1)
      return {
        severity: beyond ? 'watch' : 'note',
        title: beyond
          ? message`It cannot run up in ${seconds(wantedS)}`
          : message`The run-up asks more than rated torque`,
        says: message`With ${stop.heaviest?.name ?? 'what spins'} on the position used most it takes ${seconds(quickestS)} on rated torque.`,
        why: beyond
          ? 'The drive runs into its current limit or trips, the belt slips.'
          : 'For moments drive and motor give it; often in an hour they get hot.',
        remedies: [
          {
            label: message`Set acceleration to ${seconds(rounded)}`,
            patch: [set('settings.chosen.accelerationS', rounded), set('settings.inDrive.accelerationS', undefined)],
          },
        ],
        figures: [...figures],
        path: 'settings.chosen.accelerationS',
      }
    },
  ),

  judgement(
    {
      id: 'drive.stop-trips',
      asks: 'Energy of a stop',
      stage: 'settings',
      chainLink: 'drive',
      by: 'on-machine',
      danger: true,
    },
    ({ plan, settings, stop }) => {
      const mode = actingValue(settings.lines, 'stopMode')
      if (mode === undefined) return lacks('settings.chosen.stopMode')
      if (mode !== 'ramp') return doesNotApply('It does not stop by a ramp')
      if (plan.drive.resistor !== undefined) return doesNotApply('A brake resistor takes the energy')
      const known = need(settings.decelerationS, stop.stopS)
      if (isUnjudged(known)) return known
      const [wantedS, safeS] = known
      if (wantedS >= safeS)
        return good(message`${seconds(wantedS)}; the drive swallows a stop of ${seconds(safeS)}.`, {
          figures: ['stop.withoutResistorS'],
        })
      const ohm = numberOf(stop.resistorOhm)
      const noneFits =
        plan.drive.brakeChopper !== false && !isKnown(stop.resistorOhm) && stop.resistorOhm.refusal === NONE_FITS
      const rounded = Math.ceil(safeS * 1.1)
      return {
        severity: 'watch',
        title: message`A stop in ${seconds(wantedS)} would trip the drive`,
        says: message`${stop.heaviest?.name ?? 'What spins'} on the position used most needs about ${seconds(safeS)} for the drive to swallow its energy.${ohm === undefined ? '' : message` A resistor of ${amount('resistance', ohm)} would take it, ${amount('heat', numberOf(stop.resistorW) ?? 0)} at its peak.`}${noneFits ? ` ${NONE_FITS}.` : ''}${plan.survey.coastS === undefined ? '' : message` Tripped, it coasts${forSeconds(plan)}.`}`,
        why: 'It trips on over-voltage in the middle of the stop, and from there the spindle coasts.',
        remedies: [
          {
            label: message`Set deceleration to ${seconds(rounded)}`,
            patch: [set('settings.chosen.decelerationS', rounded), set('settings.inDrive.decelerationS', undefined)],
          },
          ...(plan.drive.brakeChopper && ohm !== undefined
            ? [
                {
                  label: message`Plan a ${amount('resistance', ohm)} resistor`,
                  patch: [set('drive.resistor', { ohm })],
                },
              ]
            : []),
        ],
        figures: ['stop.withoutResistorS', 'stop.inertia'],
        path: 'settings.chosen.decelerationS',
      }
    },
  ),

  judgement(
    {
      id: 'drive.resistor-without-chopper',
      asks: 'Brake resistor and chopper',
      stage: 'drive',
      chainLink: 'drive',
      by: 'buying',
      danger: true,
    },
    ({ plan }) =>
      plan.drive.resistor === undefined
        ? doesNotApply('No brake resistor is planned')
        : plan.drive.brakeChopper === false
          ? {
              severity: 'stop',
              title: message`A brake resistor on a drive without a chopper`,
              says: message`The drive has no terminals that switch a resistor.`,
              why: 'Across the bus it would be on all the time and burn. Nothing but a resistor on its own terminals is ever fed from the bus.',
              remedies: [{ label: message`Leave the resistor out`, patch: [set('drive.resistor', undefined)] }],
              path: 'drive.brakeChopper',
            }
          : plan.drive.brakeChopper === undefined
            ? lacks('drive.brakeChopper')
            : good(message`The drive has terminals that switch it.`),
  ),

  judgement(
    {
      id: 'drive.resistor',
      asks: 'Brake resistor',
      stage: 'drive',
      chainLink: 'drive',
      by: 'on-machine',
      danger: true,
    },
    resistor,
  ),

  judgement(
    {
      id: 'drive.quick-ramp',
      asks: 'Energy of the quick emergency ramp',
      stage: 'settings',
      chainLink: 'drive',
      by: 'on-machine',
      danger: true,
    },
    ({ plan, stop }) => {
      if (!rampsAtMushroom(plan.controls.emergencyStop))
        return plan.controls.emergencyStop === undefined
          ? lacks('controls.emergencyStop')
          : doesNotApply('The mushroom does not make the drive ramp')
      if (plan.drive.resistor !== undefined) return doesNotApply('A brake resistor takes the energy')
      const known = need(typed('controls.quickRampS', plan.controls.quickRampS), stop.stopS)
      if (isUnjudged(known)) return known
      const [quickS, safeS] = known
      if (quickS >= safeS)
        return good(message`${seconds(quickS)}; the drive swallows a stop of ${seconds(safeS)}.`, {
          figures: ['stop.withoutResistorS'],
        })
      const rounded = Math.ceil(safeS * 1.1)
      return {
        severity: 'watch',
        title: message`The quick emergency ramp would trip the drive`,
        says: message`In ${seconds(quickS)} more comes back than the drive swallows; it wants ${seconds(safeS)}. Tripped, the spindle coasts${forSeconds(plan)}.`,
        why: 'It trips on over-voltage, and the spindle coasts when it should stop quickest.',
        remedies: [
          { label: message`Set the quick ramp to ${seconds(rounded)}`, patch: [set('controls.quickRampS', rounded)] },
        ],
        figures: ['stop.withoutResistorS'],
        path: 'controls.quickRampS',
      }
    },
  ),

  judgement(
    {
      id: 'motor.dc-injection-heat',
      asks: 'Heat of stops by DC injection',
      stage: 'settings',
      chainLink: 'motor',
      by: 'in-use',
    },
    ({ plan, settings, stop, motor, speeds }) => {
      const mode = actingValue(settings.lines, 'stopMode')
      if (mode === undefined) return lacks('settings.chosen.stopMode')
      if (mode !== 'dc-brake') return doesNotApply('It is not stopped by DC injection')
      const known = need(
        stop.inertia,
        speeds.main?.unloadedTopRpm ?? typed('survey.mainPositionId', undefined),
        typed('controls.stopsPerHour', plan.controls.stopsPerHour),
        typed('motor.powerW', plan.motor.powerW),
        motor.efficiency,
      )
      if (isUnjudged(known)) return known
      const [inertiaKgM2, speedRpm, stopsPerHour, powerW, efficiency] = known
      const turning = rotationalEnergy.run({ inertiaKgM2, speedRpm })
      if (!turning.ok) return ended('What turns lies outside what the rule is for')
      const heatW = (turning.value.energyJ * stopsPerHour) / 3600
      const lossW = powerW * (1 / efficiency - 1)
      if (heatW <= HOT_SHARE * lossW)
        return good(message`${watts(heatW)} on the average; at full load it loses ${watts(lossW)}.`)
      return {
        severity: 'watch',
        title: message`Stops by DC injection heat the motor`,
        says: message`${stopsPerHour} an hour leave ${watts(heatW)} in its rotor; at full load it loses ${watts(lossW)} in all.`,
        why: 'What turned becomes heat in the rotor, and at a stand no fan takes it away.',
        remedies: [
          {
            label: message`Ramp down instead`,
            patch: [set('settings.chosen.stopMode', 'ramp'), set('settings.inDrive.stopMode', undefined)],
          },
        ],
        path: 'controls.stopsPerHour',
      }
    },
  ),
]
