import { z } from 'zod'
import { hertzInput, voltsInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { circuitSchema, pullOut, solveCircuit } from './circuit'

/** Halvings until the slip is known to the last digit. */
const HALVINGS = 60

/** What a motor takes, and how far it falls back, under a torque in its air gap: the circuit solved for the slip. */
export const loadCurrent = rule({
  id: 'motor.load-current',
  input: z.strictObject({
    circuit: circuitSchema,
    voltageV: voltsInput,
    frequencyHz: hertzInput,
    torqueNm: z.number().min(0).max(1e6),
  }),
  output: z.object({ currentA: z.number(), slip: z.number(), speedRpm: z.number() }),
  compute: ({ circuit, voltageV, frequencyHz, torqueNm }) => {
    const most = pullOut(circuit, voltageV, frequencyHz)
    if (torqueNm > most.torqueNm)
      return refuse('torqueNm', `must be at most ${most.torqueNm.toFixed(2)}, where it pulls out`)
    let [low, high] = [0, most.slip]
    for (let i = 0; i < HALVINGS; i += 1) {
      const slip = (low + high) / 2
      if (solveCircuit(circuit, voltageV, frequencyHz, slip).torqueNm < torqueNm) low = slip
      else high = slip
    }
    const { currentA, speedRpm } = solveCircuit(circuit, voltageV, frequencyHz, low)
    return { currentA, slip: low, speedRpm }
  },
})
