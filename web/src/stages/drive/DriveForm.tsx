import { DriveFields } from '../../library/DriveFields'
import { Overlay } from '../../parts/Overlay'

/** The plate and manual of one drive thought of. */
export function DriveForm({ index, onClose }: { index: number; onClose: () => void }) {
  const at = (field: string) => `candidates.drives.${index}.plate.${field}`
  return (
    <Overlay
      title="A drive thought of"
      says="As its plate and manual say. What you leave out stays unknown."
      open
      onClose={onClose}
      wide
    >
      <DriveFields at={at} name={`candidates.drives.${index}.name`} />
      <button type="button" className="btn btn-main self-start" onClick={onClose}>
        Done
      </button>
    </Overlay>
  )
}
