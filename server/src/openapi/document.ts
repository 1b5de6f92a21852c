import { schemaNames } from '@zesty/core/formats'
import { paperKindParameterSchema, paperSizeParameterSchema } from '@zesty/core/http'
import { stageIds } from '@zesty/core'
import { z } from 'zod'
import { components, nameOf } from './components'
import { operations } from './operations'
import { tags, type Operation } from './said'

const reference = (name: string) => ({ $ref: `#/components/schemas/${name}` })
const json = (schema: object) => ({ 'application/json': { schema } })

/** What every answer carries. */
const headers = {
  'Cache-Control': { $ref: '#/components/headers/CacheControl' },
  'Content-Security-Policy': { $ref: '#/components/headers/ContentSecurityPolicy' },
  'X-Content-Type-Options': { $ref: '#/components/headers/ContentTypeOptions' },
}

/** Answers that are compressed where they are long. */
const bodyHeaders = {
  ...headers,
  Vary: { $ref: '#/components/headers/Vary' },
}

/** Lists that come by pages. */
const listHeaders = { ...bodyHeaders, Link: { $ref: '#/components/headers/Link' } }

const errorSays: Readonly<Record<number, string>> = {
  400: 'What was sent does not fit; each fault by its field',
  401: 'Asked by a device of the network that is not let in',
  403: 'Asked under a name that is not this machine’s, by a page that is not this server’s, or by a device that may not',
  404: 'There is no such thing',
  409: 'Changed elsewhere, or the name is taken',
  413: 'Larger than the server takes',
  422: 'It can be read, and means nothing here; each fault by its field',
  429: 'Too many were tried',
  500: 'A fault of the program',
  503: 'The database cannot answer now; the request may be sent again as it is',
}

const problem = (status: number, schema: string) => ({
  description: errorSays[status] ?? 'An error',
  headers:
    status === 503 || status === 429
      ? { ...headers, 'Retry-After': { $ref: '#/components/headers/RetryAfter' } }
      : headers,
  content: { 'application/problem+json': { schema: reference(schema) } },
})

/** What stands in a path or behind it, by its name; every other is an id. */
const special: Readonly<Record<string, { schema: object; description: string }>> = {
  moment: { schema: { type: 'string', format: 'date-time' }, description: 'A moment, with its zone' },
  paper: { schema: { type: 'string', enum: paperKindParameterSchema.options }, description: 'Which paper' },
  size: { schema: { type: 'string', enum: paperSizeParameterSchema.options }, description: 'Size of the paper' },
  revision: { schema: { type: 'integer', minimum: 1 }, description: 'Number of the revision' },
  ruleId: { schema: { type: 'string' }, description: 'Subject and name of the rule' },
  name: { schema: { type: 'string', enum: schemaNames }, description: 'Name of the schema' },
  after: { schema: { type: 'string' }, description: 'Where to go on: of the `next` of an earlier answer’s Link' },
  stage: {
    schema: { type: 'string', enum: stageIds },
    description: 'The stage that it is opened at: what it shows is sent too',
  },
}

const anId = { schema: { type: 'string', format: 'uuid' }, description: 'Its id' }

const questionsOf = ({ asks }: Operation): string[] => (asks instanceof z.ZodObject ? Object.keys(asks.shape) : [])

const parametersOf = (operation: Operation): object[] => [
  ...[...operation.path.matchAll(/\{(\w+)\}/g)].map(([, name = '']) => ({
    ...{ name, in: 'path', required: true },
    ...(special[name] ?? anId),
  })),
  ...questionsOf(operation).map((name) => ({ ...{ name, in: 'query', required: false }, ...(special[name] ?? anId) })),
]

/** The component that is read as its body. Throws where what is read is none. */
function bodyOf({ id, body, reads }: Operation): string | undefined {
  const name = body ?? (reads && nameOf(reads))
  if (reads && name === undefined) throw new Error(`What ${id} reads is no component`)
  return name
}

function operationOf(operation: Operation) {
  const { id, tag, summary, says, list, picture, file, zip, status, errors = [] } = operation
  const schema = operation.answer === undefined ? undefined : reference(operation.answer)
  const parameters = parametersOf(operation)
  const body = bodyOf(operation)
  const isPaged = questionsOf(operation).includes('after')
  const refusals = [
    // A body is refused where it does not fit, and where it is too large.
    ...(body === undefined ? [] : [400, 413]),
    ...(operation.asks ? [400] : []),
    ...errors,
    ...[401, 403, 500, 503],
  ]
  return {
    operationId: id,
    tags: [tag],
    summary,
    ...(parameters.length > 0 ? { parameters } : {}),
    ...(body === undefined ? {} : { requestBody: { required: true, content: json(reference(body)) } }),
    ...(zip ? { requestBody: { required: true, content: { 'application/zip': {} } } } : {}),
    responses: {
      [status]: {
        description: says,
        headers: schema ? (isPaged ? listHeaders : bodyHeaders) : headers,
        ...(schema ? { content: json(list ? { type: 'array', items: schema } : schema) } : {}),
        ...(picture ? { content: { 'image/jpeg': {} } } : {}),
        ...(file === undefined ? {} : { content: { [file]: {} } }),
      },
      ...Object.fromEntries(
        refusals.map((code) => [code, problem(code, code === 409 && tag === 'Conversions' ? 'Conflict' : 'Problem')]),
      ),
    },
  }
}

function paths() {
  const all: Record<string, Record<string, unknown>> = {}
  for (const operation of operations) {
    const at = (all[operation.path] ??= {})
    at[operation.method] = operationOf(operation)
  }
  return all
}

const header = (description: string) => ({ description, schema: { type: 'string' } })

/** The API in OpenAPI 3.1, made from the one table of operations and the schemas that the server validates by. */
export const openApiDocument = () => ({
  openapi: '3.1.0',
  info: {
    title: 'Zesty Lathe',
    version: '1',
    description: 'Shops, conversions and the library',
    license: { name: 'All rights reserved', identifier: 'LicenseRef-Proprietary' },
  },
  // On the machine it runs on nobody signs in; other machines get a cookie, which no program but a browser is given.
  servers: [{ url: '/' }],
  security: [],
  tags: Object.entries(tags).map(([name, description]) => ({ name, description })),
  paths: paths(),
  components: {
    schemas: components(),
    headers: {
      CacheControl: header('no-store: it is true for a moment, and of one shop alone'),
      ContentSecurityPolicy: header('Only what the page itself brings may run'),
      ContentTypeOptions: header('Types are not guessed'),
      Link: header('Where more of the list is, as rel="next" (RFC 8288); none where this was the last of it'),
      RetryAfter: header('Seconds after which to ask again'),
      Vary: header('Accept-Encoding, where the answer is long enough to be compressed'),
    },
  },
})
