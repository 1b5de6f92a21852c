/**
 * What kinds of quantity the product knows, and the units each may be typed in.
 *
 * A value is always held in the dimension's base unit (the first unit listed whose factor is 1);
 * units only matter at the edges, when something is typed or printed.
 */

export type UnitSystem = 'metric' | 'imperial'

export interface Unit {
  /** As printed. */
  symbol: string
  /** Base units in one of these: 1 kW is 1000 W. */
  factor: number
  /** Added after multiplying, for temperatures. */
  offset?: number
  /** Other ways people write it, compared without case, spaces, dots and hyphens. */
  also?: readonly string[]
}

export interface DimensionKind {
  /** With its article, for messages: "a power". */
  called: string
  units: readonly Unit[]
  /** Symbols of the units to print in, per system; the first also reads a number typed bare. */
  shown: Record<UnitSystem, string>
  /** Printed instead of `shown` when the value is under this many base units. */
  small?: Partial<Record<UnitSystem, { under: number; symbol: string }>>
  /** Significant digits printed. */
  digits: number
  /** Never more decimals than this. */
  decimals: number
  /** Where a system's unit wants more of both: a thousandth of an inch is what a shop measures to. */
  finer?: Partial<Record<UnitSystem, { digits: number; decimals: number }>>
}

const unit = (symbol: string, factor: number, also: readonly string[] = [], offset?: number): Unit =>
  offset === undefined ? { symbol, factor, also } : { symbol, factor, also, offset }

const both = (symbol: string): Record<UnitSystem, string> => ({ metric: symbol, imperial: symbol })

export const MM_PER_INCH = 25.4
const M_PER_FOOT = 0.3048
const KG_PER_LB = 0.45359237
const STANDARD_GRAVITY = 9.80665
const NM_PER_LBF_FT = KG_PER_LB * STANDARD_GRAVITY * M_PER_FOOT
/** 550 foot-pounds in a second. */
const W_PER_HP = 550 * NM_PER_LBF_FT

const mPerMin = unit('m/min', 1, ['mpm', 'metres per minute'])
const ftPerMin = unit('ft/min', M_PER_FOOT, ['fpm', 'sfm', 'sfpm'])

export const dimensions = {
  power: {
    called: 'a power',
    units: [
      unit('W', 1, ['watt', 'watts']),
      unit('kW', 1000, ['kilowatt', 'kilowatts']),
      unit('hp', W_PER_HP, ['horsepower', 'bhp']),
      unit('PS', 75 * STANDARD_GRAVITY, ['cv', 'ch', 'pk', 'metric hp']),
    ] as const,
    shown: { metric: 'kW', imperial: 'hp' },
    small: { metric: { under: 100, symbol: 'W' } },
    digits: 3,
    decimals: 3,
  },
  // What becomes warmth is told in watts in every shop: resistors and boxes are sold by them.
  heat: {
    called: 'a power in watts',
    units: [
      unit('W', 1, ['watt', 'watts']),
      unit('kW', 1000, ['kilowatt', 'kilowatts']),
      unit('hp', W_PER_HP),
      unit('BTU/h', 0.29307107),
    ],
    shown: both('W'),
    digits: 3,
    decimals: 1,
  },
  energy: {
    called: 'an energy',
    units: [unit('J', 1, ['joule', 'joules']), unit('kJ', 1000)],
    shown: both('J'),
    digits: 3,
    decimals: 0,
  },
  voltage: {
    called: 'a voltage',
    units: [unit('V', 1, ['volt', 'volts', 'vac', 'vdc']), unit('kV', 1000)],
    shown: both('V'),
    digits: 3,
    decimals: 1,
  },
  current: {
    called: 'a current',
    units: [unit('A', 1, ['amp', 'amps', 'ampere', 'amperes']), unit('mA', 0.001)],
    shown: both('A'),
    small: { metric: { under: 0.1, symbol: 'mA' }, imperial: { under: 0.1, symbol: 'mA' } },
    digits: 3,
    decimals: 2,
  },
  frequency: {
    called: 'a frequency',
    units: [unit('Hz', 1, ['hertz', 'cps', 'cycles', 'cycle', 'cyc', 'cy', 'c/s']), unit('kHz', 1000)],
    shown: both('Hz'),
    digits: 4,
    decimals: 1,
  },
  speed: {
    called: 'a turning speed',
    units: [
      unit('rpm', 1, [
        'r/min',
        'min1',
        '1/min',
        '/min',
        'rev/min',
        'revs',
        'tr/min',
        'tr/mn',
        'u/min',
        'giri/min',
        'upm',
        'min⁻¹',
      ]),
    ],
    shown: both('rpm'),
    digits: 4,
    decimals: 1,
  },
  length: {
    called: 'a length',
    units: [
      unit('mm', 1),
      unit('cm', 10),
      unit('m', 1000),
      unit('in', MM_PER_INCH, ['"', "''", 'inch', 'inches', '”', '″']),
      unit('ft', MM_PER_INCH * 12, ["'", 'foot', 'feet', '′']),
    ],
    shown: { metric: 'mm', imperial: 'in' },
    digits: 4,
    decimals: 2,
    finer: { imperial: { digits: 5, decimals: 3 } },
  },
  distance: {
    called: 'a distance',
    units: [
      unit('m', 1, ['metre', 'metres', 'meter', 'meters']),
      unit('ft', M_PER_FOOT, ["'", 'foot', 'feet', '′']),
      unit('mm', 0.001),
    ],
    shown: { metric: 'm', imperial: 'ft' },
    digits: 3,
    decimals: 1,
  },
  area: {
    called: 'a wire size',
    units: [unit('mm²', 1, ['mm2', 'sqmm', 'mm^2'])],
    shown: { metric: 'mm²', imperial: 'AWG' },
    digits: 3,
    decimals: 2,
  },
  torque: {
    called: 'a torque',
    units: [
      unit('N m', 1, ['n·m', 'newtonmetre', 'newtonmetres']),
      unit('lbf ft', NM_PER_LBF_FT, ['ftlb', 'lbft', 'ftlbf', 'ftlbs']),
      unit('lbf in', NM_PER_LBF_FT / 12, ['inlb', 'lbin', 'inlbf']),
    ],
    shown: { metric: 'N m', imperial: 'lbf ft' },
    digits: 3,
    decimals: 2,
  },
  surfaceSpeed: {
    called: 'a surface speed',
    units: [mPerMin, unit('m/s', 60), ftPerMin],
    shown: { metric: 'm/min', imperial: 'ft/min' },
    digits: 3,
    decimals: 1,
  },
  beltSpeed: {
    called: 'a belt or rim speed',
    units: [unit('m/s', 1), unit('m/min', 1 / 60), unit('ft/min', M_PER_FOOT / 60, ['fpm', 'sfm', 'sfpm'])],
    shown: { metric: 'm/s', imperial: 'ft/min' },
    digits: 3,
    decimals: 1,
  },
  airflow: {
    called: 'an air flow',
    units: [unit('m³/h', 1, ['m3/h', 'cbm/h', 'm3h']), unit('cfm', 1.6990108, ['ft3/min', 'ft³/min'])],
    shown: { metric: 'm³/h', imperial: 'cfm' },
    digits: 3,
    decimals: 0,
  },
  force: {
    called: 'a force',
    units: [unit('N', 1), unit('kN', 1000), unit('lbf', KG_PER_LB * STANDARD_GRAVITY, ['lb force', 'pounds force'])],
    shown: { metric: 'N', imperial: 'lbf' },
    digits: 3,
    decimals: 0,
  },
  mass: {
    called: 'a mass',
    units: [unit('kg', 1, ['kilo', 'kilos']), unit('g', 0.001), unit('lb', KG_PER_LB, ['lbs', 'pound', 'pounds'])],
    shown: { metric: 'kg', imperial: 'lb' },
    digits: 3,
    decimals: 2,
  },
  inertia: {
    called: 'an inertia',
    units: [unit('kg m²', 1, ['kgm2']), unit('lb ft²', KG_PER_LB * M_PER_FOOT * M_PER_FOOT, ['lbft2', 'wk2'])],
    shown: { metric: 'kg m²', imperial: 'lb ft²' },
    digits: 3,
    decimals: 5,
  },
  twist: {
    called: 'a stiffness',
    units: [
      unit('N m/rad', 1, ['nm/rad']),
      unit('N m/°', 180 / Math.PI, ['nm/deg', 'nm/°', 'n m/deg']),
      unit('lbf ft/°', (NM_PER_LBF_FT * 180) / Math.PI, ['lbfft/deg', 'lb ft/deg', 'ftlb/deg']),
    ],
    shown: { metric: 'N m/°', imperial: 'lbf ft/°' },
    digits: 3,
    decimals: 1,
  },
  time: {
    called: 'a time',
    units: [
      unit('s', 1, ['sec', 'secs', 'second', 'seconds']),
      unit('min', 60, ['minute', 'minutes']),
      unit('ms', 0.001),
      unit('µs', 1e-6, ['us', 'μs', 'microseconds']),
    ],
    shown: both('s'),
    small: { metric: { under: 1e-4, symbol: 'µs' }, imperial: { under: 1e-4, symbol: 'µs' } },
    digits: 3,
    decimals: 2,
  },
  resistance: {
    called: 'a resistance',
    units: [unit('Ω', 1, ['ohm', 'ohms']), unit('kΩ', 1000, ['kohm', 'kohms', 'kilohm', 'kilohms'])],
    shown: both('Ω'),
    digits: 3,
    decimals: 2,
  },
  insulation: {
    called: 'an insulation resistance',
    units: [
      unit('MΩ', 1, ['mohm', 'mohms', 'megohm', 'megohms', 'meg']),
      unit('GΩ', 1000, ['gohm', 'gigohm']),
      unit('kΩ', 0.001, ['kohm', 'kohms']),
    ],
    shown: both('MΩ'),
    digits: 3,
    decimals: 2,
  },
  capacitance: {
    called: 'a capacitance',
    units: [unit('F', 1), unit('µF', 1e-6, ['uf', 'μf', 'mfd']), unit('nF', 1e-9)],
    shown: both('µF'),
    small: { metric: { under: 1e-6, symbol: 'nF' }, imperial: { under: 1e-6, symbol: 'nF' } },
    digits: 3,
    decimals: 2,
  },
  apparentPower: {
    called: 'an apparent power',
    units: [unit('VA', 1), unit('kVA', 1000)],
    shown: both('kVA'),
    digits: 3,
    decimals: 2,
  },
  money: {
    called: 'a price',
    units: [unit('', 1, ['£', '$', '€'])],
    shown: both(''),
    digits: 7,
    decimals: 0,
  },
  temperature: {
    called: 'a temperature',
    units: [unit('°C', 1, ['c', 'degc']), unit('°F', 5 / 9, ['f', 'degf'], (-32 * 5) / 9)],
    shown: { metric: '°C', imperial: '°F' },
    digits: 3,
    decimals: 0,
  },
  temperatureRise: {
    called: 'a rise of temperature',
    units: [unit('K', 1, ['kelvin']), unit('°F', 5 / 9)],
    shown: { metric: 'K', imperial: '°F' },
    digits: 3,
    decimals: 0,
  },
  angle: {
    called: 'an angle',
    units: [unit('°', 1, ['deg', 'degree', 'degrees'])],
    shown: both('°'),
    digits: 5,
    decimals: 1,
  },
  fraction: {
    called: 'a share',
    units: [unit('', 1), unit('%', 0.01, ['percent', 'pc'])],
    shown: both('%'),
    digits: 3,
    decimals: 1,
  },
  teeth: {
    called: 'a number of teeth',
    units: [unit('teeth', 1, ['t', 'tooth', 'z'])],
    shown: both('teeth'),
    digits: 4,
    decimals: 1,
  },
  number: {
    called: 'a plain number',
    units: [unit('', 1)],
    shown: both(''),
    digits: 4,
    decimals: 3,
  },
} as const satisfies Record<string, DimensionKind>

export type Dimension = keyof typeof dimensions

/** The dimension's table row, widened so that callers need not know which row it is. */
export const dimensionKind = (dimension: Dimension): DimensionKind => dimensions[dimension]

/** Every unit a dimension may be typed in, as printed in messages. */
export function unitsOf(dimension: Dimension): string[] {
  const symbols = dimensionKind(dimension)
    .units.map((u) => u.symbol)
    .filter((s) => s !== '')
  return dimension === 'area' ? [...symbols, 'AWG'] : symbols
}
