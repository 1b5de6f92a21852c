import type { Wiring } from '@zesty/core/wiring'
import { useConversion } from './useConversion'

/** The wiring of the open plan. */
export const useWiring = (): Wiring => useConversion().facts.wiring.wiring
