import { describe, expect, test } from '@jest/globals'
import { conversion } from '../src/conversion/conversion'
import { emptyPlan } from '../src/plan'
import { shownParts, partsOfStage } from '../src/shown/shownParts'
import { stageIds } from '../src/stages/stages'
import { demoPlans } from './demoPlans'

describe('parts that are sent', () => {
  test.each([...demoPlans.values(), emptyPlan('Nothing known')])(
    'of $name are the same after their way over the wire',
    (plan) => {
      const of = conversion(plan)
      for (const [name, part] of Object.entries(shownParts)) {
        const made = of.of<unknown>(part)
        // What has no value is not written; of a thing that is shown it is the same to have none and to have it undefined.
        expect({ name, ...(JSON.parse(JSON.stringify({ made })) as object) }).toEqual({ name, made })
      }
    },
  )
  test('a stage names parts that there are, and each part is shown somewhere', () => {
    const named = stageIds.flatMap((stage) => partsOfStage[stage] ?? [])
    expect([...new Set(named)].sort()).toEqual(Object.keys(shownParts).sort())
  })
})
