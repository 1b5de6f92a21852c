import { ManualFields } from '../../library/ManualFields'

/** What the manual says beyond the plate; it sharpens what is worked out, and nothing waits for it. */
export function ManualSheet() {
  return (
    <section className="sheet mt-4" aria-labelledby="manual">
      <h2 id="manual" tabIndex={-1} className="h-part">
        From its manual
      </h2>
      <p className="lead mb-2">What you can find of it. Typical values stand in until then.</p>
      <ManualFields at={(field) => `drive.${field}`} />
    </section>
  )
}
