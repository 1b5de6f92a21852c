import type { RuleWording } from '../rules/ruleWording'

/** What the rules of controls say of themselves. */
export const controlsRuleWords = {
  'control.reference': {
    title: 'Frequency at a knob position',
    formula: 'scaled: f = min + dial (max - min);  clamped: f = max(min, dial x max)',
    citation: 'The two usual ways a drive reads an analogue reference',
    input: {
      dial: '0 to 1, knob position',
      minHz: 'Hz, lowest frequency set',
      maxHz: 'Hz, highest frequency set',
      mode: 'scaled: the knob spreads over lowest to highest; clamped: over 0 to highest, held at lowest',
    },
    output: { frequencyHz: 'Hz, frequency asked for' },
    example: { dial: 0.5, minHz: 6, maxHz: 90, mode: 'scaled' },
  },
  'control.fieldbus-word': {
    title: 'Speed word of a serial bus',
    formula: 'word = round(f / step), at most floor(f_max / step)',
    citation: 'A sixteen-bit register of frequency, in the step that the drive’s own manual gives',
    input: {
      frequencyHz: 'Hz, wanted',
      resolutionHz: 'Hz, one step of the register',
      maximumHz: 'Hz, the highest that is ever sent',
    },
    output: {
      word: 'what is written into the register',
      wordHz: 'Hz, what that is',
      limited: 'true where the highest hertz held it back',
    },
    example: { frequencyHz: 47.254, resolutionHz: 0.01, maximumHz: 80 },
  },
  'calibration.dial': {
    title: 'Speed over the marks of a dial, from readings',
    formula:
      'slope = median of (n_j - n_i) / (d_j - d_i);  intercept = median of n - slope d;  outlier beyond max(3.5 x 1.4826 MAD, 2 % of the span)',
    citation: 'Theil (1950) and Sen (1968); where no line fits to 2 % of the span, isotonic regression of what is left',
    input: {
      readings: 'one for each reading of this dial on one belt position',
      'readings[].dial': 'mark of the dial, as its plate counts',
      'readings[].rpm': 'rpm, of the spindle there',
    },
    output: {
      straight: 'true where a straight line fits to 2 % of the span',
      slope: 'rpm for each mark of the dial',
      intercept: 'rpm at mark 0',
      maxErrorRpm: 'rpm, the farthest that a reading which belongs lies from what is given',
      outliers: 'places in the list of readings that do not belong, from 0',
      table: 'one for each mark that was read',
      'table[].dial': 'mark of the dial',
      'table[].rpm': 'rpm, of the spindle there',
    },
    example: {
      readings: [
        { dial: 0, rpm: 60 },
        { dial: 2, rpm: 220 },
        { dial: 4, rpm: 380 },
        { dial: 6, rpm: 700 },
        { dial: 8, rpm: 700 },
        { dial: 10, rpm: 860 },
      ],
    },
  },
} as const satisfies Readonly<Record<string, RuleWording>>
