import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post } from '@nestjs/common'
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger'
import { schemaOf } from '../openapi'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { newShopSchema, shopPatchSchema, type NewShop, type ShopPatch } from './shop'
import { ShopsService } from './shops.service'

@ApiTags('Shops')
@Controller('api/shops')
export class ShopsController {
  constructor(private readonly shops: ShopsService) {}

  @Get()
  @ApiOperation({ summary: 'All shops' })
  list() {
    return this.shops.list()
  }

  @Post()
  @ApiOperation({ summary: 'A new shop' })
  @ApiBody({ schema: schemaOf(newShopSchema) })
  create(@Body(new ZodPipe(newShopSchema)) shop: NewShop) {
    return this.shops.create(shop)
  }

  @Get(':id')
  @ApiOperation({ summary: 'One shop' })
  find(@Param('id') id: string) {
    return this.shops.find(idOf(id, 'shop'))
  }

  @Patch(':id')
  @ApiOperation({ summary: 'Rename a shop or change its units' })
  @ApiBody({ schema: schemaOf(shopPatchSchema) })
  change(@Param('id') id: string, @Body(new ZodPipe(shopPatchSchema)) patch: ShopPatch) {
    return this.shops.change(idOf(id, 'shop'), patch)
  }

  @Delete(':id')
  @HttpCode(204)
  @ApiOperation({ summary: 'Take a shop away, with all its machines' })
  remove(@Param('id') id: string) {
    return this.shops.remove(idOf(id, 'shop'))
  }
}
