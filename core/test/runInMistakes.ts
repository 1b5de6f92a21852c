import { set } from '../src/plan'
import type { Mistake } from './mistakes'

/** What the run-in may find, each on the sound plan; what it finds by readings is tried with the run-in. */
export const runInMistakes: readonly Mistake[] = [
  [
    'run-in.seen/bare-low-direction',
    'stop',
    [set('runIn.seen', { 'bare-low.direction': 'bad' })],
    [],
    'Bare motor, slow: not as it should be',
    'The shaft turns the way that gives the spindle its forward: no. Off, locked, waited, measured; then change two motor leads at the drive. Never the supply’s.',
    'Nothing goes on to the next stage with this.',
    'runIn.seen',
  ],
  [
    'run-in.seen/first-belt-belt-track',
    'watch',
    [set('runIn.seen', { 'first-belt.belt-track': 'bad' })],
    [],
    'First belt: not as it should be',
    'The belt runs in the middle and does not walk: no. Straight edge over both pulleys: within half a millimetre for each 100 mm of distance; then crown, then a keeper.',
    'Nothing goes on to the next stage with this.',
    'runIn.seen',
  ],
  [
    'run-in.stop',
    'stop',
    [set('runIn.witness', { 'b.four-jaw.50': 'moved' })],
    [],
    'Something moved on its thread in a stop',
    'The marks across chuck and nose no longer met, 1 time.',
    'The next stop may unscrew it while it turns. A longer ramp or coast; seat it again; then the marks anew.',
    'runIn.witness',
  ],
  [
    'run-in.done',
    'stop',
    [
      set('runIn.state', 'in-use'),
      set('wiring.looseEnds', [{ id: 'a', what: 'A bridge over the enable', stop: true }]),
    ],
    ['It is still being made'],
    'It is called in use with a stop open',
    'Not to be used until undone: A bridge over the enable.',
    'Whoever works at it next trusts the word.',
    'runIn.state',
  ],
  [
    'run-in.done',
    'watch',
    [set('runIn.state', 'done'), set('wiring.looseEnds', [{ id: 'a', what: 'A shield not landed' }])],
    ['In use, with loose ends'],
    'It is called done with loose ends',
    'A shield not landed.',
    'Temporary measures are forgotten first, and found by whoever is hurt.',
    'runIn.state',
  ],
]
