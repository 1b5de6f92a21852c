import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { rule } from '../rules/rule'

const massKgPerM = z.number().gt(0).max(100)

/** How tight one belt is by the hum of its plucked span. */
export const beltHum = rule({
  id: 'belt.hum',
  input: z.strictObject({ massKgPerM, spanMm: millimetresInput, hertz: z.number().gt(0).max(2000) }),
  output: z.object({ tensionN: z.number() }),
  compute: ({ massKgPerM: mass, spanMm, hertz }) => ({ tensionN: 4 * mass * (spanMm / 1000) ** 2 * hertz ** 2 }),
})

/** The hum that a belt of the right tension has. */
export const beltHumWanted = rule({
  id: 'belt.hum-wanted',
  input: z.strictObject({ massKgPerM, spanMm: millimetresInput, tensionN: z.number().gt(0).max(1e6) }),
  output: z.object({ hertz: z.number() }),
  compute: ({ massKgPerM: mass, spanMm, tensionN }) => ({ hertz: Math.sqrt(tensionN / mass) / (2 * (spanMm / 1000)) }),
})
