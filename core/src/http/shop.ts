import { z } from 'zod'
import { nameText } from '../rules/text'

const name = nameText(80)
const units = z.enum(['metric', 'imperial'])

export const newShopSchema = z.strictObject({ name, units: units.default('metric') })
export const shopChangeSchema = z.strictObject({ name: name.optional(), units: units.optional() })

/** A workshop, as it is answered. */
export const shopSchema = z.strictObject({
  id: z.uuid(),
  name,
  units,
  /** Made from the demo files. */
  demo: z.boolean(),
  createdAt: z.iso.datetime(),
})

/** A workshop in the list of all, with how many machines it has. */
export const shopLineSchema = shopSchema.extend({ machines: z.number().int().min(0) })

export type NewShop = z.output<typeof newShopSchema>
export type ShopChange = z.output<typeof shopChangeSchema>
export type Shop = z.output<typeof shopSchema>
export type ShopLine = z.output<typeof shopLineSchema>
