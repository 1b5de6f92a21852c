import { z } from 'zod'

/** One key of a rule's input or output, as its documentation shows it. */
export const fieldLineSchema = z.strictObject({
  key: z.string(),
  needed: z.boolean(),
  takes: z.string(),
  meaning: z.string(),
})

/** What a rule says of itself. */
export const ruleWordsSchema = z.strictObject({
  id: z.string(),
  title: z.string(),
  formula: z.string(),
  citation: z.string(),
  input: z.array(fieldLineSchema),
  output: z.array(fieldLineSchema),
  example: z.record(z.string(), z.unknown()),
})

export const ruleLineSchema = z.strictObject({ id: z.string(), title: z.string() })

export type RuleWords = z.output<typeof ruleWordsSchema>
