import { messageText, printQuantity, type UnitSystem } from '../quantities'
import { fieldAt, type Plan } from '../plan'
import type { Evaluation } from '../evaluate/evaluation'
import { answerWords, askedOf, tally, tallyWords } from '../evaluate/tally'
import { MAINS_WORK } from '../findings/mainsWork'
import { milestones } from '../stages/milestones'
import type { FigureId } from '../facts/figureId'

/** A short report for a terminal or a message to a friend. */
export function report(plan: Plan, evaluation: Evaluation, system: UnitSystem = 'metric'): string {
  const { chain, findings, judged, figures, positions, jobs, settings, missing, agenda } = evaluation
  const lines: string[] = [plan.name, '='.repeat(plan.name.length), '']
  for (const link of chain)
    lines.push(
      `${link.name.padEnd(9)}${link.state.padEnd(7)}${messageText(link.headline, system)}; ${messageText(link.detail, system)}`,
    )
  lines.push('', `Judged: ${tallyWords(tally(judged))}.`, '', `Findings: ${findings.length === 0 ? 'none' : ''}`)
  for (const f of findings) {
    lines.push(
      `  ${f.severity.toUpperCase()}  ${messageText(f.title, system)}${f.due ? '' : ` (by ${milestones[f.by].toLowerCase()})`}`,
      `        ${messageText(f.says, system)} ${f.why}`,
    )
    for (const r of f.remedies)
      lines.push(`        -> ${messageText(r.label, system)}${r.mains ? ` (${MAINS_WORK})` : ''}`)
  }
  const figure = (id: FigureId) => {
    const found = figures[id]
    return found ? printQuantity(found, system) : 'not known'
  }
  if (positions.length > 0) lines.push('', 'Belt positions:')
  for (const p of positions)
    lines.push(
      `  ${p.name}${p.main ? ' (used most)' : ''}: ${figure(p.bottomRpm)} to ${figure(p.topRpm)}, ${figure(p.torqueNm)}; ${p.jobsReached} of ${jobs.length} jobs`,
    )
  lines.push('', 'Settings:')
  for (const s of settings) {
    if (s.leave === true) continue
    const field = fieldAt(`settings.chosen.${s.id}`)
    const value =
      typeof s.value === 'number'
        ? printQuantity({ value: s.value, dimension: field.dimension ?? 'number' }, system)
        : (field.options?.[s.value ?? ''] ?? 'not known')
    lines.push(`  ${s.label.padEnd(28)}${value.padEnd(24)}${s.basis}`)
  }
  const due = judged.filter((j) => j.answer === 'cannot-be-judged' && j.due)
  if (due.length > 0)
    lines.push(
      '',
      'Due now and not judged:',
      ...due.map((j) => `  ${askedOf(plan, j)}: ${messageText(answerWords(j), system)}`),
    )
  if (missing.length > 0)
    lines.push(
      '',
      'Not known yet:',
      ...missing.map(
        (m) => `  ${m.label}${m.blocks.length > 0 ? ` (blocks: ${m.blocks.slice(0, 4).join(', ')})` : ''}`,
      ),
    )
  const [next] = agenda
  if (next) lines.push('', `Next: ${next.text}`)
  return `${lines.join('\n').replace(/[\u00a0\u202f]/g, ' ')}\n`
}
