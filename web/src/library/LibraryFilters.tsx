import { parseQuantity, printQuantity, type PlateItem } from '@zesty/core'
import { useId, useState } from 'react'
import { useUnits } from '../conversion/openPlan'
import { plateColumns, plateFilters, type PlateKind } from './plateColumns'

export interface Filters {
  search: string
  /** Words picked, by column; empty shows all. */
  picked: Record<string, string>
  leastW: number | undefined
  mostW: number | undefined
}

/** Shows fewer: by a word anywhere, by what is on the plate, by power. */
export function LibraryFilters({
  kind,
  items,
  filters,
  onChange,
}: {
  kind: PlateKind
  items: readonly PlateItem[]
  filters: Filters
  onChange: (filters: Filters) => void
}) {
  const id = useId()
  return (
    <div role="search" aria-label={`Search the ${kind}s`} className="flex flex-wrap items-start gap-3">
      <div className="flex min-w-[200px] flex-1 flex-col gap-0.5">
        <label className="label" htmlFor={id}>
          Find
        </label>
        <input
          id={id}
          type="search"
          className="field"
          placeholder="Any word of it: a name, a frame, IP66"
          value={filters.search}
          onChange={(e) => onChange({ ...filters, search: e.target.value })}
        />
      </div>
      {plateFilters[kind].map((key) => {
        const column = plateColumns[kind].find((c) => c.id === key)
        const there = [...new Set(items.map((item) => column?.value(item)))].filter((v) => typeof v === 'string')
        return (
          <label key={key} className="flex flex-col gap-0.5">
            <span className="label">{column?.heading}</span>
            <select
              className="field"
              value={filters.picked[key] ?? ''}
              onChange={(e) => onChange({ ...filters, picked: { ...filters.picked, [key]: e.target.value } })}
            >
              <option value="">All</option>
              {there.sort().map((words) => (
                <option key={words}>{words}</option>
              ))}
            </select>
          </label>
        )
      })}
      <PowerField
        label="Power from"
        example={0}
        value={filters.leastW}
        onChange={(leastW) => onChange({ ...filters, leastW })}
      />
      <PowerField
        label="Power to"
        example={1}
        value={filters.mostW}
        onChange={(mostW) => onChange({ ...filters, mostW })}
      />
    </div>
  )
}

const examples = { metric: ['0.75 kW', '2.2 kW'], imperial: ['1 hp', '3 hp'] } as const

function PowerField({
  label,
  example,
  value,
  onChange,
}: {
  label: string
  example: 0 | 1
  value: number | undefined
  onChange: (watts: number | undefined) => void
}) {
  const units = useUnits()
  const [text, setText] = useState(value === undefined ? '' : printQuantity({ value, dimension: 'power' }, units))
  const [message, setMessage] = useState<string>()
  const read = (typed: string) => {
    setText(typed)
    const parsed = typed.trim() === '' ? undefined : parseQuantity(typed, 'power', units)
    setMessage(parsed && !parsed.ok ? parsed.message : undefined)
    onChange(parsed?.ok ? parsed.value : undefined)
  }
  return (
    <label className="flex w-[124px] flex-col gap-0.5">
      <span className="label">{label}</span>
      <input
        className="field"
        value={text}
        placeholder={examples[units][example]}
        aria-invalid={message !== undefined}
        autoComplete="off"
        onChange={(e) => read(e.target.value)}
      />
      {message && (
        <span role="alert" className="text-[14px] leading-tight font-medium text-oxide">
          {message}
        </span>
      )}
    </label>
  )
}
