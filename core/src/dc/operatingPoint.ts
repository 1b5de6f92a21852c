import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { ampsInput, rpmInput, voltsInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** Under this share of its flux a field is as good as lost. */
const LEAST_FLUX = 0.1

/**
 * A separately excited DC motor at a speed and a mean armature current: volts and flux that it wants, torque of the air
 * gap, shaft power (its own friction left out), and what heats the armature. Below base the field is full and the
 * armature's volts are lowered; above it the volts are full and the field is weakened. A rectifier's ripple heats by the
 * square of its form factor and turns nothing.
 */
export const dcOperatingPoint = rule({
  id: 'dc.operating-point',
  input: z.strictObject({
    armatureV: voltsInput,
    ratedA: ampsInput,
    armatureOhm: z.number().min(0).max(1000),
    baseRpm: rpmInput,
    topRpm: rpmInput.optional(),
    speedRpm: rpmInput,
    currentA: ampsInput,
    formFactor: z.number().min(1).max(3).default(1),
  }),
  output: z.object({
    fluxFraction: z.number(),
    terminalV: z.number(),
    torqueNm: z.number(),
    powerW: z.number(),
    heatW: z.number(),
    inputW: z.number(),
    continuous: z.boolean(),
  }),
  compute: ({ armatureV, ratedA, armatureOhm, baseRpm, topRpm, speedRpm, currentA, formFactor }) => {
    const ratedBackV = armatureV - ratedA * armatureOhm
    if (ratedBackV <= 0)
      return refuse(
        'armatureOhm',
        `must be under ${(armatureV / ratedA).toPrecision(3)}: it leaves no volts to turn by`,
      )
    if (topRpm !== undefined && speedRpm > topRpm * (1 + 1e-9))
      return refuse('speedRpm', `must be at most ${topRpm}, the top by field on the plate`)
    if (speedRpm > baseRpm && topRpm === undefined)
      return refuse('speedRpm', `must be at most ${baseRpm}: no plate says how far the field may be weakened`)
    const backVPerSpeed = ratedBackV / angularSpeed(baseRpm)
    const leftV = armatureV - currentA * armatureOhm
    if (leftV <= 0)
      return refuse(
        'currentA',
        `must be under ${(armatureV / armatureOhm).toPrecision(3)}: it leaves no volts to turn by`,
      )
    const fluxFraction = Math.min(1, leftV / (backVPerSpeed * angularSpeed(speedRpm)))
    if (fluxFraction < LEAST_FLUX)
      return refuse('speedRpm', 'must be lower: under a tenth of its flux the field is as good as lost')
    const torqueNm = backVPerSpeed * fluxFraction * currentA
    const powerW = torqueNm * angularSpeed(speedRpm)
    const heatW = (formFactor * currentA) ** 2 * armatureOhm
    return {
      fluxFraction,
      terminalV: backVPerSpeed * fluxFraction * angularSpeed(speedRpm) + currentA * armatureOhm,
      torqueNm,
      powerW,
      heatW,
      inputW: powerW + heatW,
      continuous: formFactor * currentA <= ratedA * (1 + 1e-9),
    }
  },
})
