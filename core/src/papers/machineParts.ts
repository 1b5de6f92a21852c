import { positionEntries } from '../card/positionEntries'
import { dialPlate } from '../dial/dialPlate'
import { toDrawing } from '../drawing/primitives'
import { isExpected } from '../runIn/reading'
import { runIn } from '../conversion/runIn'
import { changeOver } from '../speeds/changeOver'
import { speedChart } from '../speeds/speedChart'
import { heading, part, table, words, type Block, type PaperPart } from './paper'
import type { PaperSource } from './source'

export function speedsPart(source: PaperSource): PaperPart {
  const { plan, evaluation, print, card } = source
  const top = evaluation.figures['settings.maximumHz']?.value
  const hertz = [5, 10, 15, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100].filter((h) => h <= (top ?? 50) + 0.5)
  const chart = speedChart(evaluation, hertz)
  const share = 0.8 / Math.max(1, chart.positions.length)
  const lines = changeOver(plan, evaluation)
  const entries = positionEntries(plan, evaluation.settings, lines)
  return part('Speeds', [
    ...(chart.positions.length === 0
      ? [words('No belt position is known yet.')]
      : table(
          [0.2, ...chart.positions.map(() => share)],
          ['Hz', ...chart.positions.map((name) => `${name}, rpm`)],
          chart.rows.map((row) => [String(row.frequencyHz), ...row.cells.map((c) => String(Math.round(c.rpm)))]),
        )),
    heading('When the belt is moved'),
    words('Off and locked, guard open only then. Enter these before RUN:', true),
    ...lines.flatMap((line): Block[] => [
      words(
        `${line.name}: ${print('speed', line.bottomRpm)} to ${print('speed', line.topRpm)}${line.limit && line.limitHz !== undefined ? `; not over ${print('frequency', line.limitHz)}: ${line.limit.what}` : ''}.`,
        true,
      ),
      ...(entries.get(line.id) ?? []).map((e) =>
        words(`   ${e.code === undefined ? e.label : `${e.code}, ${e.label}`}: ${e.value}`),
      ),
    ]),
    heading('Limits'),
    ...(evaluation.limits.length === 0
      ? [words('No limit of what spins is known.')]
      : evaluation.limits.map((l) =>
          words(`${l.what}: ${print('speed', l.rpm)}${l.marked ? ', marked' : ', as the machine was built'}.`),
        )),
    ...(card.lines.length > 0
      ? [words(`${card.lines.length} lines of the settings card are not entered yet.`, true)]
      : []),
  ])
}

export function dialPart({ conversion }: PaperSource): PaperPart {
  const plate = dialPlate(conversion.facts)
  return part('Dial plate', [
    ...plate.faults.map((fault) => words(fault)),
    ...(plate.rings.length > 0
      ? [
          {
            kind: 'drawing' as const,
            title: 'At true size: print at 100 %',
            drawing: toDrawing(plate.drawing),
            trueSize: true as const,
          },
        ]
      : []),
  ])
}

export function stopPart({ conversion, print }: PaperSource): PaperPart {
  const { stop } = conversion.of(runIn)
  return part(
    'Emergency stop',
    stop.way === undefined
      ? []
      : [
          words(`${stop.way}. A mushroom is no isolation.`, true),
          ...table(
            [0.3, 0.16, 0.18, 0.18, 0.18],
            ['On the spindle', 'From', 'Expected', 'Timed', 'Turns'],
            stop.steps.map((s) => [
              `${s.of}, ${s.positionName}`,
              print('speed', s.fromRpm),
              isExpected(s.seconds) ? print('time', s.seconds.value) : 'not known',
              s.read === undefined ? '' : print('time', s.read.seconds),
              s.read?.turns === undefined ? '' : String(Math.round(s.read.turns)),
            ]),
          ),
        ],
    'No emergency stop is planned.',
  )
}
