import { card, type Card } from '@zesty/core/settings'
import { useConversion } from './useConversion'

/** The card of the open plan. */
export const useCard = (): Card => useConversion().of(card)
