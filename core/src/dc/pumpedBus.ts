import { z } from 'zod'
import { energyOf } from '../drivetrain/rotationalEnergy'
import { rpmInput, shareInput, voltsInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** How high a stop pumps a bus that nothing bleeds, and the capacitance that would keep it under a limit. */
export const pumpedBus = rule({
  id: 'brushless.pumped-bus',
  input: z.strictObject({
    inertiaKgM2: z.number().gt(0).max(1e5),
    speedRpm: rpmInput,
    busV: voltsInput,
    capacitanceF: z.number().gt(0).max(10),
    mostV: voltsInput,
    efficiency: shareInput.default(0.8),
  }),
  output: z.object({
    energyJ: z.number(),
    pumpedV: z.number(),
    permitted: z.boolean(),
    wantedF: z.number().optional(),
  }),
  compute: ({ inertiaKgM2, speedRpm, busV, capacitanceF, mostV, efficiency }) => {
    const energyJ = efficiency * energyOf(inertiaKgM2, speedRpm)
    const pumpedV = Math.sqrt(busV ** 2 + (2 * energyJ) / capacitanceF)
    return {
      energyJ,
      pumpedV,
      permitted: pumpedV <= mostV,
      ...(mostV > busV ? { wantedF: (2 * energyJ) / (mostV ** 2 - busV ** 2) } : {}),
    }
  },
})
