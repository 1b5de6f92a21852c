import {
  logKinds,
  symptomOfFault,
  symptoms,
  symptomsOf,
  upkeepTasks,
  upkeepTasksOf,
  type LogEntry,
  type LogKind,
  type SymptomId,
} from '@zesty/core/record'
import { heartOf, parseQuantity } from '@zesty/core'
import { lazy, Suspense, useEffect, useState } from 'react'
import { CatchHere } from '../../parts/CatchHere'
import { Labelled } from '../../parts/Labelled'
import { usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'
import { fetchJudge } from '../../state/judging'
import { useAppDispatch } from '../../state/store'

const fetchCauses = () => import('./SymptomCauses')
const SymptomCauses = lazy(() => fetchCauses().then((m) => ({ default: m.SymptomCauses })))

const words: Record<LogKind, string> = {
  event: 'What happened',
  symptom: 'What was seen or heard beside',
  trip: 'What it was doing',
  upkeep: 'What was found',
  cost: 'What for',
  note: 'Note',
}

/** One line of the log, in as few touches as it takes. */
export function LogForm({ onAdd }: { onAdd: (entry: Omit<LogEntry, 'id'>) => Promise<boolean> }) {
  const plan = usePlan()
  const units = useUnits()
  // A log is written where there is no network: what a symptom may come from is there by then.
  const dispatch = useAppDispatch()
  useEffect(
    () =>
      void fetchCauses().then(
        () => dispatch(fetchJudge()),
        () => undefined,
      ),
    [dispatch],
  )
  const [kind, setKind] = useState<LogKind>('event')
  const [text, setText] = useState('')
  const [symptom, setSymptom] = useState<SymptomId | ''>('')
  const [code, setCode] = useState('')
  const [task, setTask] = useState<keyof typeof upkeepTasks>('belt')
  const [money, setMoney] = useState('')
  const faults = plan.manual?.faults ?? []
  const fault = faults.find((f) => f.code === code.trim())
  const tripped = fault && symptomOfFault(fault.means)
  const price = money.trim() === '' ? undefined : parseQuantity(money, 'money', units)
  const priceFault = price && !price.ok ? price.message : price && price.value < 0 ? 'Not below nothing.' : undefined
  const lacks =
    kind === 'symptom'
      ? symptom === ''
      : kind === 'trip'
        ? code.trim() === '' && text.trim() === ''
        : kind === 'cost'
          ? price?.ok !== true
          : kind === 'upkeep'
            ? false
            : text.trim() === ''
  const add = async () => {
    if (lacks || priceFault !== undefined) return
    const said = text.trim()
    const kept = await onAdd({
      kind,
      at: new Date().toISOString(),
      ...(said === '' ? {} : { text: said }),
      ...(kind === 'symptom' && symptom !== '' ? { symptom } : {}),
      ...(kind === 'trip' && code.trim() !== '' ? { code: code.trim() } : {}),
      ...(kind === 'trip' && tripped ? { symptom: tripped } : {}),
      ...(kind === 'upkeep' ? { task } : {}),
      ...((kind === 'cost' || kind === 'upkeep') && price?.ok ? { price: price.value } : {}),
    })
    if (!kept) return
    setText('')
    setMoney('')
    setCode('')
  }
  return (
    <form
      aria-label="A line of the log"
      className="mt-2"
      onSubmit={(event) => {
        event.preventDefault()
        void add()
      }}
    >
      <div className="flex flex-wrap gap-1.5" role="group" aria-label="What is it">
        {Object.entries(logKinds).map(([key, name]) => (
          <button
            key={key}
            type="button"
            className="btn btn-toggle"
            aria-pressed={kind === key}
            onClick={() => setKind(key as LogKind)}
          >
            {name}
          </button>
        ))}
      </div>
      <div className="mt-2 grid items-start gap-x-3 gap-y-2 @narrow:grid-cols-2">
        {kind === 'symptom' && (
          <Labelled label="What is wrong" className="col-span-full">
            {(id) => (
              <select
                id={id}
                className="field"
                value={symptom}
                onChange={(e) => setSymptom(e.target.value as SymptomId)}
              >
                <option value="">Choose what comes nearest</option>
                {symptomsOf(heartOf(plan)).map((key) => (
                  <option key={key} value={key}>
                    {symptoms[key]}
                  </option>
                ))}
              </select>
            )}
          </Labelled>
        )}
        {kind === 'trip' && (
          <Labelled label="Code on its display" className="col-span-full">
            {(id) => (
              <>
                <input
                  id={id}
                  className="field"
                  maxLength={24}
                  list={`${id}-codes`}
                  value={code}
                  autoComplete="off"
                  onChange={(e) => setCode(e.target.value)}
                />
                <datalist id={`${id}-codes`}>
                  {faults.map((f) => (
                    <option key={f.code} value={f.code}>
                      {f.means}
                    </option>
                  ))}
                </datalist>
                {fault ? (
                  <p className="text-[15px]">
                    <b>{fault.means}.</b>
                    {fault.causes.length > 0 && ` Its manual says: ${fault.causes.join('; ')}.`}
                  </p>
                ) : (
                  code.trim() !== '' && (
                    <p className="text-[15px] text-ink-2">
                      {plan.manual
                        ? 'Its manual here does not know that code.'
                        : 'No manual is in this plan: the code is kept as it is.'}
                    </p>
                  )
                )}
              </>
            )}
          </Labelled>
        )}
        {kind === 'upkeep' && (
          <Labelled label="What was looked after">
            {(id) => (
              <select id={id} className="field" value={task} onChange={(e) => setTask(e.target.value as typeof task)}>
                {upkeepTasksOf(plan).map((key) => (
                  <option key={key} value={key}>
                    {upkeepTasks[key]}
                  </option>
                ))}
              </select>
            )}
          </Labelled>
        )}
        {(kind === 'cost' || kind === 'upkeep') && (
          <Labelled label="Money, in your own">
            {(id) => (
              <>
                <input
                  id={id}
                  className="field"
                  inputMode="decimal"
                  autoComplete="off"
                  value={money}
                  aria-invalid={priceFault !== undefined}
                  onChange={(e) => setMoney(e.target.value)}
                />
                {priceFault !== undefined && (
                  <p role="alert" className="text-[15px] font-medium text-oxide">
                    {priceFault}
                  </p>
                )}
              </>
            )}
          </Labelled>
        )}
        <Labelled label={words[kind]} className="col-span-full">
          {(id) => (
            <textarea
              id={id}
              rows={2}
              maxLength={1000}
              className="field py-2"
              value={text}
              onChange={(e) => setText(e.target.value)}
            />
          )}
        </Labelled>
      </div>
      <button type="submit" className="btn btn-main mt-2" disabled={lacks || priceFault !== undefined}>
        Keep it in the log
      </button>
      {kind === 'symptom' && symptom !== '' && <Causes symptom={symptom} />}
      {kind === 'trip' && tripped && <Causes symptom={tripped} />}
    </form>
  )
}

/** Worked out by this machine's own numbers, when somebody asks. */
function Causes({ symptom }: { symptom: SymptomId }) {
  const dispatch = useAppDispatch()
  return (
    <CatchHere onAgain={() => dispatch(fetchJudge())}>
      <Suspense fallback={<p className="lead mt-3">Looking for what it may come from</p>}>
        <SymptomCauses symptom={symptom} />
      </Suspense>
    </CatchHere>
  )
}
