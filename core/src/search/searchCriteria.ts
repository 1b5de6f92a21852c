import { z } from 'zod'

/** What may weigh first; the others follow in this order. */
export const searchKeys = {
  jobs: 'Most jobs done',
  moves: 'Fewest belt moves',
  cost: 'Least cost',
  torque: 'Most torque at the slowest job',
  heat: 'Coolest motor',
} as const

export type SearchKey = keyof typeof searchKeys

/** What a search is allowed to change, and what it must keep to. Prices in the person's own money. */
export const searchCriteriaSchema = z.strictObject({
  keepMotor: z.boolean(),
  keepDrive: z.boolean(),
  keepPulleys: z.boolean(),
  /** True where pulleys can be turned to size, not only had in the preferred diameters. */
  machined: z.boolean(),
  /** True where step pulleys of two, with one belt, may be had; of stock sizes. */
  steps: z.boolean(),
  /** True where a way that loses a job is no way. */
  everyJob: z.boolean(),
  /** True where the breaker must carry it. */
  withinBreaker: z.boolean(),
  budget: z.number().min(0).max(1e7).optional(),
  /** Of a new pair of pulleys with its belt; two steps are two pairs. */
  pulleyPrice: z.number().min(0).max(1e6).optional(),
  /** Most length over all that a motor may have, mm. */
  roomMm: z.number().gt(0).max(5000).optional(),
  first: z.enum(Object.keys(searchKeys) as [SearchKey, ...SearchKey[]]),
})

export type SearchCriteria = z.output<typeof searchCriteriaSchema>

export const usualCriteria: SearchCriteria = {
  keepMotor: false,
  keepDrive: false,
  keepPulleys: false,
  machined: false,
  steps: false,
  everyJob: false,
  withinBreaker: true,
  first: 'jobs',
}
