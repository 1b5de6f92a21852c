import { Module, type DynamicModule } from '@nestjs/common'
import { AccessModule } from './access/access.module'
import type { Network } from './access/network'
import type { LibraryItem } from '@zesty/core/library'
import { ConversionsModule } from './conversions/conversions.module'
import type { Database } from './db/database'
import { DatabaseModule } from './db/database.module'
import { LibraryModule } from './library/library.module'
import { MeasurementsModule } from './measurements/measurements.module'
import type { Judge } from './judging/judge'
import type { PaperMaker } from './papers/paperMaker'
import { PhotosModule } from './photos/photos.module'
import { RecordModule } from './record/record.module'
import { RulesModule } from './rules/rules.module'
import { ShopsModule } from './shops/shops.module'

@Module({})
export class AppModule {
  static of(
    db: Database,
    samples: readonly LibraryItem[],
    release: string,
    paperMaker: PaperMaker,
    judge: Judge,
    network: Network | undefined,
  ): DynamicModule {
    return {
      module: AppModule,
      imports: [
        DatabaseModule.of(db),
        AccessModule.of(network),
        ShopsModule,
        ConversionsModule.of(release, paperMaker, judge),
        MeasurementsModule,
        PhotosModule,
        RecordModule,
        LibraryModule.of(samples),
        RulesModule,
      ],
    }
  }
}
