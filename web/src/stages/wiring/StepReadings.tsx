import { printQuantity, type StepRecord } from '@zesty/core'
import { isOfStep, judgeReading, readAtStep, type BuildStep } from '@zesty/core/wiring'
import { useMemo } from 'react'
import { AskedReading } from '../../measurements/AskedReading'
import { useReadings } from '../../measurements/useReadings'
import { useUnits } from '../../state/units'

/** What is measured at a step: rows among the machine's readings, judged as they are typed. */
export function StepReadings({ step, record }: { step: BuildStep; record: StepRecord }) {
  const units = useUnits()
  const { readings } = useReadings()
  const read = useMemo(() => readAtStep(step, record.readings, readings), [step, record.readings, readings])
  return (
    <div className="mt-2">
      <p className="label">Then measure</p>
      <ul className="grid gap-x-4 gap-y-2 @narrow:grid-cols-2">
        {step.readings.map((asked) => {
          const { id, label, least, most, alike, dimension, row } = asked
          const print = (value: number) => printQuantity({ value, dimension }, units)
          const limit = [
            ...(least === undefined ? [] : [`${print(least)} or more`]),
            ...(most === undefined ? [] : [`under ${print(most)}`]),
            ...(alike === undefined ? [] : [`alike within ${Math.round(alike * 100)} %`]),
          ].join(', ')
          return (
            <li key={id}>
              <AskedReading
                label={`${label} (${limit})`}
                row={row}
                dimension={dimension}
                value={read[id]}
                note={step.title}
                isOf={(reading) => isOfStep(asked, reading)}
                judged={(value) => {
                  const verdict = judgeReading(
                    asked,
                    value === undefined ? {} : { ...read, [id]: value },
                    step.readings,
                  )
                  return verdict === 'good' ? (
                    <span className="text-green">Good</span>
                  ) : verdict === 'wrong' ? (
                    <span className="text-oxide">Not as it should be: stop here</span>
                  ) : null
                }}
              />
            </li>
          )
        })}
      </ul>
    </div>
  )
}
