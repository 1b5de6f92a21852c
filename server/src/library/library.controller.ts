import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common'
import { manyItemsSchema, type ManyItems } from '@zesty/core/http'
import { libraryItemSchema, type LibraryItem } from '@zesty/core/library'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { LibraryService } from './library.service'

@Controller('api')
export class LibraryController {
  constructor(private readonly library: LibraryService) {}

  @Get('shops/:shopId/library')
  list(@Param('shopId') shopId: string) {
    return this.library.list(idOf(shopId, 'shop'))
  }

  @Post('shops/:shopId/library')
  keep(@Param('shopId') shopId: string, @Body(new ZodPipe(libraryItemSchema)) item: LibraryItem) {
    return this.library.keep(idOf(shopId, 'shop'), item)
  }

  @Post('shops/:shopId/library/many')
  @HttpCode(200)
  takeIn(@Param('shopId') shopId: string, @Body(new ZodPipe(manyItemsSchema)) { items }: ManyItems) {
    return this.library.takeIn(idOf(shopId, 'shop'), items)
  }

  @Post('shops/:shopId/library/samples')
  @HttpCode(200)
  addSamples(@Param('shopId') shopId: string) {
    return this.library.addSamples(idOf(shopId, 'shop'))
  }

  @Put('library/:id')
  change(@Param('id') id: string, @Body(new ZodPipe(libraryItemSchema)) item: LibraryItem) {
    return this.library.change(idOf(id, 'library item'), item)
  }

  @Delete('library/:id')
  @HttpCode(204)
  remove(@Param('id') id: string) {
    return this.library.remove(idOf(id, 'library item'))
  }
}
