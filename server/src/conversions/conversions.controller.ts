import { Body, Controller, Delete, Get, HttpCode, Param, ParseIntPipe, Post, Put } from '@nestjs/common'
import { ApiBody, ApiOperation, ApiTags } from '@nestjs/swagger'
import { conversionFileSchema } from '@zesty/core'
import { schemaOf } from '../openapi'
import { idOf } from '../problems/id'
import { ZodPipe } from '../problems/zod.pipe'
import {
  documentedSaveSchema,
  newConversionSchema,
  restoreSchema,
  saveSchema,
  type NewConversion,
  type Restore,
  type Save,
} from './conversion'
import { ConversionsService } from './conversions.service'

@ApiTags('Conversions')
@Controller('api')
export class ConversionsController {
  constructor(private readonly conversions: ConversionsService) {}

  @Get('shops/:shopId/conversions')
  @ApiOperation({ summary: 'The machines of a shop, each with its chain and next step' })
  list(@Param('shopId') shopId: string) {
    return this.conversions.list(idOf(shopId, 'shop'))
  }

  @Post('shops/:shopId/conversions')
  @ApiOperation({ summary: 'Begin a conversion' })
  @ApiBody({ schema: schemaOf(newConversionSchema) })
  create(@Param('shopId') shopId: string, @Body(new ZodPipe(newConversionSchema)) body: NewConversion) {
    return this.conversions.create(idOf(shopId, 'shop'), body)
  }

  @Post('shops/:shopId/import')
  @ApiOperation({ summary: 'Take in a conversion file' })
  @ApiBody({ schema: schemaOf(conversionFileSchema) })
  importFile(@Param('shopId') shopId: string, @Body() document: unknown) {
    return this.conversions.importFile(idOf(shopId, 'shop'), document)
  }

  @Get('conversions/:id')
  @ApiOperation({ summary: 'One conversion at its newest revision' })
  find(@Param('id') id: string) {
    return this.conversions.find(idOf(id, 'conversion'))
  }

  @Put('conversions/:id')
  @ApiOperation({ summary: 'Keep a plan; 409 with both sides where it was changed elsewhere' })
  @ApiBody({ schema: schemaOf(documentedSaveSchema) })
  save(@Param('id') id: string, @Body(new ZodPipe(saveSchema)) body: Save) {
    return this.conversions.save(idOf(id, 'conversion'), body)
  }

  @Delete('conversions/:id')
  @HttpCode(204)
  @ApiOperation({ summary: 'Take a conversion away, with its revisions' })
  remove(@Param('id') id: string) {
    return this.conversions.remove(idOf(id, 'conversion'))
  }

  @Get('conversions/:id/evaluation')
  @ApiOperation({ summary: 'What the product says about it' })
  evaluation(@Param('id') id: string) {
    return this.conversions.evaluation(idOf(id, 'conversion'))
  }

  @Get('conversions/:id/export')
  @ApiOperation({ summary: 'The conversion as a file' })
  exportFile(@Param('id') id: string) {
    return this.conversions.exportFile(idOf(id, 'conversion'))
  }

  @Get('conversions/:id/revisions')
  @ApiOperation({ summary: 'Its revisions, newest first' })
  revisions(@Param('id') id: string) {
    return this.conversions.revisions(idOf(id, 'conversion'))
  }

  @Get('conversions/:id/revisions/:revision')
  @ApiOperation({ summary: 'One revision' })
  revision(@Param('id') id: string, @Param('revision', ParseIntPipe) revision: number) {
    return this.conversions.revision(idOf(id, 'conversion'), revision)
  }

  @Post('conversions/:id/revisions/:revision/restore')
  @HttpCode(200)
  @ApiOperation({ summary: 'Make an old revision the newest' })
  @ApiBody({ schema: schemaOf(restoreSchema) })
  restore(
    @Param('id') id: string,
    @Param('revision', ParseIntPipe) revision: number,
    @Body(new ZodPipe(restoreSchema)) { baseRevision }: Restore,
  ) {
    return this.conversions.restore(idOf(id, 'conversion'), revision, baseRevision)
  }
}
