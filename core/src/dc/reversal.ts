import { z } from 'zod'
import { energyOf } from '../drivetrain/rotationalEnergy'
import { rpmInput, shareInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** What each way of reversing turns into heat, in times of the energy that turns: to stop it, and to run it up again. */
const ways = {
  // The armature thrown on to the other polarity: three times to stop, once to run up.
  plug: { armature: 4, resistor: 0 },
  // A braking resistor stops it, a contactor starts it again through the armature circuit.
  resistor: { armature: 1, resistor: 1 },
  // The drive ramps both; the stop goes into its braking resistor.
  ramp: { armature: 0, resistor: 1 },
  // The drive ramps both; the stop goes back to the mains.
  regenerate: { armature: 0, resistor: 0 },
} as const

/**
 * Heat of a DC motor's reversals, by how it is done. The copper of a ramp at the drive's current limit is left to the
 * motor's own amps.
 */
export const dcReversal = rule({
  id: 'dc.reversal',
  input: z.strictObject({
    inertiaKgM2: z.number().gt(0).max(1e5),
    speedRpm: rpmInput,
    way: z.enum(['plug', 'resistor', 'ramp', 'regenerate']),
    perHour: z.number().min(0).max(3600),
    returned: shareInput.default(0.8),
  }),
  output: z.object({
    energyJ: z.number(),
    armatureJ: z.number(),
    resistorJ: z.number(),
    returnedJ: z.number(),
    averageW: z.number(),
  }),
  compute: ({ inertiaKgM2, speedRpm, way, perHour, returned }) => {
    const energyJ = energyOf(inertiaKgM2, speedRpm)
    const [armatureJ, resistorJ] = [ways[way].armature * energyJ, ways[way].resistor * energyJ]
    return {
      energyJ,
      armatureJ,
      resistorJ,
      returnedJ: way === 'regenerate' ? returned * energyJ : 0,
      averageW: ((armatureJ + resistorJ) * perHour) / 3600,
    }
  },
})
