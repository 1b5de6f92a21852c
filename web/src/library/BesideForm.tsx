import { Overlay } from '../parts/Overlay'
import { DriveFields } from './DriveFields'
import { MotorFields } from './MotorFields'
import type { PlateKind } from './plateColumns'

const forms = {
  motor: {
    Fields: MotorFields,
    title: 'A motor thought of',
    says: 'As its plate and drawing say. What you leave out is taken from the frame, or stays unknown.',
  },
  drive: {
    Fields: DriveFields,
    title: 'A drive thought of',
    says: 'As its plate and manual say. What you leave out stays unknown.',
  },
} as const

/** The plate of one motor or drive thought of. */
export function BesideForm({ kind, index, onClose }: { kind: PlateKind; index: number; onClose: () => void }) {
  const { Fields, title, says } = forms[kind]
  const path = `candidates.${kind}s.${index}`
  return (
    <Overlay title={title} says={says} open onClose={onClose} wide>
      <Fields at={(field) => `${path}.plate.${field}`} name={`${path}.name`} />
      <button type="button" className="btn btn-main self-start" onClick={onClose}>
        Done
      </button>
    </Overlay>
  )
}
