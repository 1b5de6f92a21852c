import { z } from 'zod'
import { choice, on, quantity, yesNo } from './field'

export const runControls = {
  momentary: 'Start and stop buttons',
  maintained: 'Switch that stays',
  keypad: 'The drive’s keypad',
  'main-switch': 'The main switch',
  cnc: 'CNC controller',
} as const

export const stopMeans = {
  'stop-button': 'Stop button or switch',
  'knob-zero': 'Knob turned down',
  'main-switch': 'The main switch',
} as const

export const emergencyStops = {
  none: 'None',
  'stop-input': 'Mushroom, stop input',
  'ramp-input': 'Mushroom, quick-ramp input',
  'coast-input': 'Mushroom, coast input',
  'safe-torque-off': 'Safe torque off',
  contactor: 'Supply contactor',
  'ramp-then-off': 'Ramp, then torque off',
} as const

export const references = {
  knob: 'Speed knob',
  keypad: 'Keypad arrows',
  analogue: '0-10 V from a controller',
  serial: 'Serial bus',
  presets: 'Fixed speeds',
} as const
export const knobModes = { scaled: 'Lowest to highest', clamped: 'Zero to highest' } as const

/** Whether hitting the mushroom makes the drive ramp. */
export const rampsAtMushroom = (kind: keyof typeof emergencyStops | undefined): boolean =>
  kind === 'ramp-input' || kind === 'ramp-then-off'

/** How it is run, stopped and given its speed. */
export const controlsSchema = z.strictObject({
  runBy: choice('Run by', runControls),
  stopBy: choice('Stopped by', stopMeans),
  emergencyStop: choice('Emergency stop', emergencyStops),
  quickRampS: quantity(
    'time',
    'Quick emergency ramp',
    0,
    600,
    'Where the mushroom makes the drive ramp; read from the drive',
  ),
  resetStarts: yesNo(
    'Pulling the mushroom out starts it',
    'Try it with the belt off: resetting must not start anything',
  ),
  runLamp: yesNo('Lamp that shows RUN'),
  reference: choice('Speed from', references),
  knobMode: choice('Knob reads as', knobModes),
  knobTopHz: on(
    'speeds',
    quantity(
      'frequency',
      'Hertz at the top of the knob',
      1,
      1500,
      'Where it was measured to end below the highest hertz',
    ),
  ),
  remoteKeypad: yesNo('Keypad to go on a lead'),
  stopsPerHour: on('drive', quantity('number', 'Stops an hour', 0, 3600, 'What a brake resistor must take')),
  thermistorWired: yesNo('Thermistor or thermal switch in the winding'),
  reverseWanted: yesNo('Runs in reverse too'),
  reversesOften: yesNo('Reverses all the time', 'Tapping, shaping: many times an hour'),
  reverseLocked: yesNo('Chuck is locked against unscrewing', 'A clamp or key that was made for reverse'),
})
