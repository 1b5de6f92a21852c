import { Module, type DynamicModule } from '@nestjs/common'
import type { LibraryItem } from '@zesty/core/library'
import { ConversionsModule } from './conversions/conversions.module'
import type { Database } from './db/database'
import { DatabaseModule } from './db/database.module'
import { LibraryModule } from './library/library.module'
import { RulesModule } from './rules/rules.module'
import { ShopsModule } from './shops/shops.module'

@Module({})
export class AppModule {
  static of(db: Database, samples: readonly LibraryItem[]): DynamicModule {
    return {
      module: AppModule,
      imports: [DatabaseModule.of(db), ShopsModule, ConversionsModule, LibraryModule.of(samples), RulesModule],
    }
  }
}
