import { Module, type DynamicModule } from '@nestjs/common'
import { ConversionsController } from './conversions.controller'
import { ConversionsService } from './conversions.service'
import { MachineLines, RELEASE } from './machineLines'
import { SchemaController } from './schema.controller'

@Module({})
export class ConversionsModule {
  static of(release: string): DynamicModule {
    return {
      module: ConversionsModule,
      controllers: [ConversionsController, SchemaController],
      providers: [ConversionsService, MachineLines, { provide: RELEASE, useValue: release }],
    }
  }
}
