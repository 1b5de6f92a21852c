import { printNumber, set } from '@zesty/core'
import { isCommanded, MOST_COMMAND_READINGS, type CommandReading } from '@zesty/core/hearts'
import { Plus } from 'lucide-react'
import { type ReactNode } from 'react'
import { usePart } from '../../parts/usePart'
import { SelectField } from '../../parts/ChoiceField'
import { FieldsOf } from '../../parts/FieldsOf'
import { newId } from '../../parts/newId'
import { QuantityField } from '../../parts/QuantityField'
import { RemoveButton } from '../../parts/RemoveButton'
import { goToField } from '../../state/goToField'
import { useChange, useMeasured, usePlan } from '../../state/openPlan'

const rpm = (value: number): string => `${printNumber(value, 4, 0)} rpm`

/** What a controller commands against what a tachometer reads, range by range, and what to command for a true speed. */
export function CommandedSheet() {
  const plan = usePlan()
  const change = useChange()
  const measured = useMeasured()
  const { ranges } = usePart('commanded')
  const kept = plan.commanded.readings === undefined ? (measured.commands?.length ?? 0) : 0
  const readings = plan.commanded.readings ?? []
  const positions = Object.fromEntries(plan.survey.positions.map((p, i) => [p.id, p.name ?? `Position ${i + 1}`]))
  return (
    <section className="sheet mt-4" aria-labelledby="commanded">
      <h2 id="commanded" tabIndex={-1} className="h-part">
        Commanded speed
      </h2>
      <p className="lead mb-2">
        Each belt position or gear is a range of its own, with its own scale. Command five speeds on it, from low to
        high, and type what a tachometer reads.
      </p>
      {!isCommanded(plan) && (
        <p className="mb-2 text-[15px]">
          It is not said yet that a controller runs it and gives its speed.
          <button
            type="button"
            className="ml-1 min-h-11 font-semibold text-blue underline underline-offset-4"
            onClick={() => goToField('controls.runBy')}
          >
            Run by
          </button>
        </p>
      )}
      <FieldsOf rows={[['commanded.wantedRpm', '18 000 rpm'], 'commanded.threads', 'commanded.rangeChange']} />
      {kept > 0 && (
        <p className="mt-2 text-[15px]">
          Judged by {kept} of the machine’s readings that say what was commanded; what is typed here goes before them.
        </p>
      )}
      <ul className="mt-2 flex flex-col gap-1.5" data-path="commanded.readings">
        {readings.map((reading, index) => (
          <Reading key={reading.id} reading={reading} index={index} positions={positions} all={readings} />
        ))}
      </ul>
      {readings.length < MOST_COMMAND_READINGS && (
        <button
          type="button"
          className="btn mt-2 print:hidden"
          onClick={() => {
            const last = readings.at(-1)?.positionId ?? plan.survey.mainPositionId ?? plan.survey.positions[0]?.id
            const next: CommandReading = { id: newId(), ...(last === undefined ? {} : { positionId: last }) }
            change('Add a command', [set('commanded.readings', [...readings, next])])
            goToField(`commanded.readings.${readings.length}.commandedRpm`)
          }}
        >
          <Plus size={18} aria-hidden="true" /> Add a command and its reading
        </button>
      )}
      <div className="mt-3 overflow-x-auto">
        <table className="w-full text-[15px]">
          <caption className="label border-b border-ink-2 py-1 text-left">Ranges</caption>
          <thead>
            <tr className="border-b border-rule text-left font-cond text-ink-2">
              <th className="py-1 pr-3">Range</th>
              <th className="pr-3">Turns</th>
              <th className="pr-3">True over commanded</th>
              <th className="pr-3">Nothing turns under</th>
              <th>For the program’s speed command</th>
            </tr>
          </thead>
          <tbody>
            {ranges.map(({ id, name, bottomRpm, topRpm, fit, because, count, commandRpm, reaches }) => (
              <tr key={id} className="border-b border-rule">
                <th scope="row" className="py-1 pr-3 text-left font-semibold">
                  {name}
                </th>
                <td className="pr-3">
                  {bottomRpm === undefined || topRpm === undefined
                    ? 'not known yet'
                    : `${rpm(bottomRpm)} to ${rpm(topRpm)}`}
                </td>
                <td className="pr-3">
                  {fit === undefined
                    ? (because ?? (count === 0 ? 'no readings' : 'two readings at least'))
                    : `× ${fit.gain.toFixed(3)} ${fit.offsetRpm < 0 ? '−' : '+'} ${rpm(Math.abs(fit.offsetRpm))}${fit.straight ? '' : ', not straight'}${fit.outliers > 0 ? `, ${fit.outliers} off the line` : ''}`}
                </td>
                <td className="pr-3">
                  {fit === undefined ? '' : fit.deadBandRpm > 0 ? rpm(fit.deadBandRpm) : 'none found'}
                </td>
                <td>
                  {commandRpm === undefined ? '' : <b>{rpm(commandRpm)}</b>}
                  {reaches === false && <Note>out of this range</Note>}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </section>
  )
}

const Note = ({ children }: { children: ReactNode }) => <span className="ml-1 text-ink-2">{children}</span>

function Reading({
  reading,
  index,
  positions,
  all,
}: {
  reading: CommandReading
  index: number
  positions: Readonly<Record<string, string>>
  all: readonly CommandReading[]
}) {
  const change = useChange()
  return (
    <li className="grid grid-cols-2 items-end gap-x-3 gap-y-1 border-b border-rule pb-1 @wide:grid-cols-[1fr_1fr_1fr_auto]">
      <SelectField path={`commanded.readings.${index}.positionId`} options={positions} none="The only range" />
      <QuantityField path={`commanded.readings.${index}.commandedRpm`} placeholder="12 000 rpm" />
      <QuantityField path={`commanded.readings.${index}.rpm`} placeholder="by a tachometer" />
      <span className="justify-self-end">
        <RemoveButton
          what={`command ${index + 1}`}
          onClick={() => {
            const rest = all.filter(({ id }) => id !== reading.id)
            change('Take a command away', [set('commanded.readings', rest.length === 0 ? undefined : [...rest])])
          }}
        />
      </span>
    </li>
  )
}
