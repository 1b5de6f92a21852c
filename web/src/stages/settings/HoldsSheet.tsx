import { set } from '@zesty/core'
import { resetDrive } from '@zesty/core/settings'
import { RotateCcw } from 'lucide-react'
import { ChoiceField, SelectField } from '../../parts/ChoiceField'
import { useChange, usePlan } from '../../state/openPlan'
import { GradesField } from './GradesField'

/** What the drive is known to hold before anything is entered, and how it is put back to what it came with. */
export function HoldsSheet() {
  const plan = usePlan()
  const change = useChange()
  const { manual, settings } = plan
  const unknown = settings.state === undefined || settings.state === 'second-hand'
  const meaning = settings.rampMeans ?? manual?.rampMeans
  return (
    <section className="sheet mb-3" aria-labelledby="state">
      <h2 id="state" tabIndex={-1} className="h-part mb-2">
        What the drive holds now
      </h2>
      <div className="grid gap-x-4 gap-y-2 @narrow:grid-cols-2">
        <SelectField path="settings.state" />
        <SelectField
          path="settings.rampMeans"
          none={manual?.rampMeans === undefined ? 'Not known' : 'As its manual says'}
        />
      </div>
      {meaning === 'grade' && <GradesField />}
      {unknown && (
        <p className="mt-2 max-w-[70ch]">
          Nobody knows what it holds. <b>Reset it first, then read.</b> Until then the card lists only what could hurt
          or spoil the plan.
        </p>
      )}
      <details className="mt-2 border-t border-rule" open={unknown}>
        <summary className="min-h-11 content-center font-semibold">Put it back to what it came with</summary>
        <ol className="ml-5 list-decimal text-[15px]">
          <li>RUN open, the motor bare and clamped, a hand on the isolator.</li>
          <li>
            {manual?.reset?.keys ??
              (manual?.reset?.code === undefined
                ? 'By its manual: often one code with one value, or two keys held while the power comes.'
                : `Enter ${manual.reset.code} = ${manual.reset.value ?? '?'}.`)}
            {manual?.reset?.keeps === undefined ? '' : ` Kept: ${manual.reset.keeps}.`}
          </li>
          <li>Power off until the display is dark, on again.</li>
        </ol>
        <p className="mt-1 flex gap-2 text-[15px]">
          <b className="text-brass">Watch</b>
          <span>
            A reset may change what it listens to: a switch that stands at RUN can start it. It also takes away all that
            was entered; in the middle of the card nothing counts as entered any more.
          </span>
        </p>
        <button type="button" className="btn my-2" onClick={() => change('The drive was reset', resetDrive(plan))}>
          <RotateCcw size={18} aria-hidden="true" /> It was reset
        </button>
      </details>
      <div className="mt-2 grid gap-x-4 border-t border-rule pt-2 @narrow:grid-cols-2">
        <ChoiceField path="settings.keyState" />
        {settings.state === 'entered' && (
          <p className="self-end text-[15px] text-ink-2">
            The whole card is said to be entered.{' '}
            <button
              type="button"
              className="min-h-11 font-semibold text-blue underline underline-offset-4"
              onClick={() => change('The card is open again', [set('settings.state', 'reset')])}
            >
              Not yet
            </button>
          </p>
        )}
      </div>
    </section>
  )
}
