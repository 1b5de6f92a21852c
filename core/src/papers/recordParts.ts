import { logKinds, upkeepTasks } from '../log/logEntry'
import { symptoms } from '../log/symptoms'
import { upkeepOf } from '../log/upkeep'
import { upkeepTasksOf } from '../sequence/upkeepTasksOf'
import { inUseSince } from '../plan'
import { measurementKinds } from '../readings/measurement'
import { part, table, words, type PaperPart } from './paper'
import type { PaperSource } from './source'

/** Log and readings, the latest first; thousands stay in their CSV. */
export function recordPart({ log, readings, print }: PaperSource, most = 60): PaperPart {
  const latest = [...log].reverse().slice(0, most)
  const read = [...readings].reverse().slice(0, most)
  return part(
    'Log and readings',
    [
      ...table(
        [0.18, 0.3, 0.52],
        ['When', 'What', 'Words'],
        latest.map((e) => [
          e.at.slice(0, 10),
          `${e.symptom === undefined ? (e.task === undefined ? logKinds[e.kind] : upkeepTasks[e.task]) : symptoms[e.symptom]}${e.code === undefined ? '' : ` ${e.code}`}`,
          e.text ?? '',
        ]),
      ),
      ...table(
        [0.18, 0.34, 0.18, 0.3],
        ['When', 'Read', 'Value', 'At'],
        read.map((r) => [
          r.takenAt.slice(0, 10),
          measurementKinds[r.kind].name,
          print(measurementKinds[r.kind].dimension, r.value),
          [r.of, r.hz === undefined ? undefined : `${r.hz} Hz`, r.note].filter((w) => w !== undefined).join(', '),
        ]),
      ),
      ...(readings.length > most ? [words(`And ${readings.length - most} readings more, in the CSV.`)] : []),
    ],
    'Nothing was logged or read yet.',
  )
}

export const unknownPart = ({ evaluation, say }: PaperSource): PaperPart =>
  part(
    'What is wrong, and what is not known',
    [
      ...table(
        [0.12, 0.34, 0.54],
        ['It is', 'What', 'By these numbers'],
        evaluation.findings.map((f) => [f.severity, say(f.title), say(f.says)]),
      ),
      ...table(
        [0.4, 0.6],
        ['Not known', 'What waits for it'],
        evaluation.missing.slice(0, 60).map((m) => [m.label, m.blocks.slice(0, 4).join('; ')]),
      ),
    ],
    'Nothing is found, and nothing is missing.',
  )

export const loosePart = ({ loose }: PaperSource): PaperPart =>
  part(
    'Loose ends',
    table(
      [0.2, 0.8],
      ['It is', 'What'],
      loose.map((end) => [end.stop ? 'a stop' : 'open', end.what]),
      true,
    ),
    'No loose end is open.',
  )

export const upkeepPart = ({ log, plan, today }: PaperSource): PaperPart =>
  part(
    'Upkeep',
    table(
      [0.5, 0.2, 0.3],
      ['What', 'Every', 'Last, and next'],
      upkeepOf(log, inUseSince(plan.runIn), today, upkeepTasksOf(plan)).map((u) => [
        upkeepTasks[u.task],
        `${u.everyDays} days`,
        `${u.lastOn ?? 'never'}; ${u.dueOn ?? 'once it is in use'}`,
      ]),
    ),
  )
