import { constants } from 'node:zlib'
import compress from '@fastify/compress'
import { NestFactory } from '@nestjs/core'
import type { NestFastifyApplication } from '@nestjs/platform-fastify'
import { SwaggerModule, type OpenAPIObject } from '@nestjs/swagger'
import { LARGEST_CONVERSION_FILE } from '@zesty/core/http'
import type { LibraryItem } from '@zesty/core/library'
import { judgeHere, type Judge } from './judging/judge'
import { AccessService } from './access/access.service'
import type { Network } from './access/network'
import { QuickAdapter } from './answers/quickAdapter'
import { jsonBodies } from './answers/jsonBodies'
import { AppModule } from './app.module'
import type { Database } from './db/database'
import { guardRequests } from './guard/guardRequests'
import { letIn } from './guard/letIn'
import { openApiDocument } from './openapi/document'
import { servePage } from './page'
import { readFonts } from './papers/fonts'
import { makeHere, type PaperMaker } from './papers/paperMaker'
import { ProblemFilter } from './problems/problem.filter'

/** Larger than any plan, small enough that nothing sent by mistake fills the memory. */
const BODY_LIMIT = 2 * 1024 * 1024

/** Bytes from which an answer is worth compressing. */
const COMPRESSED_FROM = 1024
/** Of 11: the last tenth of the size takes ten times as long. */
const BROTLI_QUALITY = 4
/** Two to this power is how far it looks back: an answer is no longer, and its memory is taken for every one. */
const BROTLI_WINDOW = 17

export interface ApplicationOptions {
  db: Database
  /** The motors and drives that ship. */
  samples: readonly LibraryItem[]
  /** Tells this release from every other. */
  release: string
  /** Makes papers elsewhere than in the server's own thread. */
  paperMaker?: PaperMaker
  /** Judges machines elsewhere than in the server's own thread. */
  judge?: Judge
  /** Folder of the built page; without it only the API is served. */
  webRoot?: string
  /** Folder of the page that describes the API, where it is not the package's own. */
  docsRoot?: string
  /** How other machines reach it, where the person wishes that they do. */
  network?: Network
  /** The description of the API, as it was written by the build: to make it takes a second. */
  openApi?: Buffer
}

/** The whole application, ready to listen. */
export async function createApplication(options: ApplicationOptions) {
  const {
    db,
    samples,
    release,
    paperMaker = makeHere(readFonts()),
    judge = judgeHere,
    webRoot,
    docsRoot,
    network,
    openApi,
  } = options
  const adapter = new QuickAdapter(BODY_LIMIT, LARGEST_CONVERSION_FILE)
  const app = await NestFactory.create<NestFastifyApplication>(
    AppModule.of(db, samples, release, paperMaker, judge, network),
    adapter,
    {
      bodyParser: false,
      logger: ['error', 'warn', 'fatal'],
      abortOnError: false,
    },
  )
  const fastify = adapter.getInstance()
  guardRequests(fastify, network)
  letIn(fastify, app.get(AccessService))
  jsonBodies(fastify)
  // The page's files are compressed by the build; what the API answers is compressed on its way.
  await fastify.register(compress, {
    threshold: COMPRESSED_FROM,
    encodings: ['br', 'gzip'],
    brotliOptions: {
      params: { [constants.BROTLI_PARAM_QUALITY]: BROTLI_QUALITY, [constants.BROTLI_PARAM_LGWIN]: BROTLI_WINDOW },
    },
  })
  app.useGlobalFilters(new ProblemFilter())
  let description = openApi
  const described = () => (description ??= Buffer.from(JSON.stringify(openApiDocument())))
  // The types of the library know no later version than 3.0.
  SwaggerModule.setup('api/docs', app, () => JSON.parse(described().toString()) as OpenAPIObject, {
    customSiteTitle: 'Zesty Lathe API',
    ...(docsRoot === undefined ? {} : { customSwaggerUiPath: docsRoot }),
    customCss: '.topbar { display: none }',
    jsonDocumentUrl: 'api/docs-json-of-the-page',
  })
  fastify.get('/api/docs-json', (_request, reply) => reply.type('application/json').send(described()))
  if (webRoot !== undefined) await servePage(fastify, webRoot)
  return { app, handler: adapter.handler, routes: adapter.routes }
}
