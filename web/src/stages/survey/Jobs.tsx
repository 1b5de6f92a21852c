import { Plus } from 'lucide-react'
import { useChange, useEvaluation, usePlan } from '../../conversion/openPlan'
import { SelectField } from '../../parts/ChoiceField'
import { FigureValue } from '../../parts/FigureValue'
import { QuantityField } from '../../parts/QuantityField'
import { RemoveButton } from '../../parts/RemoveButton'
import { WordsField } from '../../parts/WordsField'
import { newId, withItem, withoutItem } from './listEdits'

/** The work the machine must do, and the speed each piece wants. */
export function Jobs() {
  const plan = usePlan()
  const change = useChange()
  const { jobs } = useEvaluation()
  return (
    <section className="sheet mt-3" aria-labelledby="jobs" data-path="survey.jobs">
      <h2 id="jobs" className="h-part">
        Jobs
      </h2>
      <p className="lead mb-2">
        The slowest and the fastest you want matter most. Give the spindle speed, or surface speed and diameter.
      </p>
      <ul className="flex flex-col gap-2">
        {plan.survey.jobs.map((j, i) => {
          const path = `survey.jobs.${i}`
          const line = jobs[i]
          return (
            <li
              key={j.id}
              className="grid grid-cols-2 items-start gap-2 rounded-md border border-rule bg-paper p-2.5 md:grid-cols-[1.6fr_1fr_1fr_1fr_0.8fr_auto_44px]"
            >
              <WordsField path={`${path}.name`} label="Job" />
              <SelectField path={`${path}.kind`} label="Kind" />
              <QuantityField path={`${path}.speedRpm`} label="Spindle speed" placeholder="from the next two" />
              <QuantityField path={`${path}.surfaceSpeedMPerMin`} label="or surface speed" placeholder="30 m/min" />
              <QuantityField path={`${path}.diameterMm`} label="at diameter" hint="" placeholder="25 mm" />
              <div className="flex min-w-20 flex-col">
                <span className="label text-right">Wants</span>
                {line && <FigureValue id={line.wantedRpm} className="self-end" />}
              </div>
              <RemoveButton
                what={j.name ?? 'the job'}
                className="self-end"
                onClick={() => change(`Take ${j.name ?? 'a job'} away`, withoutItem(plan, 'jobs', j.id))}
              />
            </li>
          )
        })}
      </ul>
      <button
        type="button"
        className="btn mt-2"
        onClick={() => change('Add a job', withItem(plan, 'jobs', { id: newId() }))}
      >
        <Plus size={18} aria-hidden="true" /> Add a job
      </button>
    </section>
  )
}
