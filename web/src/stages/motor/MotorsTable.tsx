import { connections, coolings, insulationClasses, printQuantity, type FigureId } from '@zesty/core'
import { type FitLine, type MotorColumn } from '@zesty/core/compare'
import { useUnits } from '../../state/units'
import { FigureValue } from '../../parts/FigureValue'
import { Mark, type MarkKind } from '../../parts/Mark'
import { NotKnown, SideBySide, type ComparedGroup } from '../../parts/SideBySide'
import { Text } from '../../parts/Text'
import { Value } from '../../parts/Value'

const marks: Record<FitLine['verdict'], { kind: MarkKind; word: string }> = {
  fits: { kind: 'ok', word: 'Fits' },
  adapt: { kind: 'watch', word: 'Adapt' },
  no: { kind: 'stop', word: 'Does not fit' },
  unknown: { kind: 'open', word: 'Not known' },
}

/** What each motor does in this plan, its plate, and whether it goes where the old one stood. */
export function MotorsTable({
  columns,
  ...actions
}: {
  columns: readonly MotorColumn[]
  onTake: (column: MotorColumn) => void
  onEdit: (id: string) => void
  onRemove: (column: MotorColumn) => void
}) {
  const fit = columns[0]?.fit.map((f) => f.what) ?? []
  const groups: ComparedGroup<MotorColumn>[] = [
    {
      heading: 'In this machine, on this drive',
      rows: [
        {
          label: 'Slowest job',
          note: 'torque all day',
          cell: (c) => (c.slowest ? <Slow column={c} /> : <NotKnown />),
        },
        {
          label: 'Jobs in reach',
          cell: (c) => (c.jobs === 0 ? <NotKnown /> : `${c.jobsReached} of ${c.jobs}`),
        },
        { label: 'Rated torque', cell: (c) => <Figure id="motor.torque" column={c} /> },
        { label: 'Amps for its links', cell: (c) => <Figure id="motor.plateCurrentA" column={c} /> },
        { label: 'Drive gives', cell: (c) => <Figure id="drive.outputA" column={c} /> },
        { label: 'Fastest safe', cell: (c) => <Figure id="motor.safeRpm" column={c} /> },
        { label: 'Against it', cell: (c) => <Against column={c} /> },
      ],
    },
    {
      heading: 'Its plate',
      rows: [
        { label: 'Power', cell: (c) => <Value dimension="power" value={c.plate.powerW} /> },
        { label: 'Poles', cell: (c) => <Figure id="motor.poles" column={c} /> },
        { label: 'Links', cell: (c) => (c.plate.connection ? connections[c.plate.connection] : <NotKnown />) },
        { label: 'Cooling', cell: (c) => (c.plate.cooling ? coolings[c.plate.cooling] : <NotKnown />) },
        { label: 'Frame', cell: (c) => c.plate.frame ?? <NotKnown /> },
        { label: 'Enclosure', cell: (c) => c.plate.enclosure ?? <NotKnown /> },
        {
          label: 'Insulation class',
          cell: (c) => (c.plate.insulationClass ? insulationClasses[c.plate.insulationClass] : <NotKnown />),
        },
        { label: 'Service factor', cell: (c) => <Value dimension="number" value={c.plate.serviceFactor} /> },
        { label: 'Price', note: 'your own money', cell: (c) => <Value dimension="money" value={c.plate.price} /> },
      ],
    },
    {
      heading: 'Where the old one stood',
      rows: fit.map((what, i) => ({
        label: what,
        cell: (c) => {
          const line = c.fit[i]
          return line ? <Fit line={line} /> : <NotKnown />
        },
      })),
    },
  ]
  return <SideBySide columns={columns} groups={groups} what="motor" {...actions} />
}

function Figure({ id, column }: { id: FigureId; column: MotorColumn }) {
  return column.evaluation.figures[id] ? (
    <FigureValue id={id} className="-my-2.5 -ml-1.5 !justify-start" />
  ) : (
    <NotKnown />
  )
}

function Slow({ column: { slowest } }: { column: MotorColumn }) {
  if (!slowest) return <NotKnown />
  return (
    <>
      <FigureValue id="slow.continuousNm" className="-my-2.5 -ml-1.5 !justify-start" />
      <span className="block text-[14px] leading-tight text-ink-2">
        {slowest.reached
          ? `${Math.round(slowest.rpm)} rpm, ${slowest.position}`
          : `does not get down to ${Math.round(slowest.rpm)} rpm`}
      </span>
    </>
  )
}

function Against({ column }: { column: MotorColumn }) {
  // Only what this motor changes; the wall and the controls are the same for all.
  const mine = column.evaluation.findings.filter(
    (f) => (f.chainLink === 'motor' || f.chainLink === 'drive') && f.severity !== 'note',
  )
  const stops = mine.filter((f) => f.severity === 'stop')
  const shown = stops.length > 0 ? stops : mine
  if (shown.length === 0) return <Mark kind="ok" word="Nothing" />
  return (
    <ul className="flex flex-col gap-1">
      {shown.slice(0, 3).map((f) => (
        <li key={f.id} className="leading-tight">
          <Mark kind={f.severity} silent /> <Text said={f.title} />
        </li>
      ))}
      {shown.length > 3 && <li className="text-ink-2">and {shown.length - 3} more</li>}
    </ul>
  )
}

function Fit({ line }: { line: FitLine }) {
  const units = useUnits()
  const { kind, word } = marks[line.verdict]
  const size =
    typeof line.new === 'number' && line.dimension
      ? printQuantity({ value: line.new, dimension: line.dimension }, units)
      : line.new
  return (
    <>
      <span className="flex flex-wrap items-baseline gap-x-2">
        {size !== undefined && <span className="font-semibold">{size}</span>}
        <Mark kind={kind} word={word} />
      </span>
      {line.verdict !== 'fits' && (
        <span className="block text-[14px] leading-tight text-ink-2">
          <Text said={line.says} />
        </span>
      )}
    </>
  )
}
