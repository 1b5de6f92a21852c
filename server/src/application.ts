import { NestFactory } from '@nestjs/core'
import type { NestExpressApplication } from '@nestjs/platform-express'
import type { LibraryItem } from '@zesty/core/library'
import { SwaggerModule, type OpenAPIObject } from '@nestjs/swagger'
import compression from 'compression'
import helmet from 'helmet'
import { AppModule } from './app.module'
import type { Database } from './db/database'
import { openApiDocument } from './openapi/document'
import { onlyLocalNames, servePage } from './page'
import { ProblemFilter } from './problems/problem.filter'

/** Larger than any plan, small enough that nothing sent by mistake fills the memory. */
const BODY_LIMIT = '2mb'

/** Bytes from which an answer is worth compressing. */
const COMPRESSED_FROM = 1024

export interface ApplicationOptions {
  db: Database
  /** The motors and drives that ship. */
  samples: readonly LibraryItem[]
  /** Folder of the built page; without it only the API is served. */
  webRoot?: string
  /** True where it listens beyond this machine, by the person's own wish. */
  open?: boolean
}

/** The whole application, ready to listen. */
export async function createApplication({
  db,
  samples,
  webRoot,
  open = false,
}: ApplicationOptions): Promise<NestExpressApplication> {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.of(db, samples), {
    bodyParser: false,
    logger: ['error', 'warn', 'fatal'],
    abortOnError: false,
  })
  app.disable('x-powered-by')
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
  if (!open) app.use(onlyLocalNames)
  // The page's files are compressed by the build; what the API answers is compressed on its way.
  app.use('/api', compression({ threshold: COMPRESSED_FROM }))
  app.useBodyParser('json', { limit: BODY_LIMIT })
  app.useGlobalFilters(new ProblemFilter())
  // Made when first asked for: most servers never are. The types of the library know no later version than 3.0.
  SwaggerModule.setup('api/docs', app, () => openApiDocument() as unknown as OpenAPIObject, {
    customSiteTitle: 'Zesty Lathe API',
    customCss: '.topbar { display: none }',
  })
  if (webRoot !== undefined) servePage(app, webRoot)
  return app
}
