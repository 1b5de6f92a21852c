import { z } from 'zod'
import { metresPerSecondInput, millimetresInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { DESIGN_PER_RADIAN } from './beltGrip'

/** Torque at which a belt set to a tension begins to slip; the inverse of belt.tension. */
export const beltSlipTorque = rule({
  id: 'belt.slip-torque',
  input: z.strictObject({
    staticTensionN: z.number().gt(0).max(1e5),
    diameterMm: millimetresInput,
    wrapSmallDeg: z.number().gt(0).max(360),
    massKgPerM: z.number().min(0).max(100).default(0),
    speedMPerS: metresPerSecondInput.or(z.literal(0)).default(0),
  }),
  output: z.object({ torqueNm: z.number() }),
  compute: ({ staticTensionN, diameterMm, wrapSmallDeg, massKgPerM, speedMPerS }) => {
    const flungN = massKgPerM * speedMPerS ** 2
    if (staticTensionN <= flungN)
      return refuse(
        'staticTensionN',
        `must be above ${flungN.toFixed(1)}: at that speed the belt is flung off its pulley`,
      )
    const grip = Math.exp((DESIGN_PER_RADIAN * wrapSmallDeg * Math.PI) / 180)
    const pullN = (2 * (staticTensionN - flungN) * (grip - 1)) / (grip + 1)
    return { torqueNm: (pullN * diameterMm) / 2000 }
  },
})
