import { Module, type DynamicModule } from '@nestjs/common'
import type { LibraryItem } from '@zesty/core/library'
import { ShopsModule } from '../shops/shops.module'
import { LibraryController } from './library.controller'
import { LibraryService } from './library.service'
import { SAMPLES } from './samples'

@Module({})
export class LibraryModule {
  static of(samples: readonly LibraryItem[]): DynamicModule {
    return {
      module: LibraryModule,
      imports: [ShopsModule],
      controllers: [LibraryController],
      providers: [LibraryService, { provide: SAMPLES, useValue: samples }],
    }
  }
}
