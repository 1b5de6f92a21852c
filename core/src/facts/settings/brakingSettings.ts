import { amps, message, percent } from '../../quantities'
import { numberOf } from '../figure'
import { awaits, decided, leave } from './derived'
import type { FurtherInputs } from './furtherInputs'
import type { Derived } from './settingLine'
import { actingValue } from './settingsFacts'

/** How long DC holds a motor at the end of a stop, and with how much of its plate’s amps. Planning values. */
const DC_HOLD_S = 1
const DC_SHARE = 0.8

const isDcStop = ({ settings }: FurtherInputs): boolean => actingValue(settings.lines, 'stopMode') === 'dc-brake'

/** What stops it, beside the ramp. */
export const brakingSettings = {
  chopper: ({ plan }: FurtherInputs): Derived => {
    if (plan.drive.resistor !== undefined) return decided('on', 'A brake resistor is fitted.')
    return plan.drive.brakeChopper === true
      ? decided('off', 'There is no resistor for it to switch.')
      : leave('No resistor is planned.')
  },
  chopperDuty: ({ plan, drive }: FurtherInputs): Derived => {
    const { resistor, chopperV } = plan.drive
    if (resistor === undefined) return leave('No resistor is planned.')
    const { ohm, ratedW } = resistor
    if (ohm === undefined) return awaits('drive.resistor.ohm', 'Ohms')
    if (ratedW === undefined) return awaits('drive.resistor.ratedW', 'Watts all day')
    const busV = chopperV ?? numberOf(drive.busV)
    if (busV === undefined) return awaits('drive.chopperV', 'Chopper works at')
    return {
      value: Math.floor(Math.min(1, (ratedW * ohm) / busV ** 2) * 1000) / 1000,
      basis: chopperV === undefined ? 'typical' : 'computed',
      reason: message`So that the resistor takes its ${percent(Math.min(1, (ratedW * ohm) / busV ** 2))} of the time all day without passing its watts.`,
      from: [],
    }
  },
  dcStartS: () => leave('Nothing needs holding before a start.'),
  dcStopS: (facts: FurtherInputs): Derived =>
    isDcStop(facts)
      ? {
          value: DC_HOLD_S,
          basis: 'typical',
          reason: ['Long enough to see; every second of it heats a winding that no fan cools.'],
          from: [],
        }
      : decidedZero('It stops by its ramp, or coasts; nothing holds the winding hot.'),
  dcA: (facts: FurtherInputs): Derived => {
    if (!isDcStop(facts)) return leave('It does not stop by DC.')
    const plateA = numberOf(facts.motor.plateCurrentA)
    return plateA === undefined
      ? { basis: 'typical', reason: ['Needs: the plate’s amps.'], from: [facts.motor.plateCurrentA] }
      : {
          value: Math.floor(DC_SHARE * plateA * 10) / 10,
          basis: 'typical',
          reason: message`${percent(DC_SHARE)} of the plate’s ${amps(plateA)}.`,
          from: [facts.motor.plateCurrentA],
        }
  },
}

const decidedZero = (reason: string): Derived => ({ value: 0, basis: 'computed', reason: [reason], from: [] })
