import type { PlateKind } from './plateColumns'
import type { KeptOf } from '../state/useItems'
import { DriveFields } from './DriveFields'
import { KeptForm } from './KeptForm'
import { MotorFields } from './MotorFields'

/** Everything that is kept of one motor or drive. */
export function ItemForm({ item, onClose }: { item: KeptOf<PlateKind>; onClose: () => void }) {
  return (
    <KeptForm item={item} says="As its plate and papers say. Plans that took it keep what they took." onClose={onClose}>
      {item.kind === 'motor' && <MotorFields at={(field) => `motor.${field}`} name="name" needed />}
      {item.kind === 'drive' && <DriveFields at={(field) => `drive.${field}`} name="name" needed />}
    </KeptForm>
  )
}
