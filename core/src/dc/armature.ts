import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { ampsInput, rpmInput, voltsInput, wattsInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Share of a DC motor's losses at rated load that is copper of its armature; the rest is field, brushes and friction. */
const IN_ARMATURE = 0.5

/** What a DC motor's plate says of its armature: input, efficiency, torque, and about its resistance. */
export const dcArmature = rule({
  id: 'dc.armature',
  input: z.strictObject({
    armatureV: voltsInput,
    armatureA: ampsInput,
    powerW: wattsInput,
    baseRpm: rpmInput,
  }),
  output: z.object({
    inputW: z.number(),
    efficiency: z.number(),
    torqueNm: z.number(),
    armatureOhm: z.number(),
  }),
  compute: ({ armatureV, armatureA, powerW, baseRpm }) => {
    const inputW = armatureV * armatureA
    if (powerW >= inputW)
      return refuse(
        'powerW',
        `must be under ${inputW.toFixed(0)} W, what volts times amps put in: volts, amps and power contradict each other`,
      )
    return {
      inputW,
      efficiency: powerW / inputW,
      torqueNm: powerW / angularSpeed(baseRpm),
      armatureOhm: (IN_ARMATURE * (inputW - powerW)) / armatureA ** 2,
    }
  },
})
