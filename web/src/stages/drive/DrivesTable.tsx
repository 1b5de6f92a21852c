import {
  driveInputs,
  driveKinds,
  driveModes,
  fieldbuses,
  hazards,
  jumpers,
  overloadClasses,
  type FigureId,
} from '@zesty/core'
import { type DriveColumn } from '@zesty/core/compare'
import { FigureValue } from '../../parts/FigureValue'
import { Mark } from '../../parts/Mark'
import { NotKnown, SideBySide, type ComparedGroup } from '../../parts/SideBySide'
import { Value } from '../../parts/Value'

/** What each drive gives this motor, what the controls want of it, and its true cost. */
export function DrivesTable({
  columns,
  ...actions
}: {
  columns: readonly DriveColumn[]
  onTake: (column: DriveColumn) => void
  onEdit: (id: string) => void
  onRemove: (column: DriveColumn) => void
}) {
  const groups: ComparedGroup<DriveColumn>[] = [
    {
      heading: 'Against this motor and this wall',
      rows: [
        {
          label: 'Usable output',
          note: 'one phase, carrier, height, heat',
          cell: (c) => <Output column={c} />,
        },
        {
          label: 'Slowest job',
          note: 'torque for moments',
          cell: (c) => <Figure id="slow.peakNm" column={c} />,
        },
        { label: 'Takes from the wall', cell: (c) => <Figure id="drive.inputA" column={c} /> },
        { label: 'Shortest stop', note: 'no resistor', cell: (c) => <Figure id="stop.withoutResistorS" column={c} /> },
        {
          label: 'Brake chopper',
          cell: (c) => (
            <YesNo value={c.plate.brakeChopper}>
              {c.plate.minimumOhm !== undefined && (
                <span className="text-[14px] text-ink-2">
                  {' '}
                  from <Value dimension="resistance" value={c.plate.minimumOhm} />
                </span>
              )}
            </YesNo>
          ),
        },
        { label: 'Motor control', cell: (c) => (c.plate.control ? driveModes[c.plate.control] : <NotKnown />) },
        {
          label: 'Overload it stands',
          cell: (c) => (c.plate.overloadClass ? overloadClasses[c.plate.overloadClass] : <NotKnown />),
        },
        { label: 'Highest hertz', cell: (c) => <Value dimension="frequency" value={c.plate.maximumHz} /> },
      ],
    },
    {
      heading: 'What the controls want of it',
      rows: [
        { label: 'Terminals', cell: (c) => <Needs column={c} /> },
        { label: 'Bus', cell: (c) => (c.plate.fieldbus ? fieldbuses[c.plate.fieldbus] : <NotKnown />) },
        { label: 'Keypad on a lead', cell: (c) => <YesNo value={c.plate.keypadLead} /> },
        { label: 'Line-start lockout', cell: (c) => <YesNo value={c.plate.lineStartLockout} /> },
        { label: 'Input jumper', cell: (c) => (c.plate.jumper ? jumpers[c.plate.jumper] : <NotKnown />) },
      ],
    },
    {
      heading: 'The thing itself',
      rows: [
        { label: 'Kind', cell: (c) => (c.plate.kind ? driveKinds[c.plate.kind] : <NotKnown />) },
        { label: 'Input', cell: (c) => (c.plate.input ? driveInputs[c.plate.input] : <NotKnown />) },
        { label: 'Enclosure', cell: (c) => <Enclosure column={c} /> },
        {
          label: 'Its manual, by you',
          cell: (c) => (c.plate.manualRating === undefined ? <NotKnown /> : `${c.plate.manualRating} of 5`),
        },
        {
          label: 'Warranty',
          cell: (c) => (c.plate.warrantyMonths === undefined ? <NotKnown /> : `${c.plate.warrantyMonths} months`),
        },
        { label: 'True cost', note: 'your own money', cell: (c) => <Cost column={c} /> },
      ],
    },
  ]
  return <SideBySide columns={columns} groups={groups} what="drive" {...actions} />
}

function Figure({ id, column }: { id: FigureId; column: DriveColumn }) {
  return column.evaluation.figures[id] ? (
    <FigureValue id={id} className="-my-2.5 -ml-1.5 !justify-start" />
  ) : (
    <NotKnown />
  )
}

function Output({ column }: { column: DriveColumn }) {
  const { figures } = column.evaluation
  const [gives, wants] = [figures['drive.outputA'], figures['motor.plateCurrentA']]
  return (
    <>
      <Figure id="drive.outputA" column={column} />
      {gives && wants && (
        <span className="block">
          <Mark
            kind={gives.value >= wants.value ? 'ok' : 'stop'}
            word={
              gives.value >= wants.value
                ? `${Math.round((100 * gives.value) / wants.value)} % of the plate`
                : 'Too small'
            }
          />
        </span>
      )}
    </>
  )
}

function Needs({ column: { needs } }: { column: DriveColumn }) {
  if (needs.length === 0) return <span className="text-ink-2">controls not chosen yet</span>
  return (
    <ul className="flex flex-col gap-0.5">
      {needs.map((n) => (
        <li key={n.what} className="flex items-baseline gap-1.5 leading-tight">
          <Mark kind={n.has === undefined ? 'open' : n.has ? 'ok' : 'watch'} />
          {n.what}
        </li>
      ))}
    </ul>
  )
}

function Enclosure({ column: { plate, letsIn } }: { column: DriveColumn }) {
  return (
    <>
      {plate.enclosure ?? <NotKnown />}
      {letsIn !== undefined && letsIn.length > 0 && (
        <span className="block text-[14px] leading-tight text-ink-2">
          lets in {letsIn.map((h) => hazards[h].toLowerCase()).join(', ')}: not on the machine
        </span>
      )}
    </>
  )
}

function Cost({ column: { cost, parts } }: { column: DriveColumn }) {
  return (
    <>
      <FigureValue id={cost.id} className="-my-2.5 -ml-1.5 !justify-start" />
      <ul className="text-[14px] leading-tight text-ink-2">
        {parts
          .filter((p) => p.wanted)
          .map((p) => (
            <li key={p.what}>
              {p.what} {p.price ?? '?'}
            </li>
          ))}
      </ul>
    </>
  )
}

function YesNo({ value, children }: { value: boolean | undefined; children?: React.ReactNode }) {
  return value === undefined ? (
    <NotKnown />
  ) : (
    <>
      {value ? 'Yes' : 'No'}
      {value && children}
    </>
  )
}
