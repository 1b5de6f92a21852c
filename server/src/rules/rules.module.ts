import { Module } from '@nestjs/common'
import { RulesController } from './rules.controller'

/** What rules say of themselves; they are the core's, so there is nothing to look after. */
@Module({ controllers: [RulesController] })
export class RulesModule {}
