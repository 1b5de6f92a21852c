import { z } from 'zod'

const name = z.string().trim().min(1).max(80)
const units = z.enum(['metric', 'imperial'])

export const newShopSchema = z.strictObject({ name, units: units.default('metric') })
export const shopPatchSchema = z.strictObject({ name: name.optional(), units: units.optional() })

export type NewShop = z.output<typeof newShopSchema>
export type ShopPatch = z.output<typeof shopPatchSchema>
