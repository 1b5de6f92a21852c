import type { Job, JobLine } from '@zesty/core'
import { Plus } from 'lucide-react'
import { lazy, Suspense } from 'react'
import { useEvaluation } from '../../state/evaluation'
import { useChange, usePlan } from '../../state/openPlan'
import { SelectField } from '../../parts/ChoiceField'
import { Disclosure } from '../../parts/Disclosure'
import { FigureValue } from '../../parts/FigureValue'
import { QuantityField } from '../../parts/QuantityField'
import { RemoveButton } from '../../parts/RemoveButton'
import { WordsField } from '../../parts/WordsField'
import { goToField } from '../../state/goToField'
import { newId } from '../../parts/newId'
import { JobFields } from './JobFields'
import { withItem, withoutItem } from './listEdits'

const JobLineForm = lazy(() => import('./JobLineForm').then((m) => ({ default: m.JobLineForm })))

/** The work the machine must do, and the speed each piece wants. */
export function Jobs() {
  const plan = usePlan()
  const change = useChange()
  const { jobs } = useEvaluation()
  return (
    <section className="sheet mt-3" aria-labelledby="jobs" data-path="survey.jobs">
      <h2 id="jobs" tabIndex={-1} className="h-part">
        Jobs
      </h2>
      <p className="lead mb-2">
        The slowest and the fastest you want matter most. Give the spindle speed, or surface speed and diameter; or what
        is cut with what, and it begins with a typical speed. Open the cut for torque and power.
      </p>
      <ul className="flex flex-col gap-2">
        {plan.survey.jobs.map((j, i) => {
          const path = `survey.jobs.${i}` as const
          const line = jobs[i]
          return (
            <li
              key={j.id}
              className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_44px] items-start gap-2 rounded-md border border-rule bg-paper p-2.5 @wider:grid-cols-[1.6fr_1fr_1fr_1fr_0.8fr_44px]"
            >
              <div className="col-span-2 @wider:col-span-1">
                <WordsField path={`${path}.name`} label="Job" />
              </div>
              <SelectField path={`${path}.kind`} label="Kind" />
              <div className="col-span-2 @wider:col-span-1">
                <QuantityField path={`${path}.speedRpm`} label="Spindle speed" placeholder="as cut" />
              </div>
              <QuantityField path={`${path}.surfaceSpeedMPerMin`} label="or surface speed" placeholder="30 m/min" />
              <div className="col-span-2 @wider:col-span-1">
                <QuantityField path={`${path}.diameterMm`} label="at diameter" hint="" placeholder="25 mm" />
              </div>
              <RemoveButton
                what={j.name ?? 'the job'}
                className="col-start-3 row-start-1 self-end @wider:col-auto @wider:row-auto"
                onClick={() => change(`Take ${j.name ?? 'a job'} away`, withoutItem(plan, 'jobs', j.id))}
              />
              <Cut index={i} job={j} line={line} />
            </li>
          )
        })}
      </ul>
      <Suspense>
        <JobLineForm />
      </Suspense>
      <button
        type="button"
        className="btn mt-2"
        onClick={() => {
          change('Add a job', withItem(plan, 'jobs', { id: newId() }))
          goToField(`survey.jobs.${plan.survey.jobs.length}.name`)
        }}
      >
        <Plus size={18} aria-hidden="true" /> Add a job
      </button>
    </section>
  )
}

/** What the job asks of the spindle, as far as it is known, and the cut that it follows from. */
function Cut({ index, job, line }: { index: number; job: Job; line: JobLine | undefined }) {
  const asked = [
    { words: 'Wants', id: line?.wantedRpm },
    { words: 'torque', id: line?.torqueNm },
    { words: 'power', id: line?.powerW },
  ]
  return (
    <Disclosure
      name="The cut"
      holds={`survey.jobs.${index}`}
      className="col-span-full"
      beside={asked.map(
        ({ words, id }) =>
          id !== undefined && (
            <span key={words} className="flex items-center">
              {words} <FigureValue id={id} />
            </span>
          ),
      )}
    >
      <JobFields index={index} kind={job.kind} />
    </Disclosure>
  )
}
