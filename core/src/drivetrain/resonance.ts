import { z } from 'zod'
import { gives } from '../rules/inputs'
import { rule } from '../rules/rule'

const inertia = (of: string) => z.number().gt(0).max(1e5).describe(`kg m2, ${of}, on the shaft of the stiffness`)

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
  title: 'Resonance of the drive train',
  input: z.strictObject({
    stiffnessNmPerRad: z.number().gt(0).max(1e9).describe('N m/rad, of what joins the two'),
    inertiaMotorKgM2: inertia('motor side'),
    inertiaLoadKgM2: inertia('load side'),
  }),
  output: z.object({
    frequencyHz: gives('Hz', 'at which they shake'),
    skipFromHz: gives('Hz', 'lower end of the band to skip'),
    skipToHz: gives('Hz', 'upper end of the band to skip'),
  }),
  formula: 'f = sqrt(k (J1 + J2) / (J1 J2)) / (2 pi); skip 10 % to either side',
  source: 'Mechanics of two masses on a spring; the band is a planning value',
  example: { stiffnessNmPerRad: 400, inertiaMotorKgM2: 0.005, inertiaLoadKgM2: 0.03 },
  compute: ({ stiffnessNmPerRad, inertiaMotorKgM2: j1, inertiaLoadKgM2: j2 }) => {
    const frequencyHz = Math.sqrt((stiffnessNmPerRad * (j1 + j2)) / (j1 * j2)) / (2 * Math.PI)
    const { fromHz, toHz } = skipBand(frequencyHz)
    return { frequencyHz, skipFromHz: fromHz, skipToHz: toHz }
  },
})
