import { z } from 'zod'
import { rotorInertia } from '../data/rotorInertia'
import { refuse, rule } from '../rules/rule'

/** Farther than this from every frame of the table, in mm, nothing is known. */
const NEAR_MM = 12

/** Inertia of a cage rotor by its frame: the nearest height of the planning table. */
export const rotorByFrame = rule({
  id: 'inertia.rotor',
  input: z.strictObject({ frameMm: z.number().gt(0).max(1000), poles: z.number().int().min(2).max(48) }),
  output: z.object({ inertiaKgM2: z.number() }),
  compute: ({ frameMm, poles }) => {
    const [height, fourPole] = rotorInertia.fourPole.reduce((a, b) =>
      Math.abs(b[0] - frameMm) < Math.abs(a[0] - frameMm) ? b : a,
    )
    if (Math.abs(height - frameMm) > NEAR_MM)
      return refuse('frameMm', `must be near a frame of the planning table, 63 to 160 mm; this is ${frameMm}`)
    return { inertiaKgM2: poles === 2 ? fourPole * rotorInertia.twoPoleShare : fourPole }
  },
})
