import { Global, Module, type DynamicModule } from '@nestjs/common'
import { DATABASE, type Database } from './database'

/** Makes the open database injectable everywhere. */
@Global()
@Module({})
export class DatabaseModule {
  static of(db: Database): DynamicModule {
    return { module: DatabaseModule, providers: [{ provide: DATABASE, useValue: db }], exports: [DATABASE] }
  }
}
