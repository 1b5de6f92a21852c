import type { PlateItem } from '@zesty/core/library'
import { useId } from 'react'
import { useUnits } from '../state/units'
import { AmountField } from '../parts/DetachedField'
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
  const [least, most] = examples[useUnits()]
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
      <AmountField
        label="Power from"
        dimension="power"
        className="w-[124px]"
        placeholder={least}
        value={filters.leastW}
        onRead={(leastW) => onChange({ ...filters, leastW })}
      />
      <AmountField
        label="Power to"
        dimension="power"
        className="w-[124px]"
        placeholder={most}
        value={filters.mostW}
        onRead={(mostW) => onChange({ ...filters, mostW })}
      />
    </div>
  )
}

const examples = { metric: ['0.75 kW', '2.2 kW'], imperial: ['1 hp', '3 hp'] } as const
