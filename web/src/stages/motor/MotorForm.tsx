import { MotorFields } from '../../library/MotorFields'
import { Overlay } from '../../parts/Overlay'

/** The plate and sizes of one motor thought of. */
export function MotorForm({ index, onClose }: { index: number; onClose: () => void }) {
  const at = (field: string) => `candidates.motors.${index}.plate.${field}`
  return (
    <Overlay
      title="A motor thought of"
      says="As its plate and drawing say. What you leave out is taken from the frame, or stays unknown."
      open
      onClose={onClose}
      wide
    >
      <MotorFields at={at} name={`candidates.motors.${index}.name`} />
      <button type="button" className="btn btn-main self-start" onClick={onClose}>
        Done
      </button>
    </Overlay>
  )
}
