import type { RuleWording } from '../rules/ruleWording'

/** What the rules of a controller's spindle and axes say of themselves. */
export const cncRuleWords = {
  'cnc.axis': {
    title: 'Pulses and feed of an axis',
    formula: 'pulses = pulses a turn x turns a unit;  feed = min(60 f_max / pulses, n_max / turns a unit)',
    citation: 'Step and direction; the motor’s rpm are those at which it still has its torque, on the volts it has',
    input: {
      pulsesPerTurn: 'of the driver as it is set, not of the motor',
      turnsPerUnit: 'of the motor for one mm, inch or degree: gear or belt by the lead of the screw',
      maxPulseHz: 'Hz, that the controller can make, or the driver take: the lower',
      motorMaximumRpm: 'rpm, of the motor at torque',
    },
    output: {
      pulsesPerUnit: 'to be set in the controller',
      maxFeedPerMin: 'units a minute, at most',
      limitedBy: 'pulses or motor, whichever is lower',
    },
    example: { pulsesPerTurn: 4000, turnsPerUnit: 0.2, maxPulseHz: 100_000, motorMaximumRpm: 1200 },
  },
  'cnc.axis-force': {
    title: 'What a screw pushes with',
    formula: 'F = 2 pi eta T / lead',
    citation: 'Work of one turn; efficiency about 0.9 of a ball screw, 0.3 of a trapezoid one (planning values)',
    input: { torqueNm: 'N m, at the screw', leadMm: 'mm, travel of one turn', efficiency: '0 to 1, of the screw' },
    output: { forceN: 'N, along the screw' },
    example: { torqueNm: 2.5, leadMm: 5, efficiency: 0.9 },
  },
  'cnc.series-resistor': {
    title: 'Resistor before an input of fewer volts',
    formula: 'R = (U_s - U_in) / I, the next above in E12;  P = (U_s - U_in)^2 / R, at most half of its plate',
    citation: 'Ohm’s law; IEC 60063 (E12); half of the plate is a planning value',
    input: {
      supplyV: 'V, that the controller switches',
      inputV: 'V, that the input wants at its amps',
      currentA: 'A, of the input',
    },
    output: {
      ohm: 'ohm, exactly',
      suggestedOhm: 'ohm, from stock',
      currentA: 'A, with that one',
      powerW: 'W, in it',
      plateW: 'W, that it is bought for',
    },
    example: { supplyV: 24, inputV: 5, currentA: 0.01 },
  },
  'cnc.spindle-scale': {
    title: 'Spindle rpm at the drive’s highest hertz',
    formula: 'n = n_r (f_max / f_r) ratio',
    citation: 'Plate speed in proportion to hertz; to be verified by a tachometer',
    input: {
      ratedSpeedRpm: 'rpm, of the plate',
      ratedFrequencyHz: 'Hz, of the plate',
      maxFrequencyHz: 'Hz, highest that the drive is set to',
      speedRatio: 'spindle rpm / motor rpm',
    },
    output: { rpmAtMaxFrequency: 'rpm, to be entered as the full command' },
    example: { ratedSpeedRpm: 1420, ratedFrequencyHz: 50, maxFrequencyHz: 80, speedRatio: 0.5 },
  },
  'cnc.command-fit': {
    title: 'True speed over the speed that is commanded',
    formula:
      'n = offset + gain c: gain = median of slopes, offset = median of n - gain c, of commands at which it turns',
    citation: 'Theil (1950) and Sen (1968); outliers beyond max(3.5 x 1.4826 MAD, 2 % of the span)',
    input: {
      readings: 'one for each command that was tried, on one range',
      'readings[].commandedRpm': 'rpm, commanded',
      'readings[].rpm': 'rpm, by tachometer; 0 where it does not turn',
    },
    output: {
      gain: 'true over commanded',
      offsetRpm: 'rpm, true at command 0 on that line',
      straight: 'true where the line fits to 2 % of the span',
      maxErrorRpm: 'rpm, the farthest that a reading which belongs lies from the line',
      deadBandRpm: 'rpm, the highest command that turned nothing',
      outliers: 'places in the list of readings that do not belong, from 0',
    },
    example: {
      readings: [
        { commandedRpm: 100, rpm: 0 },
        { commandedRpm: 500, rpm: 470 },
        { commandedRpm: 1000, rpm: 950 },
        { commandedRpm: 2000, rpm: 1910 },
        { commandedRpm: 3000, rpm: 2870 },
      ],
    },
  },
  'cnc.command-for-speed': {
    title: 'What to command for a true speed',
    formula: 'c = (n - offset) / gain',
    citation: 'The line of cnc.command-fit, turned round',
    input: { wantedRpm: 'rpm, true', gain: 'true over commanded', offsetRpm: 'rpm, true at command 0' },
    output: { commandedRpm: 'rpm, to be commanded' },
    example: { wantedRpm: 1500, gain: 0.96, offsetRpm: -10 },
  },
} as const satisfies Readonly<Record<string, RuleWording>>
