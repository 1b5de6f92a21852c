import { z } from 'zod'
import { evaluationSchema } from '../evaluate/evaluationSchema'
import { MANUAL_VERSION, manualFileSchema } from '../manual'
import { conversionFileSchema, PLAN_VERSION } from '../plan'
import { conversionWithin, wholeSchema } from './wholeFile'
import { forStrictReaders } from './forStrictReaders'
import { withWords } from './withWords'

const idOf = (name: string): string => `urn:zesty-lathe:schema:${name}`

/** What stands within a schema and is published under a name of its own: how it is written there. */
type Named = ReadonlyMap<z.core.$ZodType, z.core.JSONSchema.BaseSchema>

/** As it is written by us, or as it may be sent: what has a default may be left out then. */
const published = (
  name: string,
  schema: z.ZodType,
  { io = 'output', named = new Map() }: { io?: 'output' | 'input'; named?: Named } = {},
): Record<string, unknown> => ({
  $id: idOf(name),
  ...(forStrictReaders(
    z.toJSONSchema(schema, {
      target: 'draft-2020-12',
      io,
      metadata: z.registry(),
      override: ({ zodSchema, jsonSchema }) => {
        const other = named.get(zodSchema)
        if (other === undefined) withWords({ zodSchema, jsonSchema })
        else {
          for (const key of Object.keys(jsonSchema)) Reflect.deleteProperty(jsonSchema, key)
          Object.assign(jsonSchema, other)
        }
      },
    }),
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
  [MANUAL]: published(MANUAL, manualFileSchema, { io: 'input' }),
  [WHOLE]: published(WHOLE, wholeSchema, {
    named: new Map([[conversionWithin, { $ref: idOf(CONVERSION), type: 'object', properties: { photos: false } }]]),
  }),
})
