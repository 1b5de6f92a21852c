import type { PlanPath } from '@zesty/core'

/** Text typed into a field that does not read yet; it stays until it does. */
export interface TypedText {
  text: string
  message: string
}

/** By the field they were typed in. */
export type TypedTexts = Partial<Record<PlanPath, TypedText>>
