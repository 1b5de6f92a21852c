import { set } from '@zesty/core'
import { rampOutcomes, rampsTuned, type RampTry, type RampTuning } from '@zesty/core/run-in'
import { useChange, usePlan } from '../../state/openPlan'
import { today } from '../../parts/today'
import { usePrint } from '../../parts/usePrint'
import { usePart } from '../../parts/usePart'

/** Ramps are shortened by steps until something does not go clean, and one step back. */
export function RampsSheet() {
  const { ramps } = usePart('runIn')
  return (
    <section className="sheet mt-3" aria-labelledby="ramps">
      <h2 id="ramps" tabIndex={-1} className="h-part">
        Ramps
      </h2>
      <p className="lead">
        With the heaviest thing that is used on the spindle, guards shut. Each try a fifth shorter, until it trips,
        squeals, slips or moves; then back to the last that went clean.
      </p>
      <div className="grid gap-4 @wide:grid-cols-2">
        {ramps.map((tuning) => (
          <Tuning key={tuning.ramp} tuning={tuning} />
        ))}
      </div>
    </section>
  )
}

const paths = { up: 'settings.chosen.accelerationS', down: 'settings.chosen.decelerationS' } as const

function Tuning({ tuning }: { tuning: RampTuning }) {
  const { ramp, nextS, foundS, floor } = tuning
  const plan = usePlan()
  const change = useChange()
  const print = usePrint()
  const tries = (plan.runIn.tries ?? []).filter((t) => t.ramp === ramp)
  const words = rampsTuned[ramp]
  const keep = (all: RampTry[]) => change(`${words}: a ramp tried`, [set('runIn.tries', all)])
  const seconds = (s: number | undefined) => (s === undefined ? '' : print('time', s))
  return (
    <div>
      <h3 className="font-cond text-[20px] font-semibold">{words}</h3>
      {tries.length > 0 && (
        <ol className="mb-2">
          {tries.map((one, i) => (
            <li key={i} className="flex gap-3 border-b border-rule py-1">
              <span className="w-20 text-right tabular-nums">{seconds(one.seconds)}</span>
              <span>{one.saw === undefined ? '' : rampOutcomes[one.saw]}</span>
              <span className="ml-auto text-[15px] text-ink-2">{one.on}</span>
            </li>
          ))}
        </ol>
      )}
      <p>{tuning.says}</p>
      {floor && (
        <p className="text-[15px] text-ink-2">
          Not under {seconds(floor.seconds)}: {floor.says.charAt(0).toLowerCase()}
          {floor.says.slice(1)}.
        </p>
      )}
      {nextS !== undefined && (
        <div className="mt-1">
          <p>
            <b>Set {seconds(nextS)}</b> in the drive, and run it. How did it go?
          </p>
          <div className="mt-1 flex flex-wrap gap-1.5">
            {Object.entries(rampOutcomes).map(([saw, outcome]) => (
              <button
                key={saw}
                type="button"
                className="btn"
                onClick={() =>
                  keep([
                    ...(plan.runIn.tries ?? []),
                    { ramp, seconds: nextS, saw: saw as keyof typeof rampOutcomes, on: today() },
                  ])
                }
              >
                {outcome}
              </button>
            ))}
          </div>
        </div>
      )}
      {foundS !== undefined && plan.settings.chosen[ramp === 'up' ? 'accelerationS' : 'decelerationS'] !== foundS && (
        <button
          type="button"
          className="btn btn-main mt-2"
          onClick={() => change(`${words}: found at the run-in`, [set(paths[ramp], foundS)])}
        >
          Plan {seconds(foundS)}
        </button>
      )}
      {tries.length > 0 && (
        <button
          type="button"
          className="btn btn-quiet mt-2 ml-2"
          onClick={() => keep((plan.runIn.tries ?? []).filter((t) => t !== tries.at(-1)))}
        >
          Take the last try back
        </button>
      )}
    </div>
  )
}
