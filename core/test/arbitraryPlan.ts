import fc from 'fast-check'
import { z } from 'zod'
import { planSchema, type Plan } from '../src/plan'
import { shippedManuals } from './shippedManuals'

/** Values that a Zod schema accepts, edges of its ranges included. */
function arbitraryOf(schema: z.core.$ZodType): fc.Arbitrary<unknown> {
  if (schema instanceof z.ZodOptional) return fc.option(arbitraryOf(schema.unwrap()), { nil: undefined, freq: 3 })
  if (schema instanceof z.ZodObject)
    return fc
      .record(
        Object.fromEntries(
          Object.entries(schema.shape as Record<string, z.core.$ZodType>).map(([k, v]) => [
            k,
            // Of a manual only those that make sense: what does not fit together is refused before it is in a plan.
            k === 'manual' ? fc.constantFrom(undefined, ...shippedManuals.values()) : arbitraryOf(v),
          ]),
        ),
      )
      .map((o) => Object.fromEntries(Object.entries(o).filter(([, v]) => v !== undefined)))
  if (schema instanceof z.ZodArray) return fc.array(arbitraryOf(schema.element), { maxLength: 4 })
  if (schema instanceof z.ZodEnum) return fc.constantFrom(...schema.options)
  if (schema instanceof z.ZodUnion) return fc.oneof(...schema.options.map((o) => arbitraryOf(o)))
  if (schema instanceof z.ZodLiteral) return fc.constantFrom(...schema.values)
  if (schema instanceof z.ZodBoolean) return fc.boolean()
  if (schema instanceof z.ZodNumber) {
    const [min, max] = [schema.minValue ?? -1e6, schema.maxValue ?? 1e6]
    return schema.format === 'safeint'
      ? fc.integer({ min, max })
      : fc.oneof(fc.double({ min, max, noNaN: true }), fc.constantFrom(min, max))
  }
  if (schema instanceof z.ZodString) return fc.constantFrom('a', 'b', 'c', '90L', '56C', '230 V', '<b>')
  if (schema instanceof z.ZodRecord)
    return fc.dictionary(
      fc.constantFrom('motor.powerW', 'survey.noseThreadMm', 'constructor', 'x'),
      arbitraryOf(schema.valueType),
      {
        maxKeys: 3,
      },
    )
  throw new Error(`no arbitrary for ${schema.constructor.name}`)
}

/** Any plan that validates; list ids made unique and position references kept to what exists. */
export const arbitraryPlan: fc.Arbitrary<Plan> = arbitraryOf(planSchema).map((document) => {
  const plan = document as Plan
  for (const list of [
    plan.survey.positions,
    plan.survey.jobs,
    plan.survey.holders,
    plan.route.machines,
    plan.candidates.motors,
    plan.candidates.drives,
    plan.wiring.changes ?? [],
    plan.wiring.asFound ?? [],
    plan.wiring.looseEnds ?? [],
    plan.dial.rings ?? [],
    plan.axes ?? [],
    plan.commanded.readings ?? [],
  ])
    list.forEach((item, i) => (item.id = `i${i}`))
  const known = (id: string | undefined) => plan.survey.positions.some((p) => p.id === id)
  if (!known(plan.survey.mainPositionId)) delete plan.survey.mainPositionId
  for (const job of [...plan.survey.jobs, ...(plan.commanded.readings ?? [])])
    if (!known(job.positionId)) delete job.positionId
  return plan
})
