import { heartOf } from '@zesty/core'
import { isCommanded, leadOrderIds } from '@zesty/core/hearts'
import { FieldsOf } from '../../parts/FieldsOf'
import { usePlan } from '../../state/openPlan'

/** What only a DC machine, a motor with its own driver, or a commanded spindle is asked of its wiring. */
export function HeartSheet() {
  const plan = usePlan()
  const heart = heartOf(plan)
  return (
    <>
      {heart === 'dc' && (
        <section className="sheet my-3" aria-labelledby="reversing">
          <h2 id="reversing" tabIndex={-1} className="h-part">
            Turning it over
          </h2>
          <p className="lead mb-2">
            By the armature or by the field, never by both: both together turn it the same way.
          </p>
          <FieldsOf
            rows={[
              ...(plan.motor.fieldKind === 'compound' ? (['dcDrive.seriesWinding'] as const) : []),
              'dcDrive.reversedBy',
              'dcDrive.reversal',
              ['dcDrive.reversalsPerHour', '10'],
            ]}
          />
        </section>
      )}
      {heart === 'driver' && (
        <section className="sheet my-3" aria-labelledby="orders">
          <h2 id="orders" tabIndex={-1} className="h-part">
            Its leads and its sensors
          </h2>
          <p className="lead mb-2">
            Of six orders of three leads two run evenly and with few amps, one for each direction. The sensors’ wires
            stay as they are; only the three leads are tried.
          </p>
          <ol className="mb-2 list-decimal pl-5 text-[15px]">
            <li>
              Motor clamped, belt off, limit at its least, a clamp on one lead. Off, dead and the shaft standing before
              each change.
            </li>
            <li>Enable, least speed, three seconds at most; then off, and write down how it ran.</li>
            <li>All six, also when the first is good: two must run well, and the better of them has the fewer amps.</li>
          </ol>
          <FieldsOf
            rows={[...leadOrderIds.map((order) => `driver.pairings.${order}` as const), 'driver.chosenOrder']}
          />
          <div className="mt-3">
            <FieldsOf rows={['driver.reference', 'driver.enable', 'driver.alarmStops']} />
          </div>
        </section>
      )}
      {plan.motor.kind === 'high-frequency' && (
        <section className="sheet my-3" aria-labelledby="body">
          <h2 id="body" tabIndex={-1} className="h-part">
            Its body and its water
          </h2>
          <p className="lead mb-2">
            Many come with the earth pin of their connector empty inside. Dead, from bare metal of the body to each pin:
            the one that reads next to nothing is it; where none does, a strap.
          </p>
          <FieldsOf rows={['highFrequency.earthBy', ['highFrequency.earthOhm', '0.1 Ω'], 'highFrequency.pumpFirst']} />
        </section>
      )}
      {isCommanded(plan) && (
        <section className="sheet my-3" aria-labelledby="with-controller">
          <h2 id="with-controller" tabIndex={-1} className="h-part">
            With the controller
          </h2>
          <FieldsOf rows={['commanded.stopChain', 'commanded.atSpeed', 'commanded.encoder']} />
          <p className="mt-2 text-[15px] text-ink-2">
            For a thread, or feed by the turn, the axis stands and waits for the spindle’s pulse before each pass: an
            axis that waits is no fault, a pulse that never comes is. Power on: controller, then drive; off: drive
            first.
          </p>
        </section>
      )}
    </>
  )
}
