import { Controller, Get, Param } from '@nestjs/common'
import { ApiOperation, ApiTags } from '@nestjs/swagger'
import { conversionJsonSchema, PLAN_VERSION } from '@zesty/core'
import { notFound } from '../problems/problem'

@ApiTags('Formats')
@Controller('api/schema')
export class SchemaController {
  @Get(':name')
  @ApiOperation({ summary: `JSON Schema of the conversion file: conversion-${PLAN_VERSION}.json` })
  schema(@Param('name') name: string) {
    if (name !== `conversion-${PLAN_VERSION}.json`) throw notFound('schema')
    return conversionJsonSchema()
  }
}
