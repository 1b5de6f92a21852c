import { Controller, Get, Param } from '@nestjs/common'
import { jsonSchemas, schemaNames } from '@zesty/core/formats'
import { notFound } from '../problems/problem'

@Controller('api/schema')
export class SchemaController {
  private schemas: Readonly<Record<string, unknown>> | undefined

  @Get(':name')
  schema(@Param('name') name: string) {
    if (!schemaNames.includes(name)) throw notFound('schema')
    // They are long in the making, and always the same.
    this.schemas ??= jsonSchemas()
    return this.schemas[name]
  }
}
