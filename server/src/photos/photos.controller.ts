import { Body, Controller, Delete, Get, Header, HttpCode, Param, Post, Put, Req, Res } from '@nestjs/common'
import { newPhotoSchema, photoNoteSchema, type NewPhoto, type PhotoNote } from '@zesty/core/http'
import type { FastifyReply, FastifyRequest } from 'fastify'
import { askerOf } from '../access/who'
import { Said } from '../openapi/said'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { PhotosService } from './photos.service'

/**
 * A photo never changes, and is known by its id: who has it is told so, and need not have it sent again. It is asked for
 * every time: a device that was withdrawn shows nothing out of its own store.
 */
function revalidated(photoId: string, jpeg: Buffer, req: FastifyRequest, reply: FastifyReply): Buffer | undefined {
  const tag = `"${photoId}"`
  reply.header('cache-control', 'private, no-cache').header('etag', tag)
  if (req.headers['if-none-match'] !== tag) return jpeg
  reply.code(304)
  return undefined
}

@Controller('api')
export class PhotosController {
  constructor(private readonly photos: PhotosService) {}

  @Get('conversions/:id/photos')
  @Said({
    id: 'listPhotos',
    may: 'look',
    one: 'machine',
    tag: 'Photos',
    summary: 'Photos of the machine, and pages of the shop’s manuals, without their content',
    says: 'Every photo, in the order it was taken',
    answer: 'Photo',
    list: true,
    errors: [404],
  })
  list(@Param('id') id: string) {
    return this.photos.list(idOf(id, 'conversion'))
  }

  @Post('conversions/:id/photos')
  @Said({
    id: 'addPhoto',
    may: 'measure',
    tag: 'Photos',
    summary: 'Keep a photo; one whose id is there already is kept once',
    says: 'The photo without its content',
    answer: 'Photo',
    errors: [404, 422],
  })
  add(@Param('id') id: string, @Body(new ZodPipe(newPhotoSchema)) body: NewPhoto, @Req() req: FastifyRequest) {
    return this.photos.add(idOf(id, 'conversion'), body, askerOf(req))
  }

  @Get('conversions/:id/photos/:photoId')
  @Said({
    id: 'photoContent',
    may: 'look',
    one: 'machine',
    tag: 'Photos',
    summary: 'A photo itself',
    says: 'The picture',
    picture: true,
    errors: [404],
  })
  @Header('content-type', 'image/jpeg')
  async content(
    @Param('id') id: string,
    @Param('photoId') photoId: string,
    @Req() req: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ) {
    const jpeg = await this.photos.content(idOf(id, 'conversion'), idOf(photoId, 'photo'))
    return revalidated(photoId, jpeg, req, reply)
  }

  @Put('conversions/:id/photos/:photoId/note')
  @Said({
    id: 'notePhoto',
    may: 'measure',
    tag: 'Photos',
    summary: 'Say what is seen on a photo',
    says: 'It says so',
    errors: [404],
  })
  @HttpCode(204)
  note(
    @Param('id') id: string,
    @Param('photoId') photoId: string,
    @Body(new ZodPipe(photoNoteSchema)) body: PhotoNote,
    @Req() req: FastifyRequest,
  ) {
    return this.photos.note(idOf(id, 'conversion'), idOf(photoId, 'photo'), body, askerOf(req))
  }

  @Delete('conversions/:id/photos/:photoId')
  @Said({
    id: 'removePhoto',
    may: 'measure',
    tag: 'Photos',
    summary: 'Take a photo away',
    says: 'It is gone',
    errors: [404],
  })
  @HttpCode(204)
  remove(@Param('id') id: string, @Param('photoId') photoId: string, @Req() req: FastifyRequest) {
    return this.photos.remove(idOf(id, 'conversion'), idOf(photoId, 'photo'), askerOf(req))
  }

  @Get('shops/:shopId/photos')
  @Said({
    id: 'listPages',
    may: 'look',
    tag: 'Photos',
    summary: 'Photographed pages of the shop’s manuals, without their content',
    says: 'Every page',
    answer: 'Photo',
    list: true,
  })
  listOfShop(@Param('shopId') shopId: string) {
    return this.photos.listOfShop(idOf(shopId, 'shop'))
  }

  @Get('shops/:shopId/photos/:photoId')
  @Said({
    id: 'pageContent',
    may: 'look',
    tag: 'Photos',
    summary: 'A photographed page itself',
    says: 'The picture',
    picture: true,
    errors: [404],
  })
  @Header('content-type', 'image/jpeg')
  async contentOfShop(
    @Param('shopId') shopId: string,
    @Param('photoId') photoId: string,
    @Req() req: FastifyRequest,
    @Res({ passthrough: true }) reply: FastifyReply,
  ) {
    const jpeg = await this.photos.contentOfShop(idOf(shopId, 'shop'), idOf(photoId, 'photo'))
    return revalidated(photoId, jpeg, req, reply)
  }
}
