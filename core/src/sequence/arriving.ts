import { WINDING_TO_FRAME } from '../readings/measurement'
import type { Plan } from '../plan'
import type { Wire, WireGroup, Wiring } from '../wiring/model'
import { endNames } from '../wiring/schedule'
import { EARTH_OHM, OWN_OHM, type Add } from './adding'
import { stepReading } from './step'

/** It arrives, and is found as it was. */
export function arriving(plan: Plan, made: Wiring, step: Add): void {
  const { wiring, drive } = plan
  step({
    id: 'arrival',
    part: 'arrive',
    title: 'Open the parcel',
    do: [
      'Look for dents, a rattle, broken plastic, wet.',
      'Count the parts against the list; note what is missing.',
      `Write down the day it came, and the day by which it may go back: first spin and ten starts before ${wiring.sendBackBy ?? 'that day'}.`,
    ],
    sees: ['Its plate says what was ordered: volts, phases, amps.'],
    wrong: {
      ask: 'Damaged, or not what was ordered',
      steps: ['Photograph it in its parcel.', 'Put nothing to the mains.', 'Write to who sent it today.'],
    },
  })
  step({
    id: 'as-found',
    part: 'as-found',
    title: 'Photographs and tags, before anything is taken off',
    do: [
      'Photograph switch, motor box and every strip, from two sides, in good light.',
      'A tag on every wire before it comes off; the list in the survey keeps what was on what.',
      'Keep the old switch and its wires: it may have to go back.',
    ],
    sees: [`${wiring.asFound?.length ?? 0} wires stand in the list so far.`],
  })
  step({
    id: 'old-dead',
    part: 'as-found',
    title: 'The old supply proved dead',
    do: [
      'Off, locked or the plug in your pocket, tried, and every conductor measured to every other and to earth.',
      'The meter tried on something live before and after.',
    ],
    sees: ['Nothing anywhere.'],
    licensed: true,
    caution: 'No one probes bare live parts: clips go on dead, covers are shut, it is read, and they come off dead.',
    looseEnd: { what: 'The old supply is not proved dead', stop: true },
  })
  const old = oldWires(plan, made)
  if (old.length > 0)
    step({
      id: 'old-off',
      part: 'as-found',
      title: 'From as found to as it will be',
      do: old,
      sees: ['What came off lies together, its tags on it: it may have to go back.'],
      caution: 'Dead and locked, as proved just now.',
    })
  if (drive.laid === 'a-year')
    step({
      id: 'reform',
      part: 'as-found',
      title: 'A drive that lay a year: its capacitors first',
      do: ['Fed slowly, through a lamp or a variable transformer, as its manual says, with nothing at its output.'],
      sees: ['No smell, no hum, no heat.'],
      licensed: true,
      looseEnd: { what: 'The drive lay long and is not reformed', stop: true },
    })
}

/** What becomes of every wire that was found, one a line; of one that nobody decided on it is said so. */
function oldWires({ wiring }: Plan, made: Wiring): string[] {
  return (wiring.asFound ?? []).map(({ tag, from, to, colour, becomes, as }) => {
    const name = `${tag === undefined ? 'One without a tag' : `Tag ${tag}`}${colour === undefined ? '' : `, ${colour}`}, from ${from ?? 'where nobody wrote'} to ${to ?? 'where nobody wrote'}`
    const next = made.wires.find(({ key }) => key === as)
    if (becomes === 'off') return `${name}: off, at both ends.`
    if (becomes === 'stays') return `${name}: stays where it is.`
    if (becomes === 'used')
      return next
        ? `${name}: is wire ${next.number} from now on, ${ends(made, next)}; its tag goes, the number comes.`
        : `${name}: is used again, and nobody said as which wire. It stays on until that is said.`
    return `${name}: nobody said what becomes of it. It stays on until that is said.`
  })
}

const ends = (made: Wiring, { from, to }: Wire): string =>
  [from, to]
    .map((end) => endNames(made, end))
    .map(({ device, terminal }) => `${device} ${terminal}`)
    .join(' to ')

/** Bonded and measured before anything else. */
export function bonding(step: Add, group: (...g: WireGroup[]) => string[]): void {
  step({
    id: 'earth',
    part: 'bond',
    title: 'Frame, motor and drive bonded first',
    do: ['Each earth wire, bare metal under its screw, tightened, tugged.'],
    wires: group('earth'),
    readings: [
      stepReading('frame', 'Frame to the earth bar', 'resistance', { most: EARTH_OHM }),
      stepReading('motor', 'Motor’s body to the earth bar', 'resistance', { most: OWN_OHM }),
    ],
    sees: [`Under ${EARTH_OHM} ohm, and the wire’s own.`],
    wrong: {
      ask: 'More ohms than that',
      steps: [
        'Paint or rust under the screw: scrape to bare metal, tighten, measure again.',
        'Still more: another wire.',
      ],
    },
    looseEnd: { what: 'Frame and motor are not bonded', stop: true },
  })
  step({
    id: 'winding',
    part: 'bond',
    title: 'The winding, with the drive off its leads',
    do: [
      'Each pair of leads measured with an ohmmeter.',
      'Insulation, winding to frame, a minute at 500 V direct. The drive is not on these wires.',
    ],
    readings: [
      stepReading('uv', 'U to V', 'resistance', { alike: 0.05 }),
      stepReading('vw', 'V to W', 'resistance', { alike: 0.05 }),
      stepReading('wu', 'W to U', 'resistance', { alike: 0.05 }),
      stepReading('insulation', 'Winding to frame', 'insulation', { least: 1 }, { of: WINDING_TO_FRAME }),
    ],
    sees: ['All three alike within 5 %; a megohm or more to the frame.'],
    caution: 'The tester’s volts go into no drive: its leads are off, and held apart.',
    wrong: {
      ask: 'Not alike, or under a megohm',
      steps: [
        'Look at the links in the box.',
        'Wet: dry it for a day at 60 °C and measure again.',
        'Else a winder looks at it.',
      ],
    },
  })
}
