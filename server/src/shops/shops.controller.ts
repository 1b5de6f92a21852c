import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Query, Res } from '@nestjs/common'
import { newShopSchema, shopChangeSchema, type NewShop, type ShopChange } from '@zesty/core/http'
import type { FastifyReply } from 'fastify'
import { listPageSchema, sayNext, type ListPage } from '../answers/listPage'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { ShopsService } from './shops.service'

@Controller('api/shops')
export class ShopsController {
  constructor(private readonly shops: ShopsService) {}

  @Get()
  async list(@Query(new ZodPipe(listPageSchema)) page: ListPage, @Res({ passthrough: true }) reply: FastifyReply) {
    const { rows, next } = await this.shops.list(page)
    sayNext(reply, '/api/shops', next)
    return rows
  }

  @Post()
  create(@Body(new ZodPipe(newShopSchema)) shop: NewShop) {
    return this.shops.create(shop)
  }

  @Get(':id')
  find(@Param('id') id: string) {
    return this.shops.find(idOf(id, 'shop'))
  }

  @Patch(':id')
  change(@Param('id') id: string, @Body(new ZodPipe(shopChangeSchema)) patch: ShopChange) {
    return this.shops.change(idOf(id, 'shop'), patch)
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Param('id') id: string) {
    return this.shops.remove(idOf(id, 'shop'))
  }
}
