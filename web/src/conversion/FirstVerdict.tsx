import { goToField, openStage } from '../state/goToField'
import { Mark } from '../parts/Mark'
import { useEvaluation } from '../state/evaluation'

/** The five-minute path to a first verdict; gone once there is one. */
export function FirstVerdict() {
  const { firstSteps } = useEvaluation()
  const at = firstSteps.find((s) => !s.done)
  if (!at) return null
  return (
    <section aria-label="To a first verdict" className="mb-4 rounded-lg border border-blue bg-blue-wash px-3.5 py-2.5">
      <div className="flex flex-wrap items-center gap-x-5 gap-y-1">
        <h2 className="h-part">Five minutes to a first verdict</h2>
        <ol className="flex flex-wrap gap-x-4">
          {firstSteps.map((step) => (
            <li key={step.label} className="flex">
              <button
                type="button"
                aria-current={step === at ? 'step' : undefined}
                className={`flex min-h-11 items-center gap-1.5 px-1 font-medium ${step === at ? 'font-semibold text-blue underline underline-offset-4' : ''}`}
                onClick={() => (step.paths[0] ? goToField(step.paths[0]) : openStage(step.stage))}
              >
                <Mark kind={step.done ? 'done' : 'open'} />
                {step.label}
              </button>
            </li>
          ))}
        </ol>
      </div>
      <div className="flex flex-wrap items-center gap-3">
        <p>Now: {at.text.charAt(0).toLowerCase() + at.text.slice(1)}. Leave out what you do not know.</p>
        <button type="button" className="btn btn-main" onClick={() => at.paths[0] && goToField(at.paths[0])}>
          {at.text}
        </button>
      </div>
    </section>
  )
}
