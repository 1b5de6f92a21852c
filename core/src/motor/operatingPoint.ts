import { z } from 'zod'
import { hertzInput, voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'
import { circuitSchema, solveCircuit } from './circuit'

/** Current, power and torque of a motor whose circuit is known, anywhere from generating to plugging. */
export const operatingPoint = rule({
  id: 'motor.operating-point',
  input: z.strictObject({
    circuit: circuitSchema,
    voltageV: voltsInput,
    frequencyHz: hertzInput,
    slip: z.number().min(-1).max(2),
  }),
  output: z.object({
    currentA: z.number(),
    powerFactor: z.number(),
    inputW: z.number(),
    airGapW: z.number(),
    torqueNm: z.number(),
    speedRpm: z.number(),
  }),
  compute: ({ circuit, voltageV, frequencyHz, slip }) => solveCircuit(circuit, voltageV, frequencyHz, slip),
})
