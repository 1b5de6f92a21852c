import { dimensionKind, namedPositions, type Dimension } from '@zesty/core'
import { leads, measurementKinds, type MeasurementKind, type Reading } from '@zesty/core/measurements'
import { useEffect, useRef, useState, type ReactNode } from 'react'
import { AmountField } from '../parts/DetachedField'
import { Labelled } from '../parts/Labelled'
import { usePlan } from '../state/openPlan'
import { useUnits } from '../state/units'

type Setting = 'hz' | 'motorRpm' | 'dial' | 'commandedRpm' | 'fromRpm' | 'toRpm'

const settings: Record<Setting, { label: string; dimension: Dimension; placeholder: string }> = {
  hz: { label: 'Drive at', dimension: 'frequency', placeholder: '50 Hz' },
  motorRpm: { label: 'Motor, where read', dimension: 'speed', placeholder: '1487 rpm' },
  dial: { label: 'Dial at', dimension: 'number', placeholder: '5' },
  commandedRpm: { label: 'Commanded', dimension: 'speed', placeholder: '12 000 rpm' },
  fromRpm: { label: 'From', dimension: 'speed', placeholder: '600 rpm' },
  toRpm: { label: 'To', dimension: 'speed', placeholder: '600 rpm' },
}

/** What is asked beside a reading of each kind. */
const asked: Partial<Record<MeasurementKind, readonly Setting[]>> = {
  'spindle-speed': ['hz', 'motorRpm', 'dial'],
  'surface-speed': ['hz', 'dial'],
  'run-up': ['hz', 'toRpm'],
  'run-down': ['fromRpm'],
  coast: ['fromRpm'],
  insulation: [],
  resistance: [],
  'seat-torque': [],
  'spindle-hours': [],
}
const USUAL: readonly Setting[] = ['hz']
/** Beside a spindle’s speed, where a controller commands it. */
const COMMANDED: readonly Setting[] = ['commandedRpm']

const placeholders: Partial<Record<MeasurementKind, string>> = {
  'spindle-speed': '596 rpm',
  coast: '14 s',
  amps: '2.1 A',
  insulation: '200 MΩ',
  resistance: '0.08 Ω',
}

/** One reading, in as few touches as it takes: kind, position and setting stay for the next. */
export function ReadingForm({
  isKeeping,
  onAdd,
}: {
  isKeeping: boolean
  onAdd: (reading: Reading) => Promise<boolean>
}) {
  const plan = usePlan()
  const positions = namedPositions(plan)
  const commanded = plan.controls.runBy === 'cnc'
  const units = useUnits()
  const form = useRef<HTMLFormElement>(null)
  const [kind, setKind] = useState<MeasurementKind>('spindle-speed')
  const [positionId, setPositionId] = useState<string | undefined>()
  const [lead, setLead] = useState<Reading['lead']>('u')
  const [at, setAt] = useState<Partial<Record<Setting, number | undefined>>>({})
  const [value, setValue] = useState<number>()
  const [words, setWords] = useState<{ instrument?: string; note?: string }>({})
  const [added, setAdded] = useState(0)
  const beside = [...(asked[kind] ?? USUAL), ...(kind === 'spindle-speed' && commanded ? COMMANDED : [])]
  const { name, dimension, least, most } = measurementKinds[kind]
  const position = positions.length === 1 ? positions[0]?.id : positionId
  const isSense = value === undefined || (value >= least && value <= most)

  // Once the empty field for the next value is there.
  useEffect(() => {
    if (added > 0) form.current?.querySelector<HTMLInputElement>('[data-value] input')?.focus()
  }, [added])

  const add = async () => {
    if (value === undefined || !isSense) return
    const known = { ...Object.fromEntries(beside.map((key) => [key, at[key]])), ...words, positionId: position }
    const given = Object.fromEntries(Object.entries(known).filter(([, v]) => v !== undefined && v !== ''))
    const reading = { kind, value, ...given, ...(kind === 'amps' ? { lead } : {}), takenAt: new Date().toISOString() }
    if (!(await onAdd(reading))) return
    setValue(undefined)
    setAdded(added + 1)
  }
  return (
    <form
      ref={form}
      aria-label="A reading"
      className="mt-2 flex flex-col gap-2 rounded-md border border-rule bg-paper p-2.5"
      onSubmit={(event) => {
        event.preventDefault()
        void add()
      }}
    >
      <div className="grid grid-cols-2 items-start gap-2 @wide:grid-cols-4">
        <Choice label="What" value={kind} onChange={(v) => setKind(v as MeasurementKind)}>
          {Object.entries(measurementKinds).map(([key, { name: words }]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </Choice>
        <div data-value="">
          <AmountField
            key={`${kind} ${added}`}
            label={name}
            placeholder={placeholders[kind] ?? dimensionKind(dimension).shown[units]}
            dimension={dimension}
            onRead={setValue}
          />
        </div>
        {kind === 'amps' && (
          <Choice label="Lead" value={lead ?? ''} onChange={(v) => setLead(v as Reading['lead'])}>
            {Object.entries(leads).map(([key, words]) => (
              <option key={key} value={key}>
                {words}
              </option>
            ))}
          </Choice>
        )}
        {positions.length > 1 && (
          <Choice label="On" value={positionId ?? ''} onChange={(v) => setPositionId(v === '' ? undefined : v)}>
            <option value="">No position</option>
            {positions.map((p) => (
              <option key={p.id} value={p.id}>
                {p.name}
              </option>
            ))}
          </Choice>
        )}
        {beside.map((key) => (
          <AmountField key={key} {...settings[key]} value={at[key]} onRead={(v) => setAt({ ...at, [key]: v })} />
        ))}
      </div>
      {!isSense && (
        <p role="alert" className="text-[15px] font-medium text-oxide">
          {name}: from {least} to {most} {dimensionKind(dimension).units.find((u) => u.factor === 1)?.symbol}.
        </p>
      )}
      <details>
        <summary className="min-h-11 py-2.5 text-[15px] font-semibold text-blue">Instrument and note</summary>
        <div className="grid gap-2 @wide:grid-cols-2">
          <Words label="Instrument" longest={60} onChange={(instrument) => setWords({ ...words, instrument })} />
          <Words label="Note" longest={300} onChange={(note) => setWords({ ...words, note })} />
        </div>
      </details>
      <button type="submit" className="btn btn-main self-start" disabled={value === undefined || !isSense || isKeeping}>
        Keep the reading
      </button>
    </form>
  )
}

function Choice({
  label,
  value,
  onChange,
  children,
}: {
  label: string
  value: string
  onChange: (value: string) => void
  children: ReactNode
}) {
  return (
    <Labelled label={label}>
      {(id) => (
        <select id={id} className="field" value={value} onChange={(event) => onChange(event.target.value)}>
          {children}
        </select>
      )}
    </Labelled>
  )
}

function Words({ label, longest, onChange }: { label: string; longest: number; onChange: (text: string) => void }) {
  return (
    <Labelled label={label}>
      {(id) => (
        <input
          id={id}
          className="field"
          maxLength={longest}
          autoComplete="off"
          onChange={(e) => onChange(e.target.value.trim())}
        />
      )}
    </Labelled>
  )
}
