import { z } from 'zod'
import { amps, gives } from '../rules/inputs'
import { rule } from '../rules/rule'

const CONTINUOUS = 0.8

/** Whether a plug and socket carry a drive's input. */
export const plug = rule({
  id: 'supply.plug',
  title: 'Plug and socket of a drive',
  input: z.strictObject({
    loadA: amps('the larger of computed and plate input'),
    plugA: amps('rating of plug and socket, the smaller'),
    breakerA: amps('of the breaker in front of it').optional(),
    region: z.enum(['iec', 'nec']).describe('NEC keeps a fifth in hand for hours of load'),
  }),
  output: z.object({
    carriesA: gives('A', 'for hours'),
    permitted: z.boolean().describe('false where the load is more'),
    protected: z.boolean().describe('false where the breaker lets more through than the plug is rated for'),
  }),
  formula: 'I_load <= I_plug (0.8 of it under NEC);  I_breaker <= I_plug',
  source: 'IEC 60364-4-43 (load, protection, rating in order); NEC 210.21, 210.23 (receptacles, continuous load)',
  example: { loadA: 14.5, plugA: 16, breakerA: 16, region: 'iec' },
  compute: ({ loadA, plugA, breakerA, region }) => {
    const carriesA = region === 'nec' ? CONTINUOUS * plugA : plugA
    return { carriesA, permitted: loadA <= carriesA, protected: breakerA === undefined || breakerA <= plugA }
  },
})
