import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { ampsInput, voltsInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Torque of a brushless motor over its speed: held by the driver's amps to a knee, then by what volts are left. */
export const brushlessPoint = rule({
  id: 'brushless.torque',
  input: z.strictObject({
    busV: voltsInput,
    rpmPerVolt: z.number().gt(0).max(1e5),
    resistanceOhm: z.number().gt(0).max(1000),
    limitA: ampsInput,
    speedRpm: z.number().min(0).max(2e5),
  }),
  output: z.object({
    torqueNm: z.number(),
    currentA: z.number(),
    powerW: z.number(),
    inputW: z.number(),
    heatW: z.number(),
    kneeRpm: z.number(),
    noLoadRpm: z.number(),
    torqueNmPerA: z.number(),
  }),
  compute: ({ busV, rpmPerVolt, resistanceOhm, limitA, speedRpm }) => {
    const noLoadRpm = rpmPerVolt * busV
    if (speedRpm > noLoadRpm)
      return refuse('speedRpm', `must be at most ${noLoadRpm.toFixed(0)}: it turns no faster on these volts`)
    const torqueNmPerA = 1 / angularSpeed(rpmPerVolt)
    const currentA = Math.min(limitA, (busV - speedRpm / rpmPerVolt) / resistanceOhm)
    const torqueNm = torqueNmPerA * currentA
    const powerW = torqueNm * angularSpeed(speedRpm)
    const heatW = currentA ** 2 * resistanceOhm
    return {
      torqueNm,
      currentA,
      powerW,
      inputW: powerW + heatW,
      heatW,
      kneeRpm: Math.max(0, rpmPerVolt * (busV - limitA * resistanceOhm)),
      noLoadRpm,
      torqueNmPerA,
    }
  },
})
