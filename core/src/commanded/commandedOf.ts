import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import { commandedRanges, type CommandedRange } from './commandedRanges'
import { registersOf } from './registersOf'
import { registerWord, type RegisterWord } from './registerWord'

/** Everything the screen of a commanded spindle shows. */
export interface Commanded {
  ranges: (Omit<CommandedRange, 'position'> & { id: string; name: string })[]
  /** What to write for some hertz, each with how it is tried; a text where the register cannot hold it. */
  words: { hz: number; word: RegisterWord | string }[]
}

/**
 * What a controller's commands come to on each range, and what its bus writes for a few hertz.
 *
 * @example commandedOf(conversion(emptyPlan('Router')).facts).ranges // []
 */
export function commandedOf(facts: Facts): Commanded {
  const [baseHz, maximumHz] = [facts.settings.baseFrequencyHz, facts.settings.maximumHz].map(numberOf)
  const { registerScale, registerMost } = registersOf(facts.plan)
  return {
    ranges: commandedRanges(facts.plan, facts.speeds.positions).map(({ position, ...rest }) => ({
      ...rest,
      id: position.position.id,
      name: position.name,
    })),
    words:
      registerScale === undefined || baseHz === undefined || maximumHz === undefined
        ? []
        : [maximumHz / 4, maximumHz / 2, maximumHz].map((hz) => ({
            hz,
            word: registerWord(registerScale, hz, { baseHz, maximumHz, most: registerMost }),
          })),
  }
}
