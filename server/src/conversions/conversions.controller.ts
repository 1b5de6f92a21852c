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
import { Said } from '../openapi/said'
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
  @Said({
    id: 'listConversions',
    may: 'look',
    tag: 'Conversions',
    summary: 'The machines of a shop, each with its chain and next step',
    says: 'A line for each machine',
    answer: 'MachineLine',
    list: true,
    errors: [404],
  })
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
  @Said({
    id: 'beginConversion',
    may: 'all',
    tag: 'Conversions',
    summary: 'Begin a conversion',
    says: 'The conversion, nothing known of it yet',
    answer: 'Conversion',
    errors: [404],
  })
  create(
    @Param('shopId') shopId: string,
    @Body(new ZodPipe(newConversionSchema)) body: NewConversion,
    @Req() req: FastifyRequest,
  ) {
    return this.conversions.create(idOf(shopId, 'shop'), body, askerOf(req))
  }

  @Post('shops/:shopId/import')
  @Said({
    id: 'importConversion',
    may: 'all',
    body: 'ConversionFile',
    tag: 'Conversions',
    summary: 'Take in a conversion file, whole or not at all',
    says: 'The conversion',
    answer: 'Conversion',
    errors: [404, 422],
  })
  importFile(@Param('shopId') shopId: string, @Body() document: unknown, @Req() req: FastifyRequest) {
    return this.conversions.importFile(idOf(shopId, 'shop'), document, askerOf(req))
  }

  @Get('conversions/:id')
  @Said({
    id: 'findConversion',
    may: 'look',
    one: 'machine',
    tag: 'Conversions',
    summary: 'One conversion at its newest revision',
    says: 'The conversion',
    answer: 'Conversion',
    errors: [404, 422],
  })
  find(@Param('id') id: string) {
    return this.conversions.answer(idOf(id, 'conversion'))
  }

  @Put('conversions/:id')
  @Said({
    id: 'saveConversion',
    may: 'measure',
    body: 'Save',
    tag: 'Conversions',
    summary: 'Keep a plan; refused with both sides where it was changed elsewhere',
    says: 'The conversion, a revision further',
    answer: 'Conversion',
    errors: [404, 409, 422],
  })
  save(@Param('id') id: string, @Body(new ZodPipe(unreadSaveSchema)) body: UnreadSave, @Req() req: FastifyRequest) {
    return this.conversions.save(idOf(id, 'conversion'), body, askerOf(req))
  }

  @Patch('conversions/:id')
  @Said({
    id: 'saveChanges',
    may: 'measure',
    tag: 'Conversions',
    summary: 'Keep what changed of a plan; refused with both sides where it was changed elsewhere',
    says: 'What it is kept as',
    answer: 'Saved',
    errors: [404, 409, 422],
  })
  saveChanges(
    @Param('id') id: string,
    @Body(new ZodPipe(changesSaveSchema)) body: ChangesSave,
    @Req() req: FastifyRequest,
  ) {
    return this.conversions.saveChanges(idOf(id, 'conversion'), body, askerOf(req))
  }

  @Post('conversions/:id/copy')
  @Said({
    id: 'copyConversion',
    may: 'all',
    tag: 'Conversions',
    summary: 'Begin another from it: decisions and plates go along, what was measured on this machine does not',
    says: 'The new conversion',
    answer: 'Conversion',
    errors: [404, 422],
  })
  copy(@Param('id') id: string, @Req() req: FastifyRequest) {
    return this.conversions.copy(idOf(id, 'conversion'), askerOf(req))
  }

  @Delete('conversions/:id')
  @Said({
    id: 'removeConversion',
    may: 'all',
    tag: 'Conversions',
    summary: 'Take a conversion away, with its revisions',
    says: 'It is gone',
    errors: [404],
  })
  @HttpCode(204)
  remove(@Param('id') id: string) {
    return this.conversions.remove(idOf(id, 'conversion'))
  }

  @Get('conversions/:id/evaluation')
  @Said({
    id: 'evaluateConversion',
    may: 'look',
    one: 'machine',
    tag: 'Conversions',
    summary: 'What the product says about it',
    says: 'The evaluation',
    answer: 'Evaluation',
    errors: [404, 422],
  })
  evaluation(@Param('id') id: string) {
    return this.conversions.evaluation(idOf(id, 'conversion'))
  }

  @Get('conversions/:id/judged')
  @Said({
    id: 'openConversion',
    may: 'look',
    one: 'machine',
    tag: 'Conversions',
    summary: 'One conversion at its newest revision, with what the product says about it',
    says: 'The conversion and its evaluation',
    answer: 'JudgedConversion',
    errors: [404, 422],
  })
  judged(@Param('id') id: string, @Query(new ZodPipe(openedAtSchema)) { stage }: OpenedAt) {
    return this.conversions.judged(idOf(id, 'conversion'), stage)
  }

  @Get('conversions/:id/export')
  @Said({
    id: 'exportConversion',
    may: 'look',
    one: 'machine',
    tag: 'Conversions',
    summary: 'The conversion as a file; one that this release cannot read comes as it is stored',
    says: 'The file',
    answer: 'ConversionFile',
    errors: [404],
  })
  exportFile(@Param('id') id: string) {
    return this.conversions.exportFile(idOf(id, 'conversion'))
  }

  @Get('conversions/:id/revisions')
  @Said({
    id: 'listRevisions',
    may: 'look',
    one: 'machine',
    tag: 'Conversions',
    summary: 'Its revisions, newest first, and what each changed; a burst of work is one',
    says: 'A line for each revision',
    answer: 'RevisionLine',
    list: true,
    errors: [404],
  })
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
  @Said({
    id: 'findRevision',
    may: 'look',
    one: 'machine',
    tag: 'Conversions',
    summary: 'One revision',
    says: 'The revision with its plan',
    answer: 'Revision',
    errors: [400, 404, 422],
  })
  revision(@Param('id') id: string, @Param('revision', new ZodPipe(revisionParameterSchema)) revision: number) {
    return this.revisions.find(idOf(id, 'conversion'), revision)
  }

  @Get('conversions/:id/at/:moment')
  @Said({
    id: 'findRevisionAt',
    may: 'look',
    one: 'machine',
    tag: 'Conversions',
    summary: 'The conversion as it stood at a moment',
    says: 'The last revision that was saved by then',
    answer: 'Revision',
    errors: [400, 404, 422],
  })
  revisionAt(@Param('id') id: string, @Param('moment', new ZodPipe(momentParameterSchema)) moment: Date) {
    return this.revisions.findAt(idOf(id, 'conversion'), moment)
  }

  @Put('conversions/:id/revisions/:revision/name')
  @Said({
    id: 'nameRevision',
    may: 'all',
    tag: 'Conversions',
    summary: 'Call a revision something, or nothing any more; one with a name is kept for good',
    says: 'It has that name',
    errors: [404],
  })
  @HttpCode(204)
  nameRevision(
    @Param('id') id: string,
    @Param('revision', new ZodPipe(revisionParameterSchema)) revision: number,
    @Body(new ZodPipe(revisionNameSchema)) { name }: RevisionName,
  ) {
    return this.revisions.name(idOf(id, 'conversion'), revision, name)
  }

  @Get('conversions/:id/entries')
  @Said({
    id: 'listEntries',
    may: 'look',
    one: 'machine',
    tag: 'Conversions',
    summary: 'What was ticked, and what the drive was read to hold, at each time it changed',
    says: 'Every entry, in the order in which it was made',
    answer: 'Entry',
    list: true,
    errors: [404],
  })
  listEntries(@Param('id') id: string) {
    return this.revisions.entries(idOf(id, 'conversion'))
  }

  @Post('conversions/:id/revisions/:revision/restore')
  @Said({
    id: 'restoreRevision',
    may: 'all',
    tag: 'Conversions',
    summary: 'Make an old revision the newest',
    says: 'The conversion, a revision further',
    answer: 'Conversion',
    errors: [404, 409, 422],
  })
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
