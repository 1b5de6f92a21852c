import type { CardLine } from '../card/cardLine'
import { bandText, isExpected } from '../runIn/reading'
import { runIn } from '../conversion/runIn'
import { drawSheet } from '../schematic/drawSheet'
import { sheets } from '../schematic/sheets'
import { scheduleOf } from '../wiring/schedule'
import { heading, part, table, words, type Block, type PaperPart } from './paper'
import type { PaperSource } from './source'

export const sheetsPart = ({ wiring, conversion }: PaperSource): PaperPart =>
  part(
    'Wiring',
    conversion.of(sheets).map((sheet): Block => ({
      kind: 'drawing',
      title: sheet.name,
      drawing: drawSheet(sheet.layout, wiring),
    })),
  )

export const wireListPart = ({ wiring, print }: PaperSource): PaperPart =>
  part(
    'Wire list',
    table(
      [0.06, 0.24, 0.24, 0.12, 0.12, 0.22],
      ['No.', 'From', 'To', 'Colour', 'Size', 'Is'],
      scheduleOf(wiring).map((r) => [
        String(r.number),
        `${r.from} ${r.fromTerminal}`,
        `${r.to} ${r.toTerminal}`,
        r.colour,
        print('area', r.areaMm2),
        r.byHand === '' ? r.purpose : `${r.purpose} (by hand: ${r.byHand})`,
      ]),
      true,
    ),
  )

const cardRow = (line: CardLine, say: PaperSource['say']): string[] => [
  line.code ?? '',
  line.words,
  line.value,
  line.from ?? '',
  say(line.means),
  line.record?.answer ?? '',
]

export const cardPart = ({ card, say, plan }: PaperSource): PaperPart =>
  part(`Settings card, ${plan.manual?.name ?? 'no manual'}`, [
    ...(card.cycle ? [words(`No order satisfies them all: ${card.cycle.join(' waits for ')}.`, true)] : []),
    ...(card.lines.length === 0
      ? [words(`Nothing to enter: ${card.standing.length} planned values stand in the drive as far as is known.`)]
      : table(
          [0.1, 0.24, 0.13, 0.13, 0.28, 0.12],
          ['Code', 'What', 'Enter', 'Holds now', 'Means', 'It went'],
          card.lines.map((line) => cardRow(line, say)),
          true,
        )),
    ...table(
      [0.1, 0.34, 0.2, 0.36],
      ['Code', 'What stands already', 'Value', 'Means'],
      card.standing.map((line) => [line.code ?? '', line.words, line.value, say(line.means)]),
    ),
  ])

/** The run-in with its expected values, and lines to write on. */
export function runInPart({ conversion, units }: PaperSource): PaperPart {
  const { stages } = conversion.of(runIn)
  return part(
    'Run-in sheet',
    stages.flatMap((stage): Block[] => [
      heading(
        `${stage.name}${stage.hz !== undefined ? `, ${stage.hz} Hz` : stage.motorRpm === undefined ? '' : `, ${stage.motorRpm} rpm of the motor`}`,
      ),
      ...stage.do.map((line) => words(line)),
      ...(stage.caution === undefined ? [] : [words(stage.caution, true)]),
      ...table(
        [0.42, 0.28, 0.3],
        ['Read', 'Expected', 'Was'],
        [
          ...stage.readings.map((r) => [
            r.label,
            isExpected(r.expected) ? bandText(r, units) : 'not known yet',
            r.value === undefined ? '' : `${r.value}`.slice(0, 8),
          ]),
          ...stage.seen.map((s) => [s.ask, 'yes', '']),
        ],
        true,
      ),
      words(`Hold point: ${stage.hold}${stage.passed === undefined ? '' : ` Passed on ${stage.passed}.`}`, true),
    ]),
  )
}
