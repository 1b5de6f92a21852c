import { NestFactory } from '@nestjs/core'
import type { NestExpressApplication } from '@nestjs/platform-express'
import type { LibraryItem } from '@zesty/core/library'
import { SwaggerModule, type OpenAPIObject } from '@nestjs/swagger'
import compression from 'compression'
import { json, type NextFunction, type Request, type RequestHandler, type Response } from 'express'
import { AppModule } from './app.module'
import type { Database } from './db/database'
import { openApiDocument } from './openapi/document'
import type { Network } from './access/network'
import { isFromNetwork } from './access/who'
import { QuickAdapter } from './answers/quickAdapter'
import { isLoopbackName } from './guard/hostName'
import { onlyKnownHosts } from './guard/onlyKnownHosts'
import { onlyOwnPages } from './guard/onlyOwnPages'
import { securityHeaders } from './guard/securityHeaders'
import { servePage } from './page'
import { answerProblem } from './problems/answerProblem'
import { problemDetails } from './problems/problem'
import { ProblemFilter } from './problems/problem.filter'

/** Larger than any plan, small enough that nothing sent by mistake fills the memory. */
const BODY_LIMIT = '2mb'

/** Bytes from which an answer is worth compressing. */
const COMPRESSED_FROM = 1024

export interface ApplicationOptions {
  db: Database
  /** The motors and drives that ship. */
  samples: readonly LibraryItem[]
  /** Tells this release from every other. */
  release: string
  /** Folder of the built page; without it only the API is served. */
  webRoot?: string
  /** How other machines reach it, where the person wishes that they do. */
  network?: Network
  /** The description of the API, as it was written by the build: to make it takes a second. */
  openApi?: Buffer
}

/** The whole application, ready to listen. */
export async function createApplication({
  db,
  samples,
  release,
  webRoot,
  network,
  openApi,
}: ApplicationOptions): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(
    AppModule.of(db, samples, release, network),
    new QuickAdapter(),
    {
      bodyParser: false,
      logger: ['error', 'warn', 'fatal'],
      abortOnError: false,
    },
  )
  app.disable('x-powered-by')
  // Nothing keeps an answer of the API, so nothing asks whether it is still the same.
  app.disable('etag')
  app.use(securityHeaders())
  app.use(
    onlyKnownHosts((name, req) => (isFromNetwork(req) ? network?.names.has(name) === true : isLoopbackName(name))),
  )
  app.use('/api', onlyOwnPages, neverKept)
  // The page's files are compressed by the build; what the API answers is compressed on its way.
  app.use(
    '/api',
    only((req) => req.headers['accept-encoding'] !== undefined, compression({ threshold: COMPRESSED_FROM })),
  )
  app.use(
    '/api',
    only((req) => req.method !== 'GET', json({ limit: BODY_LIMIT })),
  )
  app.useGlobalFilters(new ProblemFilter())
  // Other machines have no business with it.
  app.use((req: Request, res: Response, next: NextFunction) => {
    if (isFromNetwork(req) && req.path.startsWith('/api/docs'))
      answerProblem(res, problemDetails(404, 'There is nothing at this address.'))
    else next()
  })
  let description = openApi
  const described = () => (description ??= Buffer.from(JSON.stringify(openApiDocument())))
  app.use('/api/docs-json', (_req: Request, res: Response) => void res.type('application/json').send(described()))
  // The types of the library know no later version than 3.0.
  SwaggerModule.setup('api/docs', app, () => JSON.parse(described().toString()) as OpenAPIObject, {
    customSiteTitle: 'Zesty Lathe API',
    customCss: '.topbar { display: none }',
  })
  if (webRoot !== undefined) servePage(app, webRoot)
  return app
}

/** A handler for some requests alone; the others pass it by. */
const only =
  (isMeant: (req: Request) => boolean, handler: RequestHandler): RequestHandler =>
  (req, res, next) => {
    if (isMeant(req)) void handler(req, res, next)
    else next()
  }

/** What the API says is true for a moment, and of one shop alone: nothing on the way keeps it. */
function neverKept(_req: Request, res: Response, next: NextFunction): void {
  res.setHeader('Cache-Control', 'no-store')
  next()
}
