import { fieldLines } from '../rules/fieldLines'
import type { Rule } from '../rules/rule'
import type { RuleWording } from '../rules/ruleWording'
import { ruleWords } from './ruleWords'

/** A rule's contract as data: what it takes, gives, and rests on. */
export function describeRule(r: Rule) {
  const words = (ruleWords as Readonly<Record<string, RuleWording>>)[r.id]
  if (!words) throw new Error(`The rule ${r.id} is not of the registry`)
  const { title, formula, citation, example } = words
  return {
    id: r.id,
    title,
    formula,
    citation,
    input: fieldLines(r.input, words.input),
    output: fieldLines(r.output, words.output),
    example: { ...example },
  }
}

const cell = (text: string): string => text.replace(/\|/g, '\\|')

/** The page docs/rules.md, made from the registry. */
export function rulesPage(rules: Iterable<Rule>): string {
  const parts = [
    '# Rules',
    '',
    'Every figure comes from one of these. Made from the registry by `./zesty docs`; do not edit.',
    '',
  ]
  for (const r of rules) {
    const d = describeRule(r)
    const example = r.run(d.example)
    parts.push(`## ${d.id}`, '', `${d.title}. \`${d.formula}\``, '', `Source: ${d.citation}.`, '')
    parts.push('| key | | takes | meaning |', '|---|---|---|---|')
    for (const f of d.input)
      parts.push(`| ${f.key} | ${f.needed ? 'needed' : 'optional'} | ${cell(f.takes)} | ${cell(f.meaning)} |`)
    for (const f of d.output) parts.push(`| ${f.key} | given back | ${cell(f.takes)} | ${cell(f.meaning)} |`)
    parts.push(
      '',
      `Example: \`${JSON.stringify(d.example)}\` gives \`${JSON.stringify(example.ok ? example.value : example.faults)}\``,
      '',
    )
  }
  return parts.join('\n')
}
