import { z } from 'zod'
import { choice, quantity, yesNo } from './field'

export const passes = { good: 'Good', doubtful: 'Doubtful', bad: 'Bad' } as const

/** What a second-hand motor showed on the bench, drive disconnected. */
export const checksSchema = z.strictObject({
  secondHand: yesNo('Second-hand motor'),
  earthProved: yesNo(
    'Earth proved',
    'From the drive’s earth to the machine, the motor and the spindle’s body: under 0.1 Ω, power away',
  ),
  testMOhm: quantity('insulation', 'Insulation, winding to frame', 0.001, 100_000, 'A minute at 500 V direct'),
  testC: quantity('temperature', 'Winding was at', -20, 120, 'Room temperature, if it stood overnight'),
  phase1Ohm: quantity('resistance', 'Phase 1', 0.001, 10_000),
  phase2Ohm: quantity('resistance', 'Phase 2', 0.001, 10_000),
  phase3Ohm: quantity('resistance', 'Phase 3', 0.001, 10_000),
  bearings: choice('Bearings', { new: 'New ones fitted', ...passes }),
  starPoint: choice('Star point', {
    out: 'All ends are out',
    found: 'Hidden, found and brought out',
    hidden: 'Hidden inside',
  }),
  smell: choice('Smell and colour of the winding', passes),
  spin: choice('Spins by hand', passes),
})
