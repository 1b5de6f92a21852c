import { cause, type Causes } from './causes'
import { message } from '../quantities'

/** Of what happens at the wall’s side. */
export const supplyCauses: Causes<'earth-leakage' | 'died'> = {
  'earth-leakage': ({ plan, facts }) => {
    return [
      cause(
        'type',
        plan.supply.earthLeakageDevice === undefined
          ? 0.5
          : ['ac', 'a'].includes(plan.supply.earthLeakageDevice)
            ? 0.7
            : 0.2,
        'The device is not made for a drive',
        'Its symbol: F on one phase and neutral, B on the others.',
        'The type that the Drive stage names; by who may.',
        facts.branchCircuit.earthLeakageType === undefined
          ? undefined
          : message`This supply wants type ${facts.branchCircuit.earthLeakageType}.`,
      ),
      cause(
        'filter',
        0.5,
        'Filters of several drives add up',
        'Alone on the device: does it hold?',
        'A device of its own; a filter of less leakage.',
      ),
      cause('wet', 0.3, 'Damp motor or pinched cable', 'Insulation, drive taken off.', 'Dry it; a new cable.'),
    ]
  },
  died: () => {
    return [
      cause(
        'backwards',
        0.5,
        'Lines on the motor’s or the bus’ terminals',
        'Dead, waited, measured: which wire goes where?',
        'A new drive; the wire list before power.',
      ),
      cause('whiskers', 0.4, 'Strand whiskers between terminals', 'Look with a lens, dead.', 'Ferrules; tug each.'),
      cause(
        'often',
        0.35,
        'Switched by the mains, again and again',
        'How many power-ups an hour?',
        'RUN and STOP by the drive’s own control.',
      ),
      cause('fuse', 0.25, 'No fuse of its own', 'What stands before it?', 'The protection that the Drive stage names.'),
    ]
  },
}
