import type { Plan } from '../plan'
import { messageText, type UnitSystem } from '../quantities'
import type { Card, CardLine } from './cardLine'

const HEADS = ['', 'Code', 'Enter', 'Now', 'What it is', 'Why'] as const

const nowOf = ({ from, fromBy }: CardLine): string =>
  from === undefined ? '?' : fromBy === 'default' ? `${from} (as it comes)` : from

const conditionsOf = ({ onlyStopped, onlyUnplugged }: CardLine): string =>
  [onlyStopped === true ? 'stopped' : '', onlyUnplugged === true ? 'remote station unplugged' : '']
    .filter((one) => one !== '')
    .join(', ')

function rowOf(line: CardLine, place: number, system: UnitSystem): string[] {
  const conditions = conditionsOf(line)
  const means = messageText(line.means, system)
  return [
    String(place),
    line.code ?? '-',
    line.value,
    nowOf(line),
    `${line.words}${means === '' || means === line.value ? '' : `: ${means}`}${conditions === '' ? '' : ` [${conditions}]`}`,
    line.problem ? messageText(line.problem.says, system) : messageText(line.why, system),
  ]
}

/** Columns as wide as what stands in them; the last runs on. */
function table(rows: readonly string[][]): string[] {
  const widths = HEADS.map((_, i) => Math.max(...rows.map((row) => (row[i] ?? '').length)))
  return rows.map((row) =>
    row
      .map((cell, i) => (i === row.length - 1 ? cell : cell.padEnd(widths[i] ?? 0)))
      .join('  ')
      .trimEnd(),
  )
}

/**
 * The card as plain text, one line an entry, for a terminal or a sheet of paper.
 *
 * @param system the units that amounts in words are printed in
 */
export function cardText(plan: Plan, card: Card, system: UnitSystem = 'metric'): string {
  const out: string[] = [`${plan.name}: settings card${plan.manual ? `, ${plan.manual.name}` : ''}`, '']
  if (card.unknown) out.push('Nothing is known of what the drive holds: reset it first, then read.', '')
  if (card.cycle) out.push(`No order satisfies them all: ${card.cycle.join(' waits for ')} waits for the first.`, '')
  const part = (title: string, lines: readonly CardLine[], from: number): void => {
    if (lines.length === 0) return
    out.push(title, ...table([[...HEADS], ...lines.map((line, i) => rowOf(line, from + i, system))]), '')
    for (const caution of new Set(lines.flatMap((line) => line.caution ?? []))) out.push(`! ${caution}`)
    if (out.at(-1)?.startsWith('!') === true) out.push('')
  }
  part('Before a first spin', card.lines.slice(0, card.first), 1)
  part('Then', card.lines.slice(card.first), card.first + 1)
  if (card.lines.length === 0) out.push('Nothing to enter.', '')
  if (card.waiting.length > 0)
    out.push('Not known yet', ...card.waiting.map(({ label, says }) => `  ${label}: ${messageText(says, system)}`), '')
  if (card.standing.length > 0)
    out.push(
      'It holds already',
      ...card.standing.map(({ code, words, value }) => `  ${code ?? '-'}  ${value}  ${words}`),
      '',
    )
  if (card.leave.length > 0)
    out.push('Leave alone', ...card.leave.map(({ label, says }) => `  ${label}: ${messageText(says, system)}`), '')
  out.push('Read every value back. Plans and explains; certifies nothing.')
  return `${out.join('\n')}\n`
}
