import { card, type Card } from '@zesty/core/settings'
import { useKnown } from './useKnown'

/** The card of the open plan. */
export const useCard = (): Card => useKnown().of(card)
