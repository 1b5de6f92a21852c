import { z } from 'zod'
import { rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/**
 * Pulses for one unit of travel (mm, inch or degree: whichever the turns are counted for), and the fastest feed: what
 * the controller's pulses allow, or the motor's rpm at which it still has its torque, whichever is lower.
 */
export const axis = rule({
  id: 'cnc.axis',
  input: z.strictObject({
    pulsesPerTurn: z.number().int().min(1).max(1e8),
    turnsPerUnit: z.number().gt(0).max(1e5),
    maxPulseHz: z.number().gt(0).max(1e9),
    motorMaximumRpm: rpmInput.optional(),
  }),
  output: z.object({
    pulsesPerUnit: z.number(),
    maxFeedPerMin: z.number(),
    limitedBy: z.enum(['pulses', 'motor']),
  }),
  compute: ({ pulsesPerTurn, turnsPerUnit, maxPulseHz, motorMaximumRpm = Infinity }) => {
    const pulsesPerUnit = pulsesPerTurn * turnsPerUnit
    const [byPulses, byMotor] = [(maxPulseHz * 60) / pulsesPerUnit, motorMaximumRpm / turnsPerUnit]
    return {
      pulsesPerUnit,
      maxFeedPerMin: Math.min(byPulses, byMotor),
      limitedBy: byMotor < byPulses ? ('motor' as const) : ('pulses' as const),
    }
  },
})
