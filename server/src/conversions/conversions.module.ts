import { Module } from '@nestjs/common'
import { ConversionsController } from './conversions.controller'
import { ConversionsService } from './conversions.service'
import { SchemaController } from './schema.controller'

@Module({
  controllers: [ConversionsController, SchemaController],
  providers: [ConversionsService],
  exports: [ConversionsService],
})
export class ConversionsModule {}
