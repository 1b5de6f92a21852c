import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { shareInput, voltsInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { movingMass } from './rampTime'

const HALVINGS = 100

/** The shortest stop that the drive's own losses and capacitors can swallow without tripping. */
export const stopWithoutResistor = rule({
  id: 'drive.stop-without-resistor',
  input: z.strictObject({
    ...movingMass,
    efficiency: shareInput,
    busCapacitanceF: z.number().gt(0).max(10),
    busV: voltsInput,
    tripV: voltsInput,
    lossW: z.number().min(0).max(1e6),
    torqueNm: z.number().gt(0).max(1e6).optional(),
  }),
  output: z.object({
    seconds: z.number(),
    coastSeconds: z.number().optional(),
  }),
  compute: ({ inertiaKgM2, speedRpm, frictionNm, efficiency, busCapacitanceF, busV, tripV, lossW, torqueNm }) => {
    if (tripV <= busV) return refuse('tripV', `must be above busV, ${busV}`)
    if (frictionNm === 0 && lossW === 0)
      return refuse('lossW', 'must be above 0 where there is no friction: nothing would take the energy')
    const w = angularSpeed(speedRpm)
    const room = (busCapacitanceF * (tripV ** 2 - busV ** 2)) / 2
    const swallowed = (t: number): boolean => {
      const returned = efficiency * w * ((inertiaKgM2 * w) / t - frictionNm)
      return returned <= lossW || (t * (returned - lossW) ** 2) / (2 * returned) <= room
    }
    // At this length what comes back is no more than the loss, whatever the capacitors hold.
    let long = (inertiaKgM2 * w) / (frictionNm + lossW / (efficiency * w))
    let short = 0
    for (let i = 0; i < HALVINGS; i += 1) {
      const middle = (short + long) / 2
      if (swallowed(middle)) long = middle
      else short = middle
    }
    // No motor stops a mass sooner than its torque and the friction together do.
    const least = torqueNm === undefined ? 0 : (inertiaKgM2 * w) / (torqueNm + frictionNm)
    return {
      seconds: Math.max(long, least),
      ...(frictionNm > 0 ? { coastSeconds: (inertiaKgM2 * w) / frictionNm } : {}),
    }
  },
})
