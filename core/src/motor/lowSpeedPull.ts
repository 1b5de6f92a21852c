import { z } from 'zod'
import { hertzInput } from '../rules/inputs'
import { rule } from '../rules/rule'
import { circuitSchema, pullOut } from './circuit'

/** The most torque a motor gives at few hertz on a given voltage: why plain V/f has no pull there. */
export const lowSpeedPull = rule({
  id: 'motor.low-speed-pull',
  input: z.strictObject({
    circuit: circuitSchema,
    frequencyHz: hertzInput,
    outputVoltageV: z.number().gt(0).max(1e5),
  }),
  output: z.object({ peakNm: z.number() }),
  compute: ({ circuit, frequencyHz, outputVoltageV }) => ({
    peakNm: pullOut(circuit, outputVoltageV, frequencyHz).torqueNm,
  }),
})
