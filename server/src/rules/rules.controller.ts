import { Controller, Get, Param } from '@nestjs/common'
import { describeRule, rules } from '@zesty/core/rules'
import { notFound } from '../problems/problem'

@Controller('api/rules')
export class RulesController {
  @Get()
  list() {
    return [...rules.values()].map((rule) => ({ id: rule.id, title: describeRule(rule).title }))
  }

  @Get(':ruleId')
  one(@Param('ruleId') id: string) {
    const rule = rules.get(id)
    if (!rule) throw notFound('rule')
    return describeRule(rule)
  }
}
