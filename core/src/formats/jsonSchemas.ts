import { z } from 'zod'
import { evaluationSchema } from '../evaluate/evaluationSchema'
import { MANUAL_VERSION, manualFileSchema } from '../manual'
import { conversionFileSchema, PLAN_VERSION } from '../plan'
import { wholeSchema } from './wholeFile'
import { forStrictReaders } from './forStrictReaders'
import { withWords } from './withWords'

/** As it is written by us, or as it may be sent: what has a default may be left out then. */
const published = (name: string, schema: z.ZodType, io: 'output' | 'input' = 'output'): Record<string, unknown> => ({
  $id: `urn:zesty-lathe:schema:${name}`,
  ...(forStrictReaders(
    z.toJSONSchema(schema, { target: 'draft-2020-12', io, metadata: z.registry(), override: withWords }),
  ) as object),
})

const CONVERSION = `conversion-${PLAN_VERSION}.json`
const EVALUATION = `evaluation-${PLAN_VERSION}.json`
const MANUAL = `manual-${MANUAL_VERSION}.json`
const WHOLE = 'whole-1.json'

/** Names under which the schemas of files are published. */
export const schemaNames: readonly string[] = [CONVERSION, EVALUATION, MANUAL, WHOLE]

/** The JSON Schemas (2020-12) of the conversion file, of the evaluation and of a drive's manual, by their names. */
export const jsonSchemas = (): Record<string, Record<string, unknown>> => ({
  [CONVERSION]: published(CONVERSION, conversionFileSchema),
  [EVALUATION]: published(EVALUATION, evaluationSchema),
  [MANUAL]: published(MANUAL, manualFileSchema, 'input'),
  [WHOLE]: published(WHOLE, wholeSchema),
})
