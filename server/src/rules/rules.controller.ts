import { Controller, Get, Param } from '@nestjs/common'
import { ApiOperation, ApiTags } from '@nestjs/swagger'
import { describeRule, rules } from '@zesty/core'
import { notFound } from '../problems/problem'

@ApiTags('Rules')
@Controller('api/rules')
export class RulesController {
  @Get()
  @ApiOperation({ summary: 'Every rule by id and title' })
  list() {
    return [...rules.values()].map(({ id, title }) => ({ id, title }))
  }

  @Get(':id')
  @ApiOperation({ summary: 'A rule in words: formula, source, what it takes and gives, and an example' })
  one(@Param('id') id: string) {
    const rule = rules.get(id)
    if (!rule) throw notFound('rule')
    return describeRule(rule)
  }
}
