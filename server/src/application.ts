import { NestFactory } from '@nestjs/core'
import type { NestExpressApplication } from '@nestjs/platform-express'
import type { LibraryItem } from '@zesty/core'
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger'
import helmet from 'helmet'
import { AppModule } from './app.module'
import type { Database } from './db/database'
import { onlyLocalNames, servePage } from './page'
import { ProblemFilter } from './problems/problem.filter'

/** Larger than any plan, small enough that nothing sent by mistake fills the memory. */
const BODY_LIMIT = '2mb'

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
  app.useBodyParser('json', { limit: BODY_LIMIT })
  app.useGlobalFilters(new ProblemFilter())
  // Made when first asked for: most servers never are.
  SwaggerModule.setup(
    'api/docs',
    app,
    () =>
      SwaggerModule.createDocument(
        app,
        new DocumentBuilder()
          .setTitle('Zesty Lathe')
          .setDescription('Shops, conversions and the library')
          .setVersion('1')
          .build(),
      ),
    { customSiteTitle: 'Zesty Lathe API', customCss: '.topbar { display: none }' },
  )
  if (webRoot !== undefined) servePage(app, webRoot)
  return app
}
