import { Controller, Get, Param } from '@nestjs/common'
import { jsonSchemas, schemaNames } from '@zesty/core/formats'
import { notFound } from '../problems/problem'
import { Said } from '../openapi/said'

@Controller('api/schema')
export class SchemaController {
  private schemas: Readonly<Record<string, unknown>> | undefined

  @Get(':name')
  @Said({
    id: 'findSchema',
    may: 'look',
    tag: 'Formats',
    summary: 'The JSON Schema of a file: conversion-6.json, evaluation-6.json',
    says: 'The schema',
    answer: 'JsonSchema',
    errors: [404],
  })
  schema(@Param('name') name: string) {
    if (!schemaNames.includes(name)) throw notFound('schema')
    // They are long in the making, and always the same.
    this.schemas ??= jsonSchemas()
    return this.schemas[name]
  }
}
