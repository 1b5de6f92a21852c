import { Controller, Get, Param } from '@nestjs/common'
import { jsonSchemas, schemaNames } from '@zesty/core/formats'
import { notFound } from '../problems/problem'

@Controller('api/schema')
export class SchemaController {
  @Get(':name')
  schema(@Param('name') name: string) {
    if (!schemaNames.includes(name)) throw notFound('schema')
    return jsonSchemas()[name]
  }
}
