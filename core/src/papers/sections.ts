import type { CardLine } from '../card/cardLine'
import { positionEntries } from '../card/positionEntries'
import { dialPlate } from '../dial/dialPlate'
import { toDrawing } from '../drawing/primitives'
import { logKinds, upkeepTasks } from '../log/logEntry'
import { symptoms } from '../log/symptoms'
import { upkeepOf } from '../log/upkeep'
import { measurementKinds } from '../measurements/measurement'
import { positionName } from '../plan'
import { bandText, isExpected } from '../runIn/reading'
import { runInOf } from '../runIn/runInOf'
import { drawSheet } from '../schematic/drawSheet'
import { sheetsOf } from '../schematic/sheetsOf'
import { changeOver } from '../speeds/changeOver'
import { speedChart } from '../speeds/speedChart'
import { settingNames } from '../stages/settingTable'
import { scheduleOf } from '../wiring/schedule'
import { heading, part, table, words, type Block, type PaperPart } from './paper'
import type { PaperSource } from './source'

/** Parts that several papers share, each from the one source. */

export const sheetsPart = ({ wiring }: PaperSource): PaperPart =>
  part(
    'Wiring',
    sheetsOf(wiring).map((sheet): Block => ({
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
export function runInPart({ plan, measured, units }: PaperSource): PaperPart {
  const { stages } = runInOf(plan, measured)
  return part(
    'Run-in sheet',
    stages.flatMap((stage): Block[] => [
      heading(`${stage.name}${stage.hz === undefined ? '' : `, ${stage.hz} Hz`}`),
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

export function dialPart({ plan, measured }: PaperSource): PaperPart {
  const plate = dialPlate(plan, measured)
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

export function stopPart({ plan, measured, print }: PaperSource): PaperPart {
  const { stop } = runInOf(plan, measured)
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

export function platesPart({ plan, print }: PaperSource): PaperPart {
  const { motor, drive, supply, oldMotor } = plan
  const rows = (all: readonly (readonly [string, string | undefined])[]) =>
    table(
      [0.4, 0.6],
      ['What', 'As it is'],
      all.flatMap(([what, is]) => (is === undefined || is === 'not known' ? [] : [[what, is]])),
    )
  return part('Plates and wall', [
    heading('Motor'),
    ...rows([
      ['Power', print('power', motor.powerW)],
      ['Volts, lower', print('voltage', motor.lowVoltageV)],
      ['Volts, higher', print('voltage', motor.highVoltageV)],
      ['Amps, lower', print('current', motor.lowVoltageA)],
      ['Amps, higher', print('current', motor.highVoltageA)],
      ['Hertz', print('frequency', motor.ratedFrequencyHz)],
      ['Speed', print('speed', motor.ratedSpeedRpm)],
      ['Frame', motor.frame],
      ['Linked in', motor.connection],
    ]),
    heading('Drive'),
    ...rows([
      ['Called', drive.name],
      ['Power', print('power', drive.powerW)],
      ['Output', print('current', drive.ratedOutputA)],
      ['Input', print('current', drive.ratedInputA)],
    ]),
    heading('Wall'),
    ...rows([
      ['Volts', print('voltage', supply.voltageV)],
      ['Phases', supply.phases === undefined ? undefined : String(supply.phases)],
      ['Hertz', print('frequency', supply.frequencyHz)],
      ['Breaker', print('current', supply.breakerA)],
    ]),
    heading('The motor that was there'),
    ...rows([
      ['Power', print('power', oldMotor.powerW)],
      ['Speed', print('speed', oldMotor.ratedSpeedRpm)],
      ['Frame', oldMotor.frame],
    ]),
  ])
}

export const readBackPart = ({ plan }: PaperSource): PaperPart =>
  part(
    'Settings as they were read',
    [
      ...table(
        [0.6, 0.4],
        ['Setting', 'The drive holds'],
        Object.entries(plan.settings.inDrive).map(([id, value]) => [
          settingNames[id as keyof typeof settingNames],
          String(value),
        ]),
      ),
      ...table(
        [0.5, 0.5],
        ['Code', 'As it was found'],
        Object.entries(plan.settings.asFound ?? {}).map(([code, value]) => [code, value]),
      ),
    ],
    'Nothing was read back from the drive.',
  )

export const foundPart = ({ plan, print }: PaperSource): PaperPart =>
  part(
    'Old wires, as they were found',
    [
      ...table(
        [0.1, 0.22, 0.22, 0.14, 0.32],
        ['Tag', 'From', 'To', 'Colour', 'Note'],
        (plan.wiring.asFound ?? []).map((w) => [w.tag ?? '', w.from ?? '', w.to ?? '', w.colour ?? '', w.note ?? '']),
        true,
      ),
      ...table(
        [0.3, 0.35, 0.35],
        ['Belt position', 'Spindle', 'Original top speed'],
        plan.survey.positions.map((p, i) => [
          positionName(p, i),
          print('speed', p.knownSpindleRpm),
          print('speed', plan.survey.originalTopRpm),
        ]),
      ),
    ],
    'No wire was noted before it was taken off.',
  )

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
      upkeepOf(
        log,
        Object.values(plan.runIn.passed ?? {})
          .sort()
          .at(-1),
        today,
      ).map((u) => [
        upkeepTasks[u.task],
        `${u.everyDays} days`,
        `${u.lastOn ?? 'never'}; ${u.dueOn ?? 'once it is in use'}`,
      ]),
    ),
  )
