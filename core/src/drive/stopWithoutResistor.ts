import { z } from 'zod'
import { angularSpeed } from '../drivetrain/angularSpeed'
import { gives, share, volts } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'
import { movingMass } from './rampTime'

const HALVINGS = 100

/** The shortest stop that the drive's own losses and capacitors can swallow without tripping. */
export const stopWithoutResistor = rule({
  id: 'drive.stop-without-resistor',
  title: 'Shortest stop without a brake resistor',
  input: z.strictObject({
    ...movingMass,
    efficiency: share('of motor and drive while generating'),
    busCapacitanceF: z.number().gt(0).max(10).describe('F, of the bus'),
    busV: volts('direct, on the bus before the stop'),
    tripV: volts('direct, at which the drive trips'),
    lossW: z.number().min(0).max(1e6).describe('W, the drive’s standing loss'),
  }),
  output: z.object({
    seconds: gives('s', 'shortest stop that does not trip'),
    coastSeconds: gives('s', 'to standstill on friction alone; absent without friction').optional(),
  }),
  formula:
    'P0 = eta w (J w/t - T_f);  smallest t with P0 <= L or t (P0 - L)^2/(2 P0) <= C (Vt^2 - Vb^2)/2;  coast J w/T_f',
  source: 'Energy balance of the bus over a straight ramp, the returned power falling to nothing with the speed',
  example: {
    inertiaKgM2: 0.35,
    speedRpm: 1200,
    frictionNm: 1.2,
    efficiency: 0.8,
    busCapacitanceF: 680e-6,
    busV: 325.27,
    tripV: 395,
    lossW: 40,
  },
  compute: ({ inertiaKgM2, speedRpm, frictionNm, efficiency, busCapacitanceF, busV, tripV, lossW }) => {
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
    return { seconds: long, ...(frictionNm > 0 ? { coastSeconds: (inertiaKgM2 * w) / frictionNm } : {}) }
  },
})
