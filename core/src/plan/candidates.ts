import { z } from 'zod'
import { id, on, words } from './field'
import { driveSchema } from './drivePlate'
import { motorSchema } from './motorPlate'

/** Motors and drives that are thought of, each with its plate, to be held side by side. */
export const candidatesSchema = z.strictObject({
  motors: on(
    'motor',
    z
      .array(z.strictObject({ id, name: words('Motor', 80), plate: motorSchema }))
      .max(8)
      .meta({ label: 'Motors thought of' }),
  ),
  drives: on(
    'drive',
    z
      .array(z.strictObject({ id, name: words('Drive', 80), plate: driveSchema }))
      .max(8)
      .meta({ label: 'Drives thought of' }),
  ),
})
