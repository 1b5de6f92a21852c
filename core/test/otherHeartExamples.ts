/** Plates and sets that the examples are worked on. */
export const plate = { armatureV: 180, armatureA: 10.5, powerW: 1500, baseRpm: 1750 }
export const motor = { armatureV: 180, ratedA: 10.5, armatureOhm: 1.77, baseRpm: 1750, topRpm: 3500 }
export const set48 = { busV: 48, rpmPerVolt: 80, resistanceOhm: 0.12, limitA: 30 }
export const points = [
  { frequencyHz: 100, voltageV: 90 },
  { frequencyHz: 400, voltageV: 220 },
]

/** Rules of motors that no drive for three phases turns, worked by hand: input, what must come of it, digits. */
export const otherHeartExamples: [
  string,
  Record<string, unknown>,
  Record<string, number | boolean | string>,
  number,
][] = [
  [
    'cnc.axis',
    { pulsesPerTurn: 4000, turnsPerUnit: 0.2, maxPulseHz: 100_000, motorMaximumRpm: 1200 },
    { pulsesPerUnit: 800, maxFeedPerMin: 6000, limitedBy: 'motor' },
    6,
  ],
  // Without the motor's rpm the pulses alone count: 60 x 100 000 / 800.
  [
    'cnc.axis',
    { pulsesPerTurn: 4000, turnsPerUnit: 0.2, maxPulseHz: 100_000 },
    { pulsesPerUnit: 800, maxFeedPerMin: 7500, limitedBy: 'pulses' },
    6,
  ],
  // A screw of five turns an inch by a belt of 2 : 1.
  ['cnc.axis', { pulsesPerTurn: 2000, turnsPerUnit: 10, maxPulseHz: 50_000 }, { maxFeedPerMin: 150 }, 6],
  ['cnc.axis-force', { torqueNm: 2.5, leadMm: 5, efficiency: 0.9 }, { forceN: 2827.433 }, 3],
  [
    'cnc.series-resistor',
    { supplyV: 24, inputV: 5, currentA: 0.01 },
    { ohm: 1900, suggestedOhm: 2200, currentA: 0.0086364, powerW: 0.164091, plateW: 0.5 },
    6,
  ],
  [
    'cnc.spindle-scale',
    { ratedSpeedRpm: 1420, ratedFrequencyHz: 50, maxFrequencyHz: 80, speedRatio: 0.5 },
    { rpmAtMaxFrequency: 1136 },
    6,
  ],
  ['cnc.command-for-speed', { wantedRpm: 1500, gain: 0.96, offsetRpm: -10 }, { commandedRpm: 1572.9167 }, 4],
  [
    'control.fieldbus-word',
    { frequencyHz: 47.254, resolutionHz: 0.01, maximumHz: 80 },
    { word: 4725, wordHz: 47.25, limited: false },
    6,
  ],
  [
    'control.fieldbus-word',
    { frequencyHz: 90, resolutionHz: 0.1, maximumHz: 80 },
    { word: 800, wordHz: 80, limited: true },
    6,
  ],
  ['dc.armature', plate, { inputW: 1890, efficiency: 0.793651, torqueNm: 8.18511, armatureOhm: 1.768707 }, 5],
  [
    'dc.operating-point',
    { ...motor, speedRpm: 1750, currentA: 10.5 },
    { fluxFraction: 1, terminalV: 180, torqueNm: 9.2484, heatW: 195.1425, inputW: 1890, continuous: true },
    3,
  ],
  [
    'dc.operating-point',
    { ...motor, speedRpm: 3500, currentA: 10.5 },
    { fluxFraction: 0.5, terminalV: 180, torqueNm: 4.6242, continuous: true },
    3,
  ],
  // Ripple heats by its square, and puts the same mean amps over the plate.
  [
    'dc.operating-point',
    { ...motor, speedRpm: 1750, currentA: 10.5, formFactor: 1.4 },
    { torqueNm: 9.2484, heatW: 382.4793, continuous: false },
    3,
  ],
  ['dc.form-factor', { ratedA: 10.5, formFactor: 1.4 }, { continuousA: 7.5, torqueFraction: 0.714286 }, 5],
  [
    'dc.bridge-voltage',
    { supplyV: 230, phases: 1, control: 'half', firingDeg: 45 },
    { meanV: 176.751, mostV: 207.073 },
    2,
  ],
  ['dc.bridge-voltage', { supplyV: 230, phases: 1, control: 'full', firingDeg: 60 }, { meanV: 103.536 }, 2],
  ['dc.bridge-voltage', { supplyV: 400, phases: 3, control: 'diodes' }, { meanV: 540.19, mostV: 540.19 }, 2],
  [
    'dc.field-resistor',
    { fieldV: 200, fieldA: 0.6, fluxFraction: 0.5 },
    { fieldOhm: 333.333, currentA: 0.3, seriesOhm: 333.333, powerW: 30 },
    3,
  ],
  [
    'dc.field-discharge',
    { fieldV: 200, fieldA: 0.6, mostV: 600, inductanceH: 40 },
    { mostOhm: 1000, heldW: 40, energyJ: 7.2, timeConstantS: 0.03 },
    6,
  ],
  ['dc.commutator-speed', { diameterMm: 90, speedRpm: 3500 }, { speedMPerS: 16.4934, mostRpm: 7427.23 }, 2],
  [
    'dc.reversal',
    { inertiaKgM2: 0.35, speedRpm: 600, way: 'plug', perHour: 20 },
    { energyJ: 690.872, armatureJ: 2763.489, resistorJ: 0, averageW: 15.3527 },
    3,
  ],
  [
    'dc.reversal',
    { inertiaKgM2: 0.35, speedRpm: 600, way: 'regenerate', perHour: 20 },
    { armatureJ: 0, resistorJ: 0, returnedJ: 552.698, averageW: 0 },
    3,
  ],
  [
    'brushless.torque',
    { ...set48, speedRpm: 2000 },
    { torqueNm: 3.58099, currentA: 30, powerW: 750, inputW: 858, heatW: 108, kneeRpm: 3552, noLoadRpm: 3840 },
    3,
  ],
  // Beyond the knee the volts that are left drive the amps: (48 - 46)/0.12.
  ['brushless.torque', { ...set48, speedRpm: 3680 }, { currentA: 16.6667, torqueNm: 1.98944 }, 3],
  ['brushless.frequency', { speedRpm: 6000, polePairs: 4 }, { frequencyHz: 400, stepsPerS: 2400 }, 6],
  ['brushless.bus', { secondaryV: 36 }, { lowV: 39.2384, nominalV: 48.9117, highV: 54.0029 }, 3],
  [
    'brushless.pumped-bus',
    { inertiaKgM2: 0.004, speedRpm: 3000, busV: 48, capacitanceF: 0.0047, mostV: 63 },
    { energyJ: 157.914, pumpedV: 263.628, permitted: false, wantedF: 0.189686 },
    2,
  ],
  [
    'motor.volts-on-curve',
    { points, frequencyHz: 200 },
    { voltageV: 133.3333, straightV: 110, fluxFraction: 0.825 },
    3,
  ],
  ['motor.volts-on-curve', { points, frequencyHz: 500 }, { voltageV: 220, above: true }, 6],
  ['motor.most-speed', { reachesRpm: 2649.4, safeRpm: 3600, spindleRpm: 7500 }, { speedRpm: 2649, limit: 'reach' }, 6],
  ['motor.most-speed', { reachesRpm: 5000, safeRpm: 3600 }, { speedRpm: 3600, limit: 'plate' }, 6],
  ['brushless.stall-heat', { limitA: 15, ratedA: 10.5 }, { times: 2.040816 }, 5],
  ['motor.water-rise', { lossW: 440, litresPerMin: 3 }, { riseK: 2.1022 }, 3],
  [
    'motor.carrier-ratio',
    { carrierHz: 3000, frequencyHz: 400 },
    { ratio: 7.5, enough: false, leastCarrierHz: 4000 },
    6,
  ],
]
