import { Controller, Get, Param } from '@nestjs/common'
import { describeRule, rules } from '@zesty/core/rules'
import { notFound } from '../problems/problem'
import { Said } from '../openapi/said'

@Controller('api/rules')
export class RulesController {
  @Get()
  @Said({
    id: 'listRules',
    may: 'look',
    one: 'anything',
    tag: 'Rules',
    summary: 'Every rule by id and title',
    says: 'A line for each rule',
    answer: 'RuleLine',
    list: true,
    errors: [400],
  })
  list() {
    return [...rules.values()].map((rule) => ({ id: rule.id, title: describeRule(rule).title }))
  }

  @Get(':ruleId')
  @Said({
    id: 'findRule',
    may: 'look',
    one: 'anything',
    tag: 'Rules',
    summary: 'A rule in words: formula, citation, what it takes and gives, and an example',
    says: 'The rule',
    answer: 'RuleWords',
    errors: [404],
  })
  one(@Param('ruleId') id: string) {
    const rule = rules.get(id)
    if (!rule) throw notFound('rule')
    return describeRule(rule)
  }
}
