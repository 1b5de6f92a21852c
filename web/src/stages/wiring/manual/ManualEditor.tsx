import { manualFile, readManual, type Manual } from '@zesty/core/manual'
import type { Fault } from '@zesty/core/rules'
import { Plus } from 'lucide-react'
import { useState } from 'react'
import { FaultList } from '../../../parts/FaultList'
import { RemoveButton } from '../../../parts/RemoveButton'
import { Cell } from './Cell'
import { headColumns, parts, type Part } from './columns'
import { at } from './pathed'

const grid = 'grid grid-cols-2 items-end gap-x-3 gap-y-1.5 @narrow:grid-cols-3 @wider:grid-cols-5'

/** Every thing of a manual, changed on a copy until it is kept; what does not fit is said, and nothing typed is lost. */
export function ManualEditor({ manual, onKeep }: { manual: Manual; onKeep: (manual: Manual) => void }) {
  const [draft, setDraft] = useState<object>(manual)
  const [faults, setFaults] = useState<readonly Fault[]>([])
  const terminals = Object.fromEntries(
    rowsOf(draft, 'terminals').map((t) => [String(at(t, 'id')), `${String(at(t, 'prints'))} (${String(at(t, 'id'))})`]),
  )
  const keep = () => {
    const read = readManual({ ...manualFile(manual), manual: draft })
    setFaults(read.ok ? [] : read.faults.map(inWords))
    if (read.ok) onKeep(read.value)
  }
  return (
    <div className="mt-2 flex flex-col gap-2">
      <div className={grid}>
        {headColumns.map((column) => (
          <Cell key={column.path} column={column} item={draft} terminals={terminals} onChange={setDraft} />
        ))}
      </div>
      {parts.map((part) => (
        <PartEditor
          key={part.key}
          part={part}
          rows={rowsOf(draft, part.key)}
          terminals={terminals}
          onRows={(rows) => setDraft({ ...draft, [part.key]: rows })}
        />
      ))}
      <FaultList faults={faults} />
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-main" disabled={draft === manual} onClick={keep}>
          Keep these changes
        </button>
        <button
          type="button"
          className="btn btn-quiet"
          disabled={draft === manual}
          onClick={() => {
            setDraft(manual)
            setFaults([])
          }}
        >
          As it was
        </button>
      </div>
    </div>
  )
}

const rowsOf = (draft: object, key: Part['key']): readonly object[] => {
  const rows: unknown = Reflect.get(draft, key)
  return Array.isArray(rows) ? (rows as object[]) : []
}

function PartEditor({
  part,
  rows,
  terminals,
  onRows,
}: {
  part: Part
  rows: readonly object[]
  terminals: Readonly<Record<string, string>>
  onRows: (rows: readonly object[]) => void
}) {
  const ids = new Set(rows.map((row): unknown => Reflect.get(row, 'id')).filter((id) => typeof id === 'string'))
  // A list that is closed is not put there at all: a manual has hundreds of fields.
  const [open, setOpen] = useState(false)
  return (
    <details className="border-t border-rule" onToggle={(e) => setOpen(e.currentTarget.open)}>
      <summary className="flex min-h-11 items-center gap-2 font-semibold">
        {part.name}
        <span className="font-normal text-ink-2">{rows.length}</span>
      </summary>
      <ul className="@container">
        {(open ? rows : []).map((row, i) => (
          // By its place: an item has no other name that stays while it is typed.
          <Row
            key={i}
            part={part}
            row={row}
            place={i}
            terminals={terminals}
            onChange={(next) => onRows(rows.map((other, k) => (k === i ? next : other)))}
            onRemove={() => onRows(rows.filter((_, k) => k !== i))}
          />
        ))}
      </ul>
      <button type="button" className="btn my-2" onClick={() => onRows([...rows, part.make(ids)])}>
        <Plus size={18} aria-hidden="true" /> A {part.one}
      </button>
    </details>
  )
}

/** Rows of more fields than this are folded to their first two: a manual may have hundreds of them. */
const MOST_IN_SIGHT = 20

function Row({
  part,
  row,
  place,
  terminals,
  onChange,
  onRemove,
}: {
  part: Part
  row: object
  place: number
  terminals: Readonly<Record<string, string>>
  onChange: (next: object) => void
  onRemove: () => void
}) {
  const folded = part.columns.length > MOST_IN_SIGHT
  const [open, setOpen] = useState(!folded)
  const id: unknown = Reflect.get(row, 'id')
  const fields = (
    <>
      {part.columns.map((column) => (
        <Cell key={column.path} column={column} item={row} terminals={terminals} onChange={onChange} />
      ))}
      <span className="flex items-center gap-2 text-[14px] text-ink-2">
        {typeof id === 'string' && `id ${id}`}
        <RemoveButton what={`${part.one}, line ${place + 1}`} onClick={onRemove} />
      </span>
    </>
  )
  const name = `${part.name}, line ${place + 1}`
  if (!folded)
    return (
      <li className={`border-t border-rule py-2 ${grid}`} aria-label={name}>
        {fields}
      </li>
    )
  const [first = '?', second = ''] = part.columns.map(({ path }) => {
    const value = at(row, path)
    return typeof value === 'string' ? value : undefined
  })
  return (
    <li className="border-t border-rule" aria-label={name}>
      <button
        type="button"
        className="flex min-h-11 w-full items-center gap-3 text-left"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        <b className="font-cond text-[18px]">{first}</b>
        <span className="min-w-0 flex-1 truncate">{second}</span>
        <span className="font-semibold text-blue underline underline-offset-4">{open ? 'Fold' : 'Change'}</span>
      </button>
      {open && <div className={`pb-2 ${grid}`}>{fields}</div>}
    </li>
  )
}

/** `manual.terminals[3].prints` as it stands above: `Terminals, line 4, Prints`. */
function inWords({ field, message, ...rest }: Fault): Fault {
  const [, list, place, inner] = /^manual\.(\w+)(?:\[(\d+)\])?\.?(.*)$/.exec(field) ?? []
  const part = parts.find(({ key }) => key === list)
  const path = inner ?? ''
  const whole = list === undefined ? '' : path === '' ? list : `${list}.${path}`
  const column = (part?.columns ?? headColumns).find((c) => c.path === (part ? path : whole))
  const named = [
    part?.name,
    place === undefined ? undefined : `line ${Number(place) + 1}`,
    column?.label ?? (part ? path : whole),
  ]
  return { ...rest, field: named.filter((word) => word !== undefined && word !== '').join(', '), message }
}
