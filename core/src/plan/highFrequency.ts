import { z } from 'zod'
import { choice, on, quantity, yesNo } from './field'

export const spindleBearings = {
  'steel-greased': 'Steel, greased for life',
  'ceramic-greased': 'Ceramic balls, greased for life',
  'oil-mist': 'Oil mist or oil and air',
} as const

export const earthPins = {
  pin: 'A pin of the connector, measured',
  strap: 'A strap on its body',
  none: 'None found',
} as const

export const nutHabits = {
  'with-tool': 'Collet and tool always in',
  empty: 'Run with the nut alone',
} as const

/** A spindle for hundreds of hertz beyond its plate: what its bearings, its water and its connector want. */
export const highFrequencySchema = z.strictObject({
  secondHz: quantity('frequency', 'Second point of its plate, hertz', 10, 1500, 'Where the plate gives two'),
  secondV: quantity('voltage', 'Second point, volts', 5, 725),
  leastRpm: quantity('speed', 'Slowest it may turn', 100, 60_000, 'For its bearings and cooling, by its maker'),
  bearings: choice('Its bearings', spindleBearings),
  bearingLifeHours: quantity('number', 'Hours they last', 50, 50_000, 'By its maker; greased ones a few thousand'),
  hours: quantity('number', 'Hours it has run', 0, 1_000_000, 'By a counter, or the machine’s readings'),
  lossW: quantity('heat', 'It warms the water with', 10, 20_000, 'Its losses, by its maker; else from efficiency'),
  waterLPerMin: quantity('number', 'Water, litres a minute', 0.1, 100, 'Measured into a jug'),
  waterInC: quantity('temperature', 'Water goes in at', 0, 45),
  waterMostC: quantity('temperature', 'Water may come out at', 15, 60, 'By its maker; 35 °C usual'),
  pumpFirst: on('wiring', yesNo('The pump runs before the spindle may')),
  earthBy: on('wiring', choice('Its body is earthed by', earthPins)),
  earthOhm: on(
    'wiring',
    quantity('resistance', 'Body to the drive’s earth', 0, 1e6, 'Measured dead, from bare metal of its body'),
  ),
  nut: on('run-in', choice('Collet nut', nutHabits)),
  warmed: on('run-in', yesNo('Its grease was run in', 'Stood a month or new: by the steps here')),
})
