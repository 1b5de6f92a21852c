import { z } from 'zod'
import { choice, count, quantity, words, yesNo } from './field'

export const driveKinds = {
  digital: 'Digital, with a keypad',
  'trim-pot': 'Trim-potentiometers',
  brushless: 'Brushless set',
  dc: 'DC drive',
} as const
export const fieldbuses = { none: 'None', serial: 'Serial, Modbus RTU', other: 'Another' } as const
export const jumpers = {
  none: 'None',
  volts: 'Chooses the input volts',
  power: 'Chooses the motor’s power',
  phases: 'Chooses one or three phases',
} as const
export const filterLinks = { in: 'In', out: 'Out', none: 'It has none' } as const
export const laidStates = {
  used: 'In use, or new',
  'a-year': 'Lay a year or more',
  reformed: 'Lay long, and was reformed',
} as const
export const overloadClasses = {
  light: '110 % for a minute',
  normal: '150 % for a minute',
  heavy: '200 % for a few seconds',
} as const

export const driveInputs = { '1': 'One phase', '3': 'Three phases', either: 'One or three phases' } as const
export const driveModes = { vf: 'Plain V/f', vector: 'Sensorless vector' } as const

export const thermalSwitches = {
  'drops-input': 'Takes the supply off',
  'trips-drive': 'Trips the drive',
  none: 'It has none',
} as const

/** The drive's plate and what its manual says. */
export const driveSchema = z.strictObject({
  name: words('Drive', 80),
  input: choice('Input made for', driveInputs),
  inputVoltageV: quantity('voltage', 'Input volts', 90, 725, 'The lower, where a range is printed: the 200 of 200-240'),
  inputVoltageTopV: quantity('voltage', 'Input volts, to', 90, 725, 'The higher of a printed range'),
  doubler: yesNo('Doubles the voltage', 'A 120 V drive that gives 230 V to the motor'),
  powerW: quantity('power', 'Power', 50, 110_000),
  ratedOutputA: quantity('current', 'Output amps', 0.1, 600),
  ratedInputA: quantity('current', 'Input amps on its plate', 0.1, 800),
  singlePhasePermitted: yesNo('Manual allows one phase', 'For a three-phase-input drive'),
  singlePhaseFactor: quantity('fraction', 'Left on one phase, by the manual', 0.1, 1),
  manualProtectionA: quantity('current', 'Largest fuse or breaker, by the manual', 1, 400),
  brakeChopper: yesNo('Has a brake chopper', 'Terminals for a brake resistor'),
  minimumOhm: quantity('resistance', 'Smallest brake resistor, by the manual', 1, 5000),
  resistor: z
    .strictObject({
      ohm: quantity('resistance', 'Ohms', 1, 5000),
      ratedW: quantity('heat', 'Watts all day', 5, 100_000, 'As printed on it'),
      peakW: quantity(
        'heat',
        'Watts for moments',
        10,
        1_000_000,
        'What it takes for a few seconds, from its data sheet',
      ),
      thermalSwitch: choice('Its thermal switch', thermalSwitches, 'A failed chopper leaves it on the bus for good'),
    })
    .optional()
    .meta({ label: 'Brake resistor, fitted' }),
  control: choice('Motor control', driveModes),
  maximumHz: quantity('frequency', 'Highest hertz it can give', 50, 1500),
  lineStartLockout: yesNo(
    'Has line-start lockout',
    'After a power cut it waits for the run switch to be opened and closed',
  ),
  kind: choice('Kind of drive', driveKinds),
  overloadClass: choice('Overload it stands', overloadClasses),
  carrierHz: quantity('frequency', 'Carrier set', 500, 20_000, 'Higher is quieter and costs output'),
  ratedCarrierHz: quantity('frequency', 'Carrier for full amps', 500, 20_000, 'Above it the manual takes amps off'),
  ratedAmbientC: quantity('temperature', 'Full amps up to', 20, 60, '40 °C usual'),
  jumper: choice('Input jumper', jumpers, 'A link or switch inside, to be set before first power'),
  filterLink: choice('Link of its filter to earth', filterLinks, 'A screw, link or jumper, by the manual'),
  laid: choice('Without power', laidStates, 'Bus capacitors want reforming after a year'),
  jumperSet: yesNo('Jumper is set for this shop', 'Looked at with the lid off and the power away'),
  busFarad: quantity('capacitance', 'Bus capacitors', 1e-6, 0.1, 'Printed on them, or in the manual'),
  tripV: quantity('voltage', 'Over-voltage trip', 150, 1300, 'Direct volts, by the manual'),
  chopperV: quantity('voltage', 'Chopper works at', 150, 1300, 'Direct volts, by the manual'),
  riseS: quantity('time', 'Rise time of its fronts', 1e-8, 1e-5, '0.2 µs typical'),
  filterFarad: quantity('capacitance', 'Filter, to earth', 1e-10, 1e-4, 'Or work it out from the leakage it prints'),
  digitalInputs: count('Switch inputs', 0, 40),
  analogueInputs: count('Analogue inputs', 0, 10),
  relays: count('Relay outputs', 0, 10),
  thermistorInput: yesNo('Thermistor input'),
  safeTorqueOff: yesNo('Safe torque off'),
  keypadLead: yesNo('Keypad can go on a lead'),
  fieldbus: choice('Bus', fieldbuses),
  enclosure: words('Enclosure', 20, 'IP20, IP66 ...'),
  manualRating: count('Its manual, by you', 1, 5, '1 hopeless to 5 clear'),
  warrantyMonths: count('Warranty, months', 0, 240),
  price: quantity('money', 'Price', 0, 1_000_000, 'Bare, in your own money'),
  boxPrice: quantity('money', 'Box and glands', 0, 100_000),
  resistorPrice: quantity('money', 'Brake resistor', 0, 100_000),
  keypadLeadPrice: quantity('money', 'Keypad lead', 0, 100_000),
  filterPrice: quantity('money', 'Filter or choke', 0, 100_000),
})
