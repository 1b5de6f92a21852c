import { NestFactory } from '@nestjs/core'
import type { NestExpressApplication } from '@nestjs/platform-express'
import type { LibraryItem } from '@zesty/core/library'
import { SwaggerModule, type OpenAPIObject } from '@nestjs/swagger'
import compression from 'compression'
import type { NextFunction, Request, Response } from 'express'
import helmet from 'helmet'
import { AppModule } from './app.module'
import type { Database } from './db/database'
import { openApiDocument } from './openapi/document'
import type { Network } from './access/network'
import { isFromNetwork } from './access/who'
import { QuickAdapter } from './answers/quickAdapter'
import { AnswerInTime } from './guard/answerInTime'
import { isLoopbackName } from './guard/hostName'
import { onlyKnownHosts } from './guard/onlyKnownHosts'
import { onlyOwnPages } from './guard/onlyOwnPages'
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
  app.use(
    helmet({
      strictTransportSecurity: false,
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:'],
          fontSrc: ["'self'"],
          connectSrc: ["'self'"],
          objectSrc: ["'none'"],
          frameAncestors: ["'none'"],
          baseUri: ["'self'"],
          formAction: ["'self'"],
        },
      },
    }),
  )
  app.use(
    onlyKnownHosts((name, req) => (isFromNetwork(req) ? network?.names.has(name) === true : isLoopbackName(name))),
  )
  app.use('/api', onlyOwnPages, neverKept)
  // The page's files are compressed by the build; what the API answers is compressed on its way.
  const compressing = compression({ threshold: COMPRESSED_FROM })
  app.use('/api', (req: Request, res: Response, next: NextFunction) => {
    if (req.headers['accept-encoding'] === undefined) next()
    else compressing(req, res, next)
  })
  app.useBodyParser('json', { limit: BODY_LIMIT })
  app.useGlobalFilters(new ProblemFilter())
  app.useGlobalInterceptors(new AnswerInTime())
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

/** What the API says is true for a moment, and of one shop alone: nothing on the way keeps it. */
function neverKept(_req: Request, res: Response, next: NextFunction): void {
  res.setHeader('Cache-Control', 'no-store')
  next()
}
