import type { Wiring } from '../../wiring/model'
import type { Nets } from '../../wiring/nets'

/** The wiring that the plan makes, and what is joined to what in it. */
export interface WiringFacts {
  wiring: Wiring
  nets: Nets
}
