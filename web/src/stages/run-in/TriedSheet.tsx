import { heartOf } from '@zesty/core'
import { isCommanded } from '@zesty/core/hearts'
import { FieldsOf } from '../../parts/FieldsOf'
import { usePlan } from '../../state/openPlan'

/** What is tried or looked at only on a DC machine, a spindle for hundreds of hertz, or behind a controller. */
export function TriedSheet() {
  const plan = usePlan()
  const isSpindle = plan.motor.kind === 'high-frequency'
  const commanded = isCommanded(plan)
  if (heartOf(plan) !== 'dc' && !isSpindle && !commanded) return null
  return (
    <section className="sheet mt-3" aria-labelledby="tried">
      <h2 id="tried" tabIndex={-1} className="h-part">
        Looked at and tried
      </h2>
      <FieldsOf
        rows={[
          'dcDrive.brushes',
          'dcDrive.commutator',
          ...(isSpindle ? (['highFrequency.nut', 'highFrequency.warmed'] as const) : []),
          ...(commanded ? (['commanded.directions', 'commanded.dead', 'commanded.restart'] as const) : []),
        ]}
      />
      {commanded && (
        <p className="mt-2 text-[15px] text-ink-2">
          No tool in it, nobody near it. The controller’s lead is pulled while it turns slowly; then controller,
          computer and drive are switched off and on in every order, RUN still commanded.
        </p>
      )}
    </section>
  )
}
