import { z } from 'zod'
import { evaluationSchema } from '../evaluate/evaluationSchema'
import { conversionFileSchema, PLAN_VERSION } from '../plan'
import { forStrictReaders } from './forStrictReaders'
import { withWords } from './withWords'

const published = (name: string, schema: z.ZodType): Record<string, unknown> => ({
  $id: `urn:zesty-lathe:schema:${name}`,
  ...(forStrictReaders(
    z.toJSONSchema(schema, { target: 'draft-2020-12', metadata: z.registry(), override: withWords }),
  ) as object),
})

const CONVERSION = `conversion-${PLAN_VERSION}.json`
const EVALUATION = `evaluation-${PLAN_VERSION}.json`

/** Names under which the schemas of files are published. */
export const schemaNames: readonly string[] = [CONVERSION, EVALUATION]

/** The JSON Schemas (2020-12) of the conversion file and of the evaluation, by their names. */
export const jsonSchemas = (): Record<string, Record<string, unknown>> => ({
  [CONVERSION]: published(CONVERSION, conversionFileSchema),
  [EVALUATION]: published(EVALUATION, evaluationSchema),
})
