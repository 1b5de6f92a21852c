import { z } from 'zod'
import { rule } from '../rules/rule'

/** Torque that some amps make: what magnetises the motor is not there to turn it. */
export const torqueByCurrent = rule({
  id: 'motor.torque-by-current',
  input: z.strictObject({
    ratedTorqueNm: z.number().gt(0).max(1e6),
    ratedCurrentA: z.number().gt(0).max(1e5),
    noLoadCurrentA: z.number().min(0).max(1e5).default(0),
    currentA: z.number().min(0).max(1e6),
    fluxFraction: z.number().gt(0).max(5).default(1),
  }),
  output: z.object({ torqueNm: z.number() }),
  compute: ({ ratedTorqueNm, ratedCurrentA, noLoadCurrentA, currentA, fluxFraction }) => {
    const flux = Math.min(1, fluxFraction)
    // A plate whose no-load amps leave nothing to turn it says nothing of them.
    const magnetisingA = noLoadCurrentA < ratedCurrentA ? noLoadCurrentA : 0
    const turning = Math.sqrt(ratedCurrentA ** 2 - magnetisingA ** 2)
    const left = currentA ** 2 - (flux * magnetisingA) ** 2
    return { torqueNm: left <= 0 ? 0 : (ratedTorqueNm * flux * Math.sqrt(left)) / turning }
  },
})
