import { z } from 'zod'
import { gives, hertz } from '../rules/inputs'
import { rule } from '../rules/rule'
import { circuitSchema, pullOut } from './circuit'

/** The most torque a motor gives at few hertz on a given voltage: why plain V/f has no pull there. */
export const lowSpeedPull = rule({
  id: 'motor.low-speed-pull',
  title: 'Pull-out torque at low hertz',
  input: z.strictObject({
    circuit: circuitSchema,
    frequencyHz: hertz('at the motor'),
    outputVoltageV: z.number().gt(0).max(1e5).describe('V, between lines at that frequency, boost included'),
  }),
  output: z.object({ peakNm: gives('N m', 'pull-out torque at the air gap') }),
  formula: 'T_max = 3 V_th^2 / (2 w_s (R_th + sqrt(R_th^2 + (X_th + X_2)^2))), all X in proportion to f',
  source: 'IEEE Std 112 (equivalent circuit), by Thevenin’s theorem',
  example: {
    circuit: { r1Ohm: 1.35, x1Ohm: 1.9, r2Ohm: 1.25, x2Ohm: 1.9, xmOhm: 38, ratedFrequencyHz: 50, poles: 4 },
    frequencyHz: 5,
    outputVoltageV: 23,
  },
  compute: ({ circuit, frequencyHz, outputVoltageV }) => ({
    peakNm: pullOut(circuit, outputVoltageV, frequencyHz).torqueNm,
  }),
})
