import { parseQuantity, printQuantity, type StepRecord } from '@zesty/core'
import { measurementKinds } from '@zesty/core/measurements'
import { isOfStep, judgeReading, readAtStep, type BuildStep, type StepReading } from '@zesty/core/wiring'
import { useMemo, useState } from 'react'
import { useReadings } from '../../measurements/useReadings'
import { useUnits } from '../../state/units'

/** What is measured at a step: rows among the machine's readings, judged as they are typed. */
export function StepReadings({ step, record }: { step: BuildStep; record: StepRecord }) {
  const units = useUnits()
  const [unread, setUnread] = useState<Record<string, string>>({})
  const { readings, add, remove } = useReadings()
  const read = useMemo(() => readAtStep(step, record.readings, readings), [step, record.readings, readings])
  const print = (value: number, { dimension }: StepReading) => printQuantity({ value, dimension }, units)
  const type = (asked: StepReading, text: string) => {
    const { id, row, dimension, label } = asked
    const tell = (fault: string) => setUnread({ ...unread, [id]: fault })
    if (text.trim() === '') {
      tell('')
      const last = readings.filter((r) => isOfStep(asked, r)).at(-1)
      if (last) void remove(last)
      return
    }
    const quantity = parseQuantity(text, dimension, units)
    if (!quantity.ok) {
      tell(quantity.message)
      return
    }
    const { least, most } = measurementKinds[row.kind]
    if (quantity.value < least || quantity.value > most) {
      tell(`${label}: from ${print(least, asked)} to ${print(most, asked)}`)
      return
    }
    tell('')
    if (quantity.value !== read[id])
      void add([{ ...row, value: quantity.value, takenAt: new Date().toISOString(), note: step.title }])
  }
  return (
    <div className="mt-2">
      <p className="label">Then measure</p>
      <ul className="grid gap-x-4 gap-y-2 @narrow:grid-cols-2">
        {step.readings.map((asked) => {
          const { id, label, least, most, alike } = asked
          const verdict = judgeReading(asked, read, step.readings)
          const value = read[id]
          const limit = [
            ...(least === undefined ? [] : [`${print(least, asked)} or more`]),
            ...(most === undefined ? [] : [`under ${print(most, asked)}`]),
            ...(alike === undefined ? [] : [`alike within ${Math.round(alike * 100)} %`]),
          ].join(', ')
          const fault = unread[id]
          return (
            <li key={id}>
              <label className="flex flex-col gap-0.5">
                <span className="label">
                  {label} ({limit})
                </span>
                <input
                  className="field"
                  inputMode="decimal"
                  key={value}
                  defaultValue={value === undefined ? '' : print(value, asked).replace(/[\u00a0\u202f]/g, ' ')}
                  aria-invalid={fault !== undefined && fault !== ''}
                  onBlur={(e) => type(asked, e.target.value)}
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
