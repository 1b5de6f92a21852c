import type { Plan } from '../../plan'
import type { Wiring } from '../../wiring/model'
import { netsOf, type Nets } from '../../wiring/nets'
import { wiringOf } from '../../wiring/wiringOf'

/** The wiring that the plan makes, and what is joined to what in it. */
export interface WiringFacts {
  wiring: Wiring
  nets: Nets
}

/** The last wiring, and the sections of the plan that it was made from. */
export interface WiringMemory {
  from: readonly unknown[]
  made: WiringFacts | undefined
}

export const wiringMemory = (): WiringMemory => ({ from: [], made: undefined })

/** Sections on which wires depend: a key typed into any other leaves them as they are. */
const sectionsOf = ({ supply, motor, drive, installation, controls, wiring, manual }: Plan): readonly unknown[] => [
  supply,
  motor,
  drive,
  installation,
  controls,
  wiring,
  manual,
]

export function wiringFacts({ plan }: { plan: Plan }, memory: WiringMemory = wiringMemory()): WiringFacts {
  const from = sectionsOf(plan)
  if (memory.made && from.every((section, i) => section === memory.from[i])) return memory.made
  const wiring = wiringOf(plan)
  memory.made = { wiring, nets: netsOf(wiring) }
  memory.from = from
  return memory.made
}
