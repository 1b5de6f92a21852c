import { parseQuantity, printQuantity, type Dimension } from '@zesty/core'
import { measurementKinds, type Reading } from '@zesty/core/measurements'
import { useState, type ReactNode } from 'react'
import { useUnits } from '../state/units'
import { useReadings } from './useReadings'

type Row = Omit<Reading, 'value' | 'takenAt' | 'note' | 'by' | 'instrument'>

/** One thing that somebody is asked to read: a row among the machine's readings, judged as it is typed. */
export function AskedReading({
  label,
  row,
  dimension,
  value,
  note,
  isOf,
  judged,
}: {
  label: ReactNode
  row: Row
  dimension: Dimension
  /** What was read of it last. */
  value: number | undefined
  /** Kept with the reading: at what it was taken. */
  note: string
  /** Whether a reading of the machine is one of this. */
  isOf: (reading: Reading) => boolean
  /** What is said of a value, kept or only typed yet. */
  judged: (value: number | undefined) => ReactNode
}) {
  const units = useUnits()
  const { readings, add, remove } = useReadings()
  const [typed, setTyped] = useState<string>()
  const print = (of: number) => printQuantity({ value: of, dimension }, units)
  const { name, least, most } = measurementKinds[row.kind]
  const read = typed === undefined || typed.trim() === '' ? undefined : parseQuantity(typed, dimension, units)
  const isSense = !read?.ok || (read.value >= least && read.value <= most)
  const fault =
    read === undefined
      ? undefined
      : !read.ok
        ? read.message
        : isSense
          ? undefined
          : `${name}: from ${print(least)} to ${print(most)}`
  const shown = value === undefined ? '' : print(value).replace(/[\u00a0\u202f]/g, ' ')
  const keep = () => {
    if (typed === undefined || fault !== undefined) return
    setTyped(undefined)
    if (typed.trim() === '') {
      const last = readings.filter(isOf).at(-1)
      if (last) void remove(last)
      return
    }
    if (read?.ok && read.value !== value)
      void add([{ ...row, value: read.value, takenAt: new Date().toISOString(), note }])
  }
  return (
    <>
      <label className="flex flex-col gap-0.5">
        <span className="label">{label}</span>
        <input
          className="field"
          inputMode="decimal"
          autoComplete="off"
          value={typed ?? shown}
          aria-invalid={fault !== undefined}
          onChange={(e) => setTyped(e.target.value)}
          onBlur={keep}
          onKeyDown={(e) => {
            if (e.key === 'Enter') e.currentTarget.blur()
          }}
        />
      </label>
      <div aria-live="polite" className="text-[15px] font-semibold">
        {fault === undefined ? (
          judged(read?.ok ? read.value : typed === undefined ? value : undefined)
        ) : (
          <span className="text-oxide">{fault}</span>
        )}
      </div>
    </>
  )
}
