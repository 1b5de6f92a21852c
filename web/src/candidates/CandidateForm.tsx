import { Overlay } from '../parts/Overlay'
import { DriveFields } from '../library/DriveFields'
import { MotorFields } from '../library/MotorFields'
import type { PlateKind } from '../library/plateColumns'

const forms = {
  motor: {
    title: 'A motor thought of',
    says: 'As its plate and drawing say. What you leave out is taken from the frame, or stays unknown.',
  },
  drive: {
    title: 'A drive thought of',
    says: 'As its plate and manual say. What you leave out stays unknown.',
  },
} as const

/** The plate of one motor or drive thought of. */
export function CandidateForm({ kind, index, onClose }: { kind: PlateKind; index: number; onClose: () => void }) {
  const { title, says } = forms[kind]
  return (
    <Overlay title={title} says={says} open onClose={onClose} wide>
      {kind === 'motor' ? (
        <MotorFields
          at={(field) => `candidates.motors.${index}.plate.${field}`}
          name={`candidates.motors.${index}.name`}
        />
      ) : (
        <DriveFields
          at={(field) => `candidates.drives.${index}.plate.${field}`}
          name={`candidates.drives.${index}.name`}
        />
      )}
      <button type="button" className="btn btn-main self-start" onClick={onClose}>
        Done
      </button>
    </Overlay>
  )
}
