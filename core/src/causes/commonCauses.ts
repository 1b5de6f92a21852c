import { against, cause, type Numbers } from './causes'

/** Causes that every machine may have, whatever turns it. */

type Amps = Pick<Numbers, 'worstAmps' | 'plateA' | 'overPlate'>

export const moreAmps = ({ worstAmps, plateA, overPlate }: Amps) =>
  cause(
    'load',
    against(worstAmps, plateA),
    'More amps than the plate',
    'Amps during the work.',
    'Less load.',
    overPlate,
  )

export const heavyWork = ({ worstAmps, plateA, overPlate }: Amps) =>
  cause(
    'work',
    against(worstAmps, plateA),
    'The work takes more than the plate',
    'Amps during the work, clips put on dead.',
    'Less depth, or a slower belt position.',
    overPlate,
  )

export const drags = cause(
  'drag',
  0.3,
  'Something drags',
  'Amps with nothing cut, against the Run-in.',
  'Belt, bearings, brake.',
)

export const otherGears = cause(
  'gears',
  0.4,
  'A pair of gears more or less than was counted',
  'Turn the motor by hand and watch the spindle.',
  'Say it in the Survey.',
)

export const threeFeet = cause(
  'feet',
  0.2,
  'The motor stands on three of its feet',
  'A feeler under each foot, bolts loose.',
  'Shim, then tighten crosswise.',
)

export const beltSlips = cause('slip', 0.3, 'The belt slips', 'Motor’s rpm beside the spindle’s.', 'Tension.')

export const fastPosition = cause(
  'position',
  0.45,
  'The belt stands on a fast position',
  'The same job a position slower.',
  'The position that Speeds names for the job.',
)
