import type { Wiring } from '@zesty/core/wiring'
import { useKnown } from './useKnown'

/** The wiring of the open plan. */
export const useWiring = (): Wiring => useKnown().facts.wiring.wiring
