import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** N m of loosening torque for each mm of thread: the least of dry cases, seated by hand, friction 0.10. */
const NM_PER_MM = 0.11

/** Torque at which a chuck that was seated by hand is planned to come loose from its threaded nose. */
export const threadSeat = rule({
  id: 'workholding.thread-seat',
  input: z.strictObject({ threadMm: millimetresInput }),
  output: z.object({ seatNm: z.number() }),
  compute: ({ threadMm }) => ({ seatNm: NM_PER_MM * threadMm }),
})
