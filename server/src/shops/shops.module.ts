import { Module } from '@nestjs/common'
import { ShopsController } from './shops.controller'
import { ShopsService } from './shops.service'

@Module({ controllers: [ShopsController], providers: [ShopsService], exports: [ShopsService] })
export class ShopsModule {}
