import type { Facts } from '../facts/facts'
import { judgement, type Answer } from './finding'
import { halfWritten, rampMeaning } from './entryAnswers'
import { otherHalf, inverted, overloadKind, dcHold, currentLimit, pullSpoilt } from './motorAnswers'
import { silence, directions, knobAtZero, thermistor } from './commandAnswers'

const here = (
  id: `settings.${string}`,
  asks: string,
  by: 'first-spin' | 'on-machine' | 'in-use',
  ask: (facts: Facts) => Answer,
  danger = false,
) => judgement({ id, asks, stage: 'settings', chainLink: 'drive', by, ...(danger ? { danger } : {}) }, ask)

/** What a drive holds, against what it may hold on this machine. */
export const cardFindings = [
  here('settings.half-written', 'A card entered to its end', 'first-spin', halfWritten, true),
  here('settings.other-half', 'Defaults for these mains', 'first-spin', otherHalf),
  here('settings.inverted', 'Speed input not inverted', 'first-spin', inverted, true),
  here('settings.overload-kind', 'Overload as the motor is cooled', 'first-spin', overloadKind, true),
  here('settings.ramp-meaning', 'What its ramps count', 'on-machine', rampMeaning),
  here('settings.silence', 'A bus that falls silent', 'on-machine', silence, true),
  here('settings.directions', 'Reverse locked out', 'on-machine', directions, true),
  here('settings.knob-zero', 'Knob at zero', 'on-machine', knobAtZero),
  here('settings.dc-hold', 'DC that holds the motor', 'on-machine', dcHold),
  here('settings.current-limit', 'Current limit', 'on-machine', currentLimit),
  here('settings.load-kind', 'Set for a machine’s load', 'on-machine', pullSpoilt),
  here('settings.thermistor', 'Thermistor input', 'in-use', thermistor),
]
