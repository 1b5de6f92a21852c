import { describeRule, rules, type FieldLine, type Rule } from '@zesty/core/rules'
import { complain, faultLine } from './complain'

const table = (lines: readonly FieldLine[], ifNeeded: string): string =>
  lines
    .map(
      (l) => `  ${l.key.padEnd(24)} ${(l.needed ? ifNeeded : 'optional').padEnd(9)} ${l.takes.padEnd(34)} ${l.meaning}`,
    )
    .join('\n')

function describe(rule: Rule): string {
  const d = describeRule(rule)
  return [
    d.id,
    d.title,
    '',
    `Formula: ${d.formula}`,
    `Source:  ${d.citation}`,
    '',
    'Input:',
    table(d.input, 'needed'),
    'Output:',
    table(d.output, ''),
    '',
    `Example: ./zesty rule ${d.id} '${JSON.stringify(d.example)}'`,
    '',
  ].join('\n')
}

/** `rule`: the list; `rule ID`: the contract; `rule ID '{json}'`: the output as JSON. */
export function runRule([id, json, ...more]: string[]): number {
  if (id === undefined) {
    for (const rule of rules.values()) process.stdout.write(`${rule.id.padEnd(40)} ${describeRule(rule).title}\n`)
    return 0
  }
  const rule = rules.get(id)
  if (!rule) return complain(`there is no rule "${id}"; ./zesty rule lists them`)
  if (json === undefined) {
    process.stdout.write(describe(rule))
    return 0
  }
  if (more.length > 0) return complain('rule takes one JSON object; put it in single quotes')
  let input: unknown
  try {
    input = JSON.parse(json)
  } catch {
    return complain(`the input is not JSON: ${json.slice(0, 60)}`)
  }
  const result = rule.run(input)
  if (!result.ok) return complain(`${id}: ${faultLine(result.faults)}`)
  process.stdout.write(`${JSON.stringify(result.value)}\n`)
  return 0
}
