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
} as const satisfies Readonly<Record<string, RuleWording>>
