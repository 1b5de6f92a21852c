import { set, type Patch, type Plan } from '../plan'
import { circuitSchema, type Circuit } from './libraryItem'

/** Puts a plan on a circuit of the shop: all that the circuit says replaces what the plan said of it. */
export const takeCircuit = (id: string, circuit: Circuit): Patch => [
  set('supply.circuitId', id),
  ...Object.keys(circuitSchema.shape).map((key) => set(`supply.${key}`, Reflect.get(circuit, key))),
]

/** What a plan says of its wall that a circuit of the shop would say too. */
export const circuitOf = ({ supply }: Plan): Circuit => circuitSchema.strip().parse(supply)
