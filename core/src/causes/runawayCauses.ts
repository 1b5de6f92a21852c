import { cause, type Causes } from './causes'
import { hertz, message } from '../quantities'

/** Of a machine that runs faster than asked, and of symptoms that only other hearts have, where they are told of one that has not. */
export const runawayCauses: Causes<'runs-away' | 'sparks' | 'field-lost' | 'jerks'> = {
  'runs-away': ({ plan, maxHz }) => [
    cause(
      'knob',
      plan.controls.reference === 'knob' ? 0.6 : 0.3,
      'The knob’s zero end is open, and its wiper stands at full volts',
      'Off, locked, waited: ohms from wiper to the zero end, as it is turned.',
      'Land it again; a reference that is lost must stop the drive.',
      maxHz === undefined ? undefined : message`It then runs to ${hertz(maxHz)}.`,
    ),
    cause(
      'maximum',
      0.4,
      'The highest hertz is set over the plan',
      'Read it back.',
      'Highest hertz as the card has it.',
    ),
    cause(
      'preset',
      0.3,
      'A fixed speed or jog is commanded beside the knob',
      'Each command input, watched on the display.',
      'Its task as the card has it.',
    ),
  ],
  sparks: () => [
    cause(
      'motor',
      0.5,
      'This motor has no brushes by the plan',
      'Its plate, and its end covers.',
      'Its kind, on Motor.',
    ),
    cause('switch', 0.3, 'A switch or slip ring sparks', 'Look, from aside, where.', 'A new contact; off until then.'),
  ],
  'field-lost': () => [
    cause('motor', 0.5, 'This motor has no field of its own by the plan', 'Its plate.', 'Its kind, on Motor.'),
    cause(
      'code',
      0.3,
      'The code means another thing in this drive',
      'Its manual’s list of trips.',
      'The drive on Drive, its codes in its manual.',
    ),
  ],
  jerks: () => [
    cause(
      'phase',
      0.6,
      'One motor lead is open',
      'Off, locked, waited: ohms between each two leads alike?',
      'Land it again, tug.',
    ),
    cause('tight', 0.3, 'It starts against something that is held', 'Turn by hand, locked off.', 'Free it.'),
    cause(
      'slow',
      0.3,
      'It is asked for less than it can turn at',
      'A little more on the knob.',
      'Lowest hertz as the card has it.',
    ),
  ],
}
