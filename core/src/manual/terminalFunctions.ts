/** Where a terminal stands on a drive, and so how it is wired: what carries power, what carries signals. */
export const terminalGroups = {
  mains: 'Mains',
  motor: 'Motor',
  bus: 'Bus and brake',
  earth: 'Earth',
  control: 'Control',
  relay: 'Relay',
  safety: 'Safe torque off',
  communication: 'Communication',
} as const

export type TerminalGroup = keyof typeof terminalGroups

/**
 * What a terminal does, in words that are the same for every drive, each in the group that it belongs to. The manual's own
 * word for it is the terminal's note.
 */
export const terminalFunctions = {
  'line-1': { words: 'Live, first line', group: 'mains' },
  'line-2': { words: 'Second line', group: 'mains' },
  'line-3': { words: 'Third line', group: 'mains' },
  neutral: { words: 'Neutral', group: 'mains' },
  'motor-u': { words: 'Motor, first lead', group: 'motor' },
  'motor-v': { words: 'Motor, second lead', group: 'motor' },
  'motor-w': { words: 'Motor, third lead', group: 'motor' },
  earth: { words: 'Protective earth', group: 'earth' },
  'bus-plus': { words: 'Bus, plus', group: 'bus' },
  'bus-minus': { words: 'Bus, minus', group: 'bus' },
  'resistor-1': { words: 'Brake resistor', group: 'bus' },
  'resistor-2': { words: 'Brake resistor, other end', group: 'bus' },
  'choke-1': { words: 'Choke in the bus', group: 'bus' },
  'choke-2': { words: 'Choke in the bus, other end', group: 'bus' },
  'digital-common': { words: 'Common of the switches', group: 'control' },
  'supply-24': { words: 'Gives volts for switches', group: 'control' },
  'run-forward': { words: 'Run forward', group: 'control' },
  'run-reverse': { words: 'Run in reverse', group: 'control' },
  run: { words: 'Run', group: 'control' },
  direction: { words: 'Direction', group: 'control' },
  start: { words: 'Start, pressed once', group: 'control' },
  'stop-open': { words: 'Stop, by opening', group: 'control' },
  enable: { words: 'Enable', group: 'control' },
  'quick-stop': { words: 'Quick stop, by opening', group: 'control' },
  'fault-reset': { words: 'Resets a fault', group: 'control' },
  'outside-fault': { words: 'Trips by what is outside', group: 'control' },
  jog: { words: 'Jog', group: 'control' },
  'preset-1': { words: 'Fixed speed, first bit', group: 'control' },
  'preset-2': { words: 'Fixed speed, second bit', group: 'control' },
  'preset-3': { words: 'Fixed speed, third bit', group: 'control' },
  'speed-up': { words: 'Faster', group: 'control' },
  'speed-down': { words: 'Slower', group: 'control' },
  'second-ramps': { words: 'Other ramps', group: 'control' },
  'reference-supply': { words: 'Top of the knob', group: 'control' },
  'reference-in': { words: 'Speed, volts', group: 'control' },
  'reference-current': { words: 'Speed, milliamps', group: 'control' },
  'reference-common': { words: 'Bottom of the knob', group: 'control' },
  'analogue-out': { words: 'Shows speed or amps', group: 'control' },
  'digital-out': { words: 'Signal out', group: 'control' },
  'thermistor-1': { words: 'Thermistor', group: 'control' },
  'thermistor-2': { words: 'Thermistor, other end', group: 'control' },
  'relay-common': { words: 'Relay, common', group: 'relay' },
  'relay-open': { words: 'Relay, open at rest', group: 'relay' },
  'relay-closed': { words: 'Relay, closed at rest', group: 'relay' },
  'torque-off-1': { words: 'Safe torque off, first channel', group: 'safety' },
  'torque-off-2': { words: 'Safe torque off, second channel', group: 'safety' },
  'torque-off-supply': { words: 'Supply of safe torque off', group: 'safety' },
  'bus-line-a': { words: 'Serial, A', group: 'communication' },
  'bus-line-b': { words: 'Serial, B', group: 'communication' },
  'bus-line-common': { words: 'Serial, common', group: 'communication' },
  nothing: { words: 'Nothing; leave it empty', group: 'control' },
} as const satisfies Record<string, { words: string; group: TerminalGroup }>

export type TerminalFunction = keyof typeof terminalFunctions

/** The functions of switch inputs, of which a setting may choose: each is closed to its common. */
export const switchFunctions = [
  'run-forward',
  'run-reverse',
  'run',
  'direction',
  'start',
  'stop-open',
  'enable',
  'quick-stop',
  'fault-reset',
  'outside-fault',
  'jog',
  'preset-1',
  'preset-2',
  'preset-3',
  'speed-up',
  'speed-down',
  'second-ramps',
] as const satisfies readonly TerminalFunction[]
