/** Continuous torque of a motor cooled by the fan on its own shaft, as shares of base frequency and rated torque. */
export const shaftFanCurve = {
  citation: 'Shape of IEC TS 60034-25 (cage motors fed by converters), one typical curve; the maker rules',
  points: [
    { frequencyFraction: 0.1, torqueFraction: 0.5 },
    { frequencyFraction: 0.2, torqueFraction: 0.65 },
    { frequencyFraction: 0.3, torqueFraction: 0.75 },
    { frequencyFraction: 0.5, torqueFraction: 0.87 },
    { frequencyFraction: 0.75, torqueFraction: 0.95 },
    { frequencyFraction: 1, torqueFraction: 1 },
  ],
}
