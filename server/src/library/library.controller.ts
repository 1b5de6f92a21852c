import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common'
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger'
import { libraryItemSchema, MOST_ITEMS, type LibraryItem } from '@zesty/core'
import { z } from 'zod'
import { schemaOf } from '../openapi'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { LibraryService } from './library.service'

const manySchema = z.strictObject({ items: z.array(libraryItemSchema).max(MOST_ITEMS) })

@ApiTags('Library')
@Controller('api')
export class LibraryController {
  constructor(private readonly library: LibraryService) {}

  @Get('shops/:shopId/library')
  @ApiOperation({ summary: 'Motors, drives and circuits kept by a shop' })
  list(@Param('shopId') shopId: string) {
    return this.library.list(idOf(shopId, 'shop'))
  }

  @Post('shops/:shopId/library')
  @ApiOperation({ summary: 'Keep one item for other conversions; its name must be free' })
  @ApiBody({ schema: schemaOf(libraryItemSchema) })
  keep(@Param('shopId') shopId: string, @Body(new ZodPipe(libraryItemSchema)) item: LibraryItem) {
    return this.library.keep(idOf(shopId, 'shop'), item)
  }

  @Post('shops/:shopId/library/many')
  @HttpCode(200)
  @ApiOperation({ summary: 'Take in many items, all or none; one whose name is there already replaces it' })
  @ApiBody({ schema: schemaOf(manySchema) })
  takeIn(@Param('shopId') shopId: string, @Body(new ZodPipe(manySchema)) { items }: { items: LibraryItem[] }) {
    return this.library.takeIn(idOf(shopId, 'shop'), items)
  }

  @Post('shops/:shopId/library/samples')
  @HttpCode(200)
  @ApiOperation({ summary: 'Add the made-up motors and drives that ship, leaving names that are taken alone' })
  addSamples(@Param('shopId') shopId: string) {
    return this.library.addSamples(idOf(shopId, 'shop'))
  }

  @Put('library/:id')
  @ApiOperation({ summary: 'Change an item' })
  @ApiBody({ schema: schemaOf(libraryItemSchema) })
  change(@Param('id') id: string, @Body(new ZodPipe(libraryItemSchema)) item: LibraryItem) {
    return this.library.change(idOf(id, 'library item'), item)
  }

  @Delete('library/:id')
  @HttpCode(204)
  @ApiOperation({ summary: 'Take an item out of the library' })
  remove(@Param('id') id: string) {
    return this.library.remove(idOf(id, 'library item'))
  }
}
