import type { RuleWording } from '../rules/ruleWording'

/** What the rules of DC and brushless motors say of themselves. */
export const dcRuleWords = {
  'dc.speed': {
    title: 'Speed of a DC motor by armature and field',
    formula: 'n = n_b a/phi;  T/T_r = phi;  P/P_r = a: constant torque below base, constant power above',
    citation: 'Separately excited machine, armature reaction left out; a field-loss trip is a must',
    input: {
      baseRpm: 'rpm, at full armature volts and full field',
      armatureFraction: '0 to 1, of the armature volts',
      fieldFraction: '0.1 to 1, of the flux; a lost field runs away',
      plateMaximumRpm: 'rpm, highest on the plate',
    },
    output: {
      speedRpm: 'rpm, of the motor',
      torqueFraction: '0 to 1, of rated torque at rated amps',
      powerFraction: '0 to 1, of rated power',
    },
    example: { baseRpm: 1150, armatureFraction: 1, fieldFraction: 0.5, plateMaximumRpm: 2300 },
  },
  'brushless.speed': {
    title: 'Speed of a brushless motor',
    formula: 'n_0 = Kv V_bus;  n <= 0.9 n_0 under load',
    citation: 'Back voltage of a permanent-magnet motor; a tenth is left for resistance and control (planning value)',
    input: { busV: 'V, direct, of its controller', rpmPerVolt: 'rpm/V, its speed constant' },
    output: { speedRpm: 'rpm, under load, at most', noLoadRpm: 'rpm, free running' },
    example: { busV: 325, rpmPerVolt: 14 },
  },
} as const satisfies Readonly<Record<string, RuleWording>>
