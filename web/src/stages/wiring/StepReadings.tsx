import { parseQuantity, printQuantity, type StepRecord } from '@zesty/core'
import { judgeReading, type BuildStep } from '@zesty/core/wiring'
import { useState } from 'react'
import { useUnits } from '../../state/units'

/** What is measured at a step, judged as it is typed. */
export function StepReadings({
  step,
  record,
  write,
}: {
  step: BuildStep
  record: StepRecord
  write: (words: string, more: Partial<StepRecord>) => void
}) {
  const units = useUnits()
  const [unread, setUnread] = useState<Record<string, string>>({})
  const readings = record.readings ?? {}
  const type = (id: string, label: string, text: string, dimension: BuildStep['readings'][number]['dimension']) => {
    const others = Object.fromEntries(Object.entries(readings).filter(([key]) => key !== id))
    if (text.trim() === '') {
      setUnread({ ...unread, [id]: '' })
      write(label, { readings: others })
      return
    }
    const read = parseQuantity(text, dimension, units)
    setUnread({ ...unread, [id]: read.ok ? '' : read.message })
    if (read.ok && read.value !== readings[id]) write(label, { readings: { ...readings, [id]: read.value } })
  }
  return (
    <div className="mt-2">
      <p className="label">Then measure</p>
      <ul className="grid gap-x-4 gap-y-2 @narrow:grid-cols-2">
        {step.readings.map((r) => {
          const verdict = judgeReading(r, readings, step.readings)
          const value = readings[r.id]
          const limit = [
            ...(r.least === undefined
              ? []
              : [`${printQuantity({ value: r.least, dimension: r.dimension }, units)} or more`]),
            ...(r.most === undefined
              ? []
              : [`under ${printQuantity({ value: r.most, dimension: r.dimension }, units)}`]),
            ...(r.alike === undefined ? [] : [`alike within ${Math.round(r.alike * 100)} %`]),
          ].join(', ')
          const fault = unread[r.id]
          return (
            <li key={r.id}>
              <label className="flex flex-col gap-0.5">
                <span className="label">
                  {r.label} ({limit})
                </span>
                <input
                  className="field"
                  inputMode="decimal"
                  key={value}
                  defaultValue={
                    value === undefined
                      ? ''
                      : printQuantity({ value, dimension: r.dimension }, units).replace(/[\u00a0\u202f]/g, ' ')
                  }
                  aria-invalid={fault !== undefined && fault !== ''}
                  onBlur={(e) => type(r.id, r.label, e.target.value, r.dimension)}
                  onKeyDown={(e) => {
                    if (e.key === 'Enter') e.currentTarget.blur()
                  }}
                />
              </label>
              <p
                aria-live="polite"
                className={`text-[15px] font-semibold ${verdict === 'wrong' ? 'text-oxide' : 'text-green'}`}
              >
                {fault !== undefined && fault !== '' ? (
                  <span className="text-oxide">{fault}</span>
                ) : verdict === 'good' ? (
                  'Good'
                ) : verdict === 'wrong' ? (
                  'Not as it should be: stop here'
                ) : (
                  ''
                )}
              </p>
            </li>
          )
        })}
      </ul>
    </div>
  )
}
