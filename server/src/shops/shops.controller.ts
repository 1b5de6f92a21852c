import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Query, Res } from '@nestjs/common'
import { newShopSchema, shopChangeSchema, type NewShop, type ShopChange } from '@zesty/core/http'
import type { FastifyReply } from 'fastify'
import { listPageSchema, sayNext, type ListPage } from '../answers/listPage'
import { Said } from '../openapi/said'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { ShopsService } from './shops.service'

@Controller('api/shops')
export class ShopsController {
  constructor(private readonly shops: ShopsService) {}

  @Get()
  @Said({
    id: 'listShops',
    may: 'look',
    tag: 'Shops',
    summary: 'All shops',
    says: 'Every shop with how many machines it has',
    answer: 'ShopLine',
    list: true,
  })
  async list(@Query(new ZodPipe(listPageSchema)) page: ListPage, @Res({ passthrough: true }) reply: FastifyReply) {
    const { rows, next } = await this.shops.list(page)
    sayNext(reply, '/api/shops', next)
    return rows
  }

  @Post()
  @Said({
    id: 'createShop',
    may: 'all',
    tag: 'Shops',
    summary: 'A new shop',
    says: 'The shop',
    answer: 'Shop',
  })
  create(@Body(new ZodPipe(newShopSchema)) shop: NewShop) {
    return this.shops.create(shop)
  }

  @Get(':id')
  @Said({
    id: 'findShop',
    may: 'look',
    one: 'shop',
    tag: 'Shops',
    summary: 'One shop',
    says: 'The shop',
    answer: 'Shop',
    errors: [404],
  })
  find(@Param('id') id: string) {
    return this.shops.find(idOf(id, 'shop'))
  }

  @Patch(':id')
  @Said({
    id: 'changeShop',
    may: 'all',
    tag: 'Shops',
    summary: 'Rename a shop or change its units',
    says: 'The shop as it is now',
    answer: 'Shop',
    errors: [404],
  })
  change(@Param('id') id: string, @Body(new ZodPipe(shopChangeSchema)) patch: ShopChange) {
    return this.shops.change(idOf(id, 'shop'), patch)
  }

  @Delete(':id')
  @Said({
    id: 'removeShop',
    may: 'all',
    tag: 'Shops',
    summary: 'Take a shop away, with all its machines',
    says: 'It is gone',
    errors: [404],
  })
  @HttpCode(204)
  remove(@Param('id') id: string) {
    return this.shops.remove(idOf(id, 'shop'))
  }
}
