import { z } from 'zod'
import { gives, hertz, volts } from '../rules/inputs'
import { rule } from '../rules/rule'
import { circuitSchema, solveCircuit } from './circuit'

/** Current, power and torque of a motor whose circuit is known, anywhere from generating to plugging. */
export const operatingPoint = rule({
  id: 'motor.operating-point',
  title: 'Current and torque from the equivalent circuit',
  input: z.strictObject({
    circuit: circuitSchema,
    voltageV: volts('between lines, rms of the fundamental'),
    frequencyHz: hertz('at the motor'),
    slip: z
      .number()
      .min(-1)
      .max(2)
      .describe('0 to 1 motoring; 0 is an open rotor; under 0 generating, over 1 plugging'),
  }),
  output: z.object({
    currentA: gives('A', 'line current'),
    powerFactor: gives('-1 to 1', 'cos phi; negative while it generates'),
    inputW: gives('W', 'into all three phases; negative while it generates'),
    airGapW: gives('W', 'across the air gap'),
    torqueNm: gives('N m', 'air-gap torque, friction not yet taken off'),
    speedRpm: gives('rpm', 'rotor speed'),
  }),
  formula:
    'per phase Z = R1 + jX1 + (jXm || R2/s + jX2), X in proportion to f;  I = V/(sqrt(3)|Z|);  P_g = 3 I2^2 R2/s;  T = P_g / w_s',
  source: 'IEEE Std 112 (equivalent circuit of a polyphase induction motor), solved exactly',
  example: {
    circuit: { r1Ohm: 1.35, x1Ohm: 1.9, r2Ohm: 1.25, x2Ohm: 1.9, xmOhm: 38, ratedFrequencyHz: 50, poles: 4 },
    voltageV: 230,
    frequencyHz: 50,
    slip: 0.05,
  },
  compute: ({ circuit, voltageV, frequencyHz, slip }) => solveCircuit(circuit, voltageV, frequencyHz, slip),
})
