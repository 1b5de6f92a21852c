import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import { hertz, messageText } from '../quantities'
import { ampsReadings, upReading, voltsReading, type RunInStage, type SeenItem } from './stage'

/** Hertz of a first look: a third of base, and never under what the motor turns steadily at. */
export const firstHz = (facts: Facts): number | undefined => {
  const base = numberOf(facts.settings.baseFrequencyHz)
  return base === undefined
    ? undefined
    : Math.max(Math.round(base / 3), Math.ceil(numberOf(facts.settings.minimumHz) ?? 0))
}

export const noise: SeenItem = {
  id: 'noise',
  ask: 'It runs quietly and evenly: no growl, no scrape, no hum that swells',
  stops: false,
  ifBad:
    'Growl that changes with the hand on the housing: a bearing. Scrape: fan cowl or rotor. Hum that swells: leads unlike.',
}

/** The motor by itself: clamped, belt off. At a third of base, then at base. */
export function bareStages(facts: Facts): RunInStage[] {
  const base = numberOf(facts.settings.baseFrequencyHz)
  const low = firstHz(facts)
  const print = (hz: number) => messageText([hertz(hz)])
  const at = (id: string, name: string, hz: number | undefined, first: boolean): RunInStage => ({
    id,
    name,
    do: [
      ...(first ? ['Motor clamped down, belt off, key taped or out. One person at the isolator.'] : []),
      `RUN at ${hz === undefined ? 'those hertz' : print(hz)}; wait ten seconds, then read.`,
    ],
    ...(first
      ? { caution: 'A loose key leaves the shaft like a bullet. Nothing is put on or taken off while it has power.' }
      : {}),
    ...(hz === undefined ? {} : { hz }),
    readings:
      hz === undefined
        ? []
        : [
            ...ampsReadings(facts, name.toLowerCase(), { hz, band: [0.25, 0.25] }),
            voltsReading(facts, name.toLowerCase(), hz),
            ...(first ? [] : [upReading(facts, name.toLowerCase(), hz)]),
          ],
    seen: first
      ? [
          {
            id: 'direction',
            ask: `The shaft turns the way that gives the spindle its forward`,
            stops: true,
            ifBad: 'Off, locked, waited, measured; then change two motor leads at the drive. Never the supply’s.',
          },
          noise,
        ]
      : [noise],
    hold: first
      ? 'Amps alike and as expected, direction right.'
      : 'Amps as expected at base; nothing hot, nothing loud.',
  })
  return [at('bare-low', 'Bare motor, slow', low, true), at('bare-base', 'Bare motor at base', base, false)]
}
