import { z } from 'zod'
import { text } from '../rules/text'
import { choice, count, id, keyed, on, quantity, words, yesNo } from './field'

export const runSwitches = {
  selector: 'A new switch',
  'drum-one': 'Old drum, one pole',
  'drum-two': 'Old drum, two poles',
  foot: 'A foot switch',
  buttons: 'Buttons at the machine',
  pendant: 'A pendant on a lead',
} as const

export const isolators = {
  plug: 'The plug, in sight',
  'early-break': 'Lockable, enable opens first',
  lockable: 'Lockable switch',
  plain: 'Switch without a lock',
  none: 'None',
} as const

export const motorSwitches = {
  none: 'None',
  'early-break': 'Lockable, enable opens first',
  plain: 'A plain switch or contactor',
} as const

export const logics = { source: 'To the volts (source)', sink: 'To the common (sink)' } as const

export const relayTasks = {
  nothing: 'Nothing',
  lamp: 'A lamp',
  blower: 'The motor’s blower',
  coolant: 'A coolant pump',
  brake: 'A brake',
} as const

export const motorNumbers = {
  one: 'One',
  'two-overloads': 'Two, an overload each',
  'two-bare': 'Two, without',
} as const

export const motorConnectors = {
  none: 'None, a gland',
  'pin-earthed': 'Round, a pin earths it',
  'pin-empty': 'Round, its earth pin empty',
} as const

export const shieldLandings = {
  both: 'At both ends, all round',
  drive: 'At the drive only',
  tail: 'By a twisted tail',
  none: 'Nowhere',
} as const

export const selfStarters = {
  nothing: 'Nothing of these',
  timer: 'A timer',
  sleep: 'Sleep and wake',
  reset: 'It resets a trip',
  jog: 'A jog it remembers',
  several: 'More than one',
} as const

export const stopButtons = {
  closed: 'Opens, by a direct action',
  'closed-plain': 'Opens, nothing said of how',
  open: 'Closes when pressed',
} as const

export const testedHow = { apart: 'With the drive taken off', joined: 'With the drive joined' } as const

/** A wire that is otherwise on this machine than the plan would have it. */
export const wireChangeSchema = z.strictObject({
  id,
  kind: choice('What is different', {
    moved: 'Goes to another terminal',
    swapped: 'Changed places with another',
    added: 'A wire more',
    left: 'Left out',
    looks: 'Another colour or size',
  }),
  /** The wire by its key; of an added one the key it gets. */
  wire: text(80).meta({ label: 'Wire' }),
  other: text(80).optional().meta({ label: 'With the wire' }),
  end: choice('Which end', { from: 'From', to: 'To' }),
  from: text(80).optional().meta({ label: 'From' }),
  to: text(80).optional().meta({ label: 'To' }),
  colour: words('Colour', 20),
  areaMm2: quantity('area', 'Size', 0.05, 95),
  why: words('Why', 200),
})

export const foundWireFates = {
  off: 'Comes off',
  stays: 'Stays where it is',
  used: 'Is used again',
} as const

/** One wire as it was found before anything was stripped, and what becomes of it. */
export const foundWireSchema = z.strictObject({
  id,
  tag: words('Tag', 20, 'What you put on it, or what was printed'),
  from: words('From', 60),
  to: words('To', 60),
  colour: words('Colour', 30),
  note: words('Note', 200),
  becomes: choice('What becomes of it', foundWireFates),
  /** Of one that is used again: which wire of the new wiring it is, by its key. */
  as: text(80).optional().meta({ label: 'Used again as' }),
})

export const stepAnswers = { done: 'Done', wrong: 'Not as it should be', skipped: 'Left for later' } as const

/** What was found at one step of the build. */
export const stepRecordSchema = z.strictObject({
  answer: choice('Answer', stepAnswers),
  ticked: z.array(text(80)).max(80).optional().meta({ label: 'Ticked' }),
  tugged: z.array(text(80)).max(80).optional().meta({ label: 'Tugged' }),
  /** Of plans kept before readings were rows of their own: they count where no row says otherwise. */
  readings: z
    .record(text(80), z.number().min(-1e9).max(1e9))
    .refine((all) => Object.keys(all).length <= 40, 'at most 40 readings')
    .optional()
    .meta({ label: 'Measured' }),
  note: words('Note', 500),
  /** Of a proof: a short name for the wiring that it was made on. */
  circuit: text(12).optional().meta({ label: 'Proved on the wiring' }),
  on: text(10).optional().meta({ label: 'On' }),
})

export const partStates = { had: 'Had', ordered: 'Ordered', paid: 'Paid, on its way', wanted: 'Wanted' } as const

const partSchema = z.strictObject({
  state: choice('It is', partStates),
  price: quantity('money', 'Price', 0, 100_000),
  expectedOn: words('Expected on', 10),
})

/** Something temporary that must be undone. */
export const looseEndSchema = z.strictObject({
  id,
  what: words('What is temporary', 200),
  stop: yesNo('Not to be used until it is undone'),
  undone: yesNo('Undone'),
})

/** How the machine is wired: what was decided, what is different here, what was found, and how far the work is. */
export const wiringSchema = z.strictObject({
  runWith: choice('It is run with', runSwitches),
  isolator: choice('Isolator', isolators, 'What takes the power away before anybody opens anything'),
  isolatorA: quantity('current', 'Isolator rated', 1, 250),
  ownFuseA: quantity('current', 'Fuse or breaker of its own', 0.5, 250, 'Before this drive alone'),
  filter: yesNo('A filter of its own before the drive'),
  choke: yesNo('A choke before the drive'),
  logic: choice('Switch inputs are closed', logics, 'Source where the drive offers it: a chafed wire is then no RUN'),
  knobOhm: quantity('resistance', 'The knob’s ohms', 100, 1e6, 'End to end, measured or printed on it'),
  knobLeadM: quantity('distance', 'Lead of the knob', 0.1, 50),
  knobShielded: yesNo('The knob’s lead is shielded'),
  motorSwitch: choice('Switch between drive and motor', motorSwitches),
  motors: choice('Motors on this drive', motorNumbers),
  motorConnector: choice('At the motor', motorConnectors),
  pinU: words('Pin of the first lead', 20),
  pinV: words('Pin of the second lead', 20),
  pinW: words('Pin of the third lead', 20),
  pinEarth: words('Pin of the earth', 20),
  motorShield: choice('Shield of the motor’s cable', shieldLandings),
  motorEarthInside: yesNo('The motor’s earth runs inside its cable'),
  oneGland: yesNo('Control and power share a gland or run'),
  slackLoop: yesNo('A slack loop to a motor that moves', 'For the belt’s tension'),
  guardSwitch: yesNo('The guard has a switch'),
  pressureSwitch: yesNo('A pressure switch lets it run'),
  flowSwitch: yesNo('A flow switch lets it run'),
  coolantPump: yesNo('A coolant pump'),
  upDown: yesNo('Buttons for faster and slower'),
  presets: count('Fixed speeds', 2, 7),
  relayDoes: choice('The drive’s relay switches', relayTasks),
  blowerOwnSupply: yesNo('The blower has a supply of its own'),
  secondSupplyLabelled: yesNo('What the isolator leaves live is labelled, its wires orange'),
  thermistorOn: choice('The thermistor goes to', {
    input: 'Its own input',
    fault: 'An input for outside faults',
    nothing: 'Nothing',
  }),
  stopButton: choice('The stop mushroom', stopButtons),
  stopYellow: yesNo('It is red on yellow'),
  deadMushroom: yesNo('An old mushroom that does nothing stays in sight'),
  resetWatched: yesNo('Its reset is watched', 'A reset button of its own that must be pressed, and let go'),
  stopDelayS: quantity('time', 'Delay until the torque goes', 0.1, 60, 'What the delay relay is set to'),
  reverseWaits: yesNo('Reverse waits for standstill', 'The drive, or the switch, lets it reverse only once it stands'),
  startsItself: choice('What may start it by itself', selfStarters, 'Looked for in its settings, each read back'),
  torqueOffChannels: count('Channels of safe torque off used', 0, 2),
  insulationTested: choice('Insulation tested', testedHow),
  panelShortCircuitA: quantity(
    'current',
    'Short-circuit amps at the panel',
    100,
    100_000,
    'By whoever knows the supply',
  ),
  driveShortCircuitA: quantity('current', 'Short-circuit rating of the drive', 100, 200_000, 'By its manual'),
  // Days as they stand in a calendar, ISO 8601.
  receivedOn: words('The drive came on', 10),
  sendBackBy: words('It may go back until', 10),
  changes: z.array(wireChangeSchema).max(60).optional().meta({ label: 'Wired otherwise' }),
  // Listed before anything is stripped, long before anybody thinks of the new wiring.
  asFound: on('survey', z.array(foundWireSchema).max(120).optional().meta({ label: 'Wires as found' })),
  numbers: keyed(z.number().int().min(1).max(999), 200).optional().meta({ label: 'Wire numbers' }),
  /** What the drive is known to hold under codes that choose what terminals do; by code, as it shows them. */
  /** Side and order of cards on their sheets since the first step: negative left of the drive, from the top. */
  places: keyed(z.number().int().min(-99).max(99), 400).optional().meta({ label: 'Places on the sheets' }),
  codesHeld: keyed(text(24), 60).optional().meta({ label: 'Terminal codes as they are in the drive' }),
  steps: keyed(stepRecordSchema, 120).optional().meta({ label: 'Steps of the build' }),
  parts: keyed(partSchema, 200).optional().meta({ label: 'Parts' }),
  looseEnds: z.array(looseEndSchema).max(60).optional().meta({ label: 'Loose ends' }),
})

export type WiringChoices = z.output<typeof wiringSchema>
export type WireChange = z.output<typeof wireChangeSchema>
export type StepRecord = z.output<typeof stepRecordSchema>
