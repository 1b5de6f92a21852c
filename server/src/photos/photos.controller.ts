import { Body, Controller, Delete, Get, Header, HttpCode, Param, Post, Put, Req } from '@nestjs/common'
import { newPhotoSchema, photoNoteSchema, type NewPhoto, type PhotoNote } from '@zesty/core/http'
import type { FastifyRequest } from 'fastify'
import { askerOf } from '../access/who'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { PhotosService } from './photos.service'

/** A photo never changes: what is shown once is not asked for again. */
const FOR_GOOD = 'private, max-age=31536000, immutable'

@Controller('api')
export class PhotosController {
  constructor(private readonly photos: PhotosService) {}

  @Get('conversions/:id/photos')
  list(@Param('id') id: string) {
    return this.photos.list(idOf(id, 'conversion'))
  }

  @Post('conversions/:id/photos')
  add(@Param('id') id: string, @Body(new ZodPipe(newPhotoSchema)) body: NewPhoto, @Req() req: FastifyRequest) {
    return this.photos.add(idOf(id, 'conversion'), body, askerOf(req))
  }

  @Get('conversions/:id/photos/:photoId')
  @Header('content-type', 'image/jpeg')
  @Header('cache-control', FOR_GOOD)
  content(@Param('id') id: string, @Param('photoId') photoId: string) {
    return this.photos.content(idOf(id, 'conversion'), idOf(photoId, 'photo'))
  }

  @Put('conversions/:id/photos/:photoId/note')
  @HttpCode(204)
  note(
    @Param('id') id: string,
    @Param('photoId') photoId: string,
    @Body(new ZodPipe(photoNoteSchema)) body: PhotoNote,
  ) {
    return this.photos.note(idOf(id, 'conversion'), idOf(photoId, 'photo'), body)
  }

  @Delete('conversions/:id/photos/:photoId')
  @HttpCode(204)
  remove(@Param('id') id: string, @Param('photoId') photoId: string) {
    return this.photos.remove(idOf(id, 'conversion'), idOf(photoId, 'photo'))
  }

  @Get('shops/:shopId/photos')
  listOfShop(@Param('shopId') shopId: string) {
    return this.photos.listOfShop(idOf(shopId, 'shop'))
  }

  @Get('shops/:shopId/photos/:photoId')
  @Header('content-type', 'image/jpeg')
  @Header('cache-control', FOR_GOOD)
  contentOfShop(@Param('shopId') shopId: string, @Param('photoId') photoId: string) {
    return this.photos.contentOfShop(idOf(shopId, 'shop'), idOf(photoId, 'photo'))
  }
}
