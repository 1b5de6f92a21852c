import { commonJobs, readJob, type Job } from '@zesty/core'
import { useId, useState } from 'react'
import { useChange, usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'
import { Mark } from '../../parts/Mark'
import { newId } from '../../parts/newId'
import { withItem } from './listEdits'

/** A job said in one line, shown as it is understood before it is added; and those that such machines are asked for. */
export function JobLineForm() {
  const plan = usePlan()
  const change = useChange()
  const units = useUnits()
  const id = useId()
  const [text, setText] = useState('')
  const { job, understood, rest } = readJob(text, units)
  const { machineKind, jobs } = plan.survey
  const add = (found: Omit<Job, 'id'>) => change('Add a job', withItem(plan, 'jobs', { id: newId(), ...found }))
  const common = machineKind === undefined ? [] : commonJobs[machineKind]
  const offered = common.filter((words) => !jobs.some((j) => j.name === words))
  const said = understood.filter((u) => u.label !== 'Job')
  return (
    <form
      className="mt-2 flex flex-col gap-1.5"
      onSubmit={(event) => {
        event.preventDefault()
        if (said.length === 0) return
        add(job)
        setText('')
      }}
    >
      <label className="label" htmlFor={id}>
        A job in one line
      </label>
      <div className="flex flex-wrap gap-2">
        <input
          id={id}
          className="field min-w-0 flex-1 basis-64"
          value={text}
          maxLength={200}
          autoComplete="off"
          placeholder="drill 16 mm mild steel"
          onChange={(event) => setText(event.target.value)}
        />
        <button type="submit" className="btn" disabled={said.length === 0}>
          Add it
        </button>
      </div>
      <p aria-live="polite" className="min-h-6 text-[15px]">
        {said.length > 0 && (
          <span className="inline-flex items-baseline gap-2">
            <Mark kind="ok" />
            {said.map((u) => `${u.label} ${u.shown}`).join(', ')}
          </span>
        )}
        {rest !== '' && <span className="text-ink-2"> Not read: {rest}</span>}
      </p>
      {offered.length > 0 && (
        <div className="flex flex-wrap items-center gap-2">
          <span className="text-[15px] text-ink-2">Often done on such a machine:</span>
          {offered.map((words) => (
            <button key={words} type="button" className="btn" onClick={() => add(readJob(words, 'metric').job)}>
              {words}
            </button>
          ))}
        </div>
      )}
    </form>
  )
}
