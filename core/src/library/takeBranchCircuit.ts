import { set, type Change, type Patch, type Plan } from '../plan'
import { branchCircuitSchema, type BranchCircuit } from './libraryItem'

const keys = Object.keys(branchCircuitSchema.shape) as (keyof BranchCircuit)[]

/** Puts a plan on a circuit of the shop: all that the circuit says replaces what the plan said of it. */
export const takeBranchCircuit = (id: string, circuit: BranchCircuit): Patch => [
  set('supply.branchCircuitId', id),
  ...keys.map((key): Change => ({ path: `supply.${key}`, value: circuit[key] })),
]

/** What a plan says of its wall that a circuit of the shop would say too. */
export const branchCircuitOf = ({ supply }: Plan): BranchCircuit => branchCircuitSchema.strip().parse(supply)
