import { decided, leave } from './derived'
import type { FurtherInputs } from './furtherInputs'
import type { Derived } from './settingLine'

/** Longest that a drive may run on without hearing whoever commands it. */
export const LONGEST_SILENCE_S = 1

const onBus = ({ plan }: FurtherInputs): boolean => plan.controls.reference === 'serial'

const ifOnBus =
  (made: Derived) =>
  (facts: FurtherInputs): Derived =>
    onBus(facts) ? made : leave('Nothing talks to it over a bus.')

/** How it talks with a controller, and what it does when that falls silent. */
export const serialSettings = {
  busAddress: ifOnBus({ value: 1, basis: 'computed', reason: ['The only drive on this line.'], from: [] }),
  busRate: ifOnBus(decided('19200', 'The usual rate of Modbus RTU; the same at the controller.')),
  busFraming: ifOnBus(decided('8E1', 'The usual framing of Modbus RTU; the same at the controller.')),
  busLossS: ifOnBus({
    value: LONGEST_SILENCE_S,
    basis: 'computed',
    reason: ['A controller that died must not leave the spindle turning.'],
    from: [],
  }),
  busLossDoes: ifOnBus(decided('stops', 'A controller that died must not leave the spindle turning.')),
}
