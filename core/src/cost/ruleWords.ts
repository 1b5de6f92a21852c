import type { RuleWording } from '../rules/ruleWording'

/** What the rules of cost say of themselves. */
export const costRuleWords = {
  'cost.sum': {
    title: 'Sum of prices',
    formula: 'sum of the prices',
    citation: 'Arithmetic',
    input: { prices: 'in one money, of each part' },
    output: { cost: 'money, of all together' },
    example: { prices: [215, 85] },
  },
  'cost.route': {
    title: 'Cost of a route',
    formula: 'C = once + machines x each + motor',
    citation: 'Arithmetic; prices as typed',
    input: {
      once: 'in one money, paid once for the shop',
      each: 'in one money, paid again for each machine',
      motor: 'in one money, of a three-phase motor where this one must go',
      machines: 'fed that way',
    },
    output: { cost: 'money, of all together' },
    example: { once: 900, each: 120, machines: 4 },
  },
  'cost.crossover': {
    title: 'Where a converter becomes cheaper',
    formula: 'floor(converter / (drive - each)) + 1',
    citation: 'Arithmetic; prices as typed',
    input: {
      converter: 'in one money, converter and its wiring',
      each: 'in one money, what each machine then still needs',
      drive: 'in one money, a drive on one machine',
    },
    output: { machines: 'machines, first whole number above' },
    example: { converter: 900, each: 120, drive: 300 },
  },
} as const satisfies Readonly<Record<string, RuleWording>>
