import { Module, type DynamicModule } from '@nestjs/common'
import { ConversionsController } from './conversions.controller'
import { ConversionsService } from './conversions.service'
import { MachineLines, RELEASE } from './machineLines'
import { RevisionsService } from './revisions.service'
import { SchemaController } from './schema.controller'
import { Thinning } from './thinning'

@Module({})
export class ConversionsModule {
  static of(release: string): DynamicModule {
    return {
      module: ConversionsModule,
      controllers: [ConversionsController, SchemaController],
      providers: [
        ConversionsService,
        RevisionsService,
        MachineLines,
        Thinning,
        { provide: RELEASE, useValue: release },
      ],
    }
  }
}
