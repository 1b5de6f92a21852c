import { z } from 'zod'
import { rule } from '../rules/rule'

const inertia = z.number().gt(0).max(1e5)

/** Share of the resonance to either side that the drive is told to skip. */
const SKIP = 0.1

/** The band about a frequency that is passed through without staying, Hz. */
export const skipBand = (hz: number): { fromHz: number; toHz: number } => ({
  fromHz: (1 - SKIP) * hz,
  toHz: (1 + SKIP) * hz,
})

/** Frequency at which motor and load shake against each other through belt or shaft. */
export const drivetrainResonance = rule({
  id: 'drivetrain.resonance',
  input: z.strictObject({
    stiffnessNmPerRad: z.number().gt(0).max(1e9),
    inertiaMotorKgM2: inertia,
    inertiaLoadKgM2: inertia,
  }),
  output: z.object({
    frequencyHz: z.number(),
    skipFromHz: z.number(),
    skipToHz: z.number(),
  }),
  compute: ({ stiffnessNmPerRad, inertiaMotorKgM2: j1, inertiaLoadKgM2: j2 }) => {
    const frequencyHz = Math.sqrt((stiffnessNmPerRad * (j1 + j2)) / (j1 * j2)) / (2 * Math.PI)
    const { fromHz, toHz } = skipBand(frequencyHz)
    return { frequencyHz, skipFromHz: fromHz, skipToHz: toHz }
  },
})
