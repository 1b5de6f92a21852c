import { z } from 'zod'
import { rule } from '../rules/rule'

/** Feed of the table of a mill by the feed of each tooth. */
export const tableFeed = rule({
  id: 'cutting.table-feed',
  input: z.strictObject({
    feedPerToothMm: z.number().gt(0).max(50),
    teeth: z.number().int().min(1).max(400),
    speedRpm: z.number().min(0).max(2e5),
  }),
  output: z.object({ feedMmPerMin: z.number() }),
  compute: ({ feedPerToothMm, teeth, speedRpm }) => ({ feedMmPerMin: feedPerToothMm * teeth * speedRpm }),
})
