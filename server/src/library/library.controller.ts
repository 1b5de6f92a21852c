import { Body, Controller, Delete, Get, HttpCode, Param, Post } from '@nestjs/common'
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger'
import { schemaOf } from '../openapi'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { LibraryService } from './library.service'
import { newItemSchema, type NewItem } from './libraryItem'

@ApiTags('Library')
@Controller('api')
export class LibraryController {
  constructor(private readonly library: LibraryService) {}

  @Get('shops/:shopId/library')
  @ApiOperation({ summary: 'Motors and drives kept by a shop' })
  list(@Param('shopId') shopId: string) {
    return this.library.list(idOf(shopId, 'shop'))
  }

  @Post('shops/:shopId/library')
  @ApiOperation({ summary: 'Keep a motor or drive for other conversions' })
  @ApiBody({ schema: schemaOf(newItemSchema) })
  keep(@Param('shopId') shopId: string, @Body(new ZodPipe(newItemSchema)) item: NewItem) {
    return this.library.keep(idOf(shopId, 'shop'), item)
  }

  @Delete('library/:id')
  @HttpCode(204)
  @ApiOperation({ summary: 'Take an item out of the library' })
  remove(@Param('id') id: string) {
    return this.library.remove(idOf(id, 'library item'))
  }
}
