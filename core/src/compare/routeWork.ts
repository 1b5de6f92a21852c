import type { RouteId } from '../plan'

/** What a route asks of the person, and what speaks for and against it. */
export interface RouteWords {
  work: readonly string[]
  gives: string
  lacks: string
}

export const routeWords: Readonly<Record<RouteId, RouteWords>> = {
  'drive-each': {
    work: [
      'Wire a drive, its box and its controls',
      'Enter fifteen settings and read them back',
      'Bench test, then run in',
    ],
    gives: 'Speed by a knob, soft start, a quick stop; each machine on its own.',
    lacks: 'A drive to buy and to wire for every machine.',
  },
  'converter-starters': {
    work: [
      'Place and wire the converter with its own breaker',
      'Run a three-phase circuit to each machine',
      'A starter with overload for each motor',
    ],
    gives: 'Original motors, switches and two-speed motors stay as they are.',
    lacks: 'One speed a belt position, hard starts, an idler that hums and takes power all day.',
  },
  'converter-drives': {
    work: [
      'Place and wire the converter with its own breaker',
      'Run a three-phase circuit to each machine',
      'A drive with a three-phase input for each',
    ],
    gives: 'Speed by a knob with smaller drives, none derated for one phase.',
    lacks: 'Two things to pay and to fail; the made leg must hold its volts under rectifiers.',
  },
  'keep-dc': {
    work: [
      'Test and repair the old drive',
      'Brushes, commutator, field-loss trip',
      'Find the parts that will be wanted next',
    ],
    gives: 'Its feel, full torque from standstill, speed above base by the field.',
    lacks: 'Old valves or thyristors; parts that end one day.',
  },
  'fixed-dc': {
    work: [
      'Wire an armature drive that gives the field its volts',
      'A relay in the field’s circuit that drops the armature',
      'Reverse by a contactor at standstill only',
    ],
    gives: 'Full torque from standstill to base speed, with nothing old in it but the motor.',
    lacks: 'Ends at base speed: what the field gave above it is gone.',
  },
  'small-dc': {
    work: [
      'Wire an armature drive',
      'A field supply with a rheostat, a relay for a lost field, and a contact that starts it on full field only',
      'Reverse by a contactor at standstill only',
    ],
    gives: 'Full torque below base speed, and speed above it by hand.',
    lacks: 'Two knobs: a field left weak has less torque everywhere; every reversal waits for standstill.',
  },
  brushless: {
    work: ['Make a mount and a pulley', 'Wire the set and its pedal or knob'],
    gives: 'Light, quiet, strong from standstill; one parcel with its controller.',
    lacks: 'Small powers only; closed electronics, no plate to hold it against.',
  },
  kit: {
    work: ['Mount it and plug it in', 'Check its settings against this motor'],
    gives: 'Pre-wired and matched: peace of mind, and somebody to ask.',
    lacks: 'Its price; its box and its controls are what they are.',
  },
}
