import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common'
import { manyItemsSchema, type ManyItems } from '@zesty/core/http'
import { libraryItemSchema, type LibraryItem } from '@zesty/core/library'
import { Said } from '../openapi/said'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { LibraryService } from './library.service'

@Controller('api')
export class LibraryController {
  constructor(private readonly library: LibraryService) {}

  @Get('shops/:shopId/library')
  @Said({
    id: 'listLibrary',
    may: 'look',
    tag: 'Library',
    summary: 'Motors, drives and circuits kept by a shop',
    says: 'Every item; what cannot be read says why',
    answer: 'LibraryLine',
    list: true,
    errors: [404],
  })
  list(@Param('shopId') shopId: string) {
    return this.library.list(idOf(shopId, 'shop'))
  }

  @Post('shops/:shopId/library')
  @Said({
    id: 'keepItem',
    may: 'all',
    tag: 'Library',
    summary: 'Keep one item for other conversions; its name must be free',
    says: 'The item',
    answer: 'KeptItem',
    errors: [404, 409],
  })
  keep(@Param('shopId') shopId: string, @Body(new ZodPipe(libraryItemSchema)) item: LibraryItem) {
    return this.library.keep(idOf(shopId, 'shop'), item)
  }

  @Post('shops/:shopId/library/many')
  @Said({
    id: 'takeInItems',
    may: 'all',
    tag: 'Library',
    summary: 'Take in many items, all or none; one whose name is there already replaces it',
    says: 'How many came in',
    answer: 'TakenIn',
    errors: [404],
  })
  @HttpCode(200)
  takeIn(@Param('shopId') shopId: string, @Body(new ZodPipe(manyItemsSchema)) { items }: ManyItems) {
    return this.library.takeIn(idOf(shopId, 'shop'), items)
  }

  @Post('shops/:shopId/library/samples')
  @Said({
    id: 'addSamples',
    may: 'all',
    tag: 'Library',
    summary: 'Add the made-up motors and drives that ship, leaving names that are taken alone',
    says: 'How many came in',
    answer: 'TakenIn',
    errors: [404],
  })
  @HttpCode(200)
  addSamples(@Param('shopId') shopId: string) {
    return this.library.addSamples(idOf(shopId, 'shop'))
  }

  @Put('library/:id')
  @Said({
    id: 'changeItem',
    may: 'all',
    tag: 'Library',
    summary: 'Change an item',
    says: 'The item as it is now',
    answer: 'KeptItem',
    errors: [404, 409],
  })
  change(@Param('id') id: string, @Body(new ZodPipe(libraryItemSchema)) item: LibraryItem) {
    return this.library.change(idOf(id, 'library item'), item)
  }

  @Delete('library/:id')
  @Said({
    id: 'removeItem',
    may: 'all',
    tag: 'Library',
    summary: 'Take an item out of the library',
    says: 'It is gone',
    errors: [404],
  })
  @HttpCode(204)
  remove(@Param('id') id: string) {
    return this.library.remove(idOf(id, 'library item'))
  }
}
