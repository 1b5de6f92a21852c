import { useStates } from '@zesty/core/run-in'
import { refusedStates, set, stateRefusals } from '@zesty/core'
import { Mark } from '../../parts/Mark'
import { Text } from '../../parts/Text'
import { useEvaluation } from '../../state/evaluation'
import { useChange, usePlan } from '../../state/openPlan'
import { useLooseEnds } from '../../measurements/useLooseEnds'

/** How far the machine is: done only without a stop and without a loose end; in use with those named that are no stop. */
export function StateSheet() {
  const plan = usePlan()
  const change = useChange()
  const { findings } = useEvaluation()
  const loose = useLooseEnds()
  const { state } = plan.runIn
  const stops = findings.filter(
    (f) => f.severity === 'stop' && f.follows === undefined && !f.id.startsWith('run-in.done'),
  )
  const refused = refusedStates(stops.length, loose)
  return (
    <section className="sheet mt-3" aria-labelledby="state" data-path="runIn.state">
      <h2 id="state" tabIndex={-1} className="h-part">
        How far it is
      </h2>
      <div className="mt-1 flex flex-wrap gap-2" role="group" aria-label="The machine is">
        {(Object.keys(useStates) as (keyof typeof useStates)[]).map((key) => (
          <button
            key={key}
            type="button"
            className="btn btn-toggle"
            aria-pressed={state === key}
            disabled={refused[key] !== undefined && state !== key}
            onClick={() =>
              change(`The machine is: ${useStates[key]}`, [set('runIn.state', state === key ? undefined : key)])
            }
          >
            {useStates[key]}
          </button>
        ))}
      </div>
      {(['in-use', 'done'] as const).map((key) => {
        const why = refused[key]
        return (
          why && (
            <p key={key} className="mt-1 text-[15px] text-ink-2">
              <b>{useStates[key]}</b> is refused. {stateRefusals[why]}.
            </p>
          )
        )
      })}
      {stops.length > 0 && (
        <ul className="mt-2">
          {stops.map((f) => (
            <li key={f.id} className="flex gap-2 py-0.5">
              <Mark kind="stop" /> <Text said={f.title} />
            </li>
          ))}
        </ul>
      )}
      {loose.length > 0 && (
        <>
          <p className="mt-2">{state === 'in-use' ? 'In use with these open:' : 'Loose ends:'}</p>
          <ul>
            {loose.map((end) => (
              <li key={end.id} className="flex gap-2 py-0.5">
                <Mark kind={end.stop ? 'stop' : 'watch'} /> {end.what}
              </li>
            ))}
          </ul>
        </>
      )}
      {stops.length === 0 && loose.length === 0 && <p className="mt-2">No stop and no loose end is open.</p>}
    </section>
  )
}
