import { Body, Controller, Delete, Get, HttpCode, Param, Patch, Post, Put, Query, Req, Res } from '@nestjs/common'
import {
  changesSaveSchema,
  momentParameterSchema,
  newConversionSchema,
  openedAtSchema,
  revisionNameSchema,
  restoreSchema,
  revisionParameterSchema,
  unreadSaveSchema,
  type ChangesSave,
  type NewConversion,
  type OpenedAt,
  type Restore,
  type RevisionName,
  type UnreadSave,
} from '@zesty/core/http'
import type { FastifyReply, FastifyRequest } from 'fastify'
import { listPageSchema, revisionPageSchema, sayNext, type ListPage, type RevisionPage } from '../answers/listPage'
import { askerOf } from '../access/who'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import { ConversionsService } from './conversions.service'
import { MachineLines } from './machineLines'
import { RevisionsService } from './revisions.service'

@Controller('api')
export class ConversionsController {
  constructor(
    private readonly conversions: ConversionsService,
    private readonly revisions: RevisionsService,
    private readonly lines: MachineLines,
  ) {}

  @Get('shops/:shopId/conversions')
  async list(
    @Param('shopId') shopId: string,
    @Query(new ZodPipe(listPageSchema)) page: ListPage,
    @Res({ passthrough: true }) reply: FastifyReply,
  ) {
    const { rows, next } = await this.lines.of(idOf(shopId, 'shop'), page)
    sayNext(reply, `/api/shops/${shopId}/conversions`, next)
    return rows
  }

  @Post('shops/:shopId/conversions')
  create(
    @Param('shopId') shopId: string,
    @Body(new ZodPipe(newConversionSchema)) body: NewConversion,
    @Req() req: FastifyRequest,
  ) {
    return this.conversions.create(idOf(shopId, 'shop'), body, askerOf(req))
  }

  @Post('shops/:shopId/import')
  importFile(@Param('shopId') shopId: string, @Body() document: unknown, @Req() req: FastifyRequest) {
    return this.conversions.importFile(idOf(shopId, 'shop'), document, askerOf(req))
  }

  @Get('conversions/:id')
  find(@Param('id') id: string) {
    return this.conversions.answer(idOf(id, 'conversion'))
  }

  @Put('conversions/:id')
  save(@Param('id') id: string, @Body(new ZodPipe(unreadSaveSchema)) body: UnreadSave, @Req() req: FastifyRequest) {
    return this.conversions.save(idOf(id, 'conversion'), body, askerOf(req))
  }

  @Patch('conversions/:id')
  saveChanges(
    @Param('id') id: string,
    @Body(new ZodPipe(changesSaveSchema)) body: ChangesSave,
    @Req() req: FastifyRequest,
  ) {
    return this.conversions.saveChanges(idOf(id, 'conversion'), body, askerOf(req))
  }

  @Post('conversions/:id/copy')
  copy(@Param('id') id: string, @Req() req: FastifyRequest) {
    return this.conversions.copy(idOf(id, 'conversion'), askerOf(req))
  }

  @Delete('conversions/:id')
  @HttpCode(204)
  remove(@Param('id') id: string) {
    return this.conversions.remove(idOf(id, 'conversion'))
  }

  @Get('conversions/:id/evaluation')
  evaluation(@Param('id') id: string) {
    return this.conversions.evaluation(idOf(id, 'conversion'))
  }

  @Get('conversions/:id/judged')
  judged(@Param('id') id: string, @Query(new ZodPipe(openedAtSchema)) { stage }: OpenedAt) {
    return this.conversions.judged(idOf(id, 'conversion'), stage)
  }

  @Get('conversions/:id/export')
  exportFile(@Param('id') id: string) {
    return this.conversions.exportFile(idOf(id, 'conversion'))
  }

  @Get('conversions/:id/revisions')
  async listRevisions(
    @Param('id') id: string,
    @Query(new ZodPipe(revisionPageSchema)) page: RevisionPage,
    @Res({ passthrough: true }) reply: FastifyReply,
  ) {
    const { rows, next } = await this.revisions.list(idOf(id, 'conversion'), page)
    sayNext(reply, `/api/conversions/${id}/revisions`, next)
    return rows
  }

  @Get('conversions/:id/revisions/:revision')
  revision(@Param('id') id: string, @Param('revision', new ZodPipe(revisionParameterSchema)) revision: number) {
    return this.revisions.find(idOf(id, 'conversion'), revision)
  }

  @Get('conversions/:id/at/:moment')
  revisionAt(@Param('id') id: string, @Param('moment', new ZodPipe(momentParameterSchema)) moment: Date) {
    return this.revisions.findAt(idOf(id, 'conversion'), moment)
  }

  @Put('conversions/:id/revisions/:revision/name')
  @HttpCode(204)
  nameRevision(
    @Param('id') id: string,
    @Param('revision', new ZodPipe(revisionParameterSchema)) revision: number,
    @Body(new ZodPipe(revisionNameSchema)) { name }: RevisionName,
  ) {
    return this.revisions.name(idOf(id, 'conversion'), revision, name)
  }

  @Get('conversions/:id/entries')
  listEntries(@Param('id') id: string) {
    return this.revisions.entries(idOf(id, 'conversion'))
  }

  @Post('conversions/:id/revisions/:revision/restore')
  @HttpCode(200)
  restore(
    @Param('id') id: string,
    @Param('revision', new ZodPipe(revisionParameterSchema)) revision: number,
    @Body(new ZodPipe(restoreSchema)) { baseRevision }: Restore,
    @Req() req: FastifyRequest,
  ) {
    return this.conversions.restore(idOf(id, 'conversion'), revision, baseRevision, askerOf(req))
  }
}
