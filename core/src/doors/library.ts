// A shop's own motors, drives, circuits: what is kept, taken and exchanged.
export { circuitLoad, type CircuitLoad } from '../library/circuitLoad'
export { libraryCsv, readLibraryCsv } from '../library/libraryCsv'
export {
  branchCircuitSchema,
  type LibraryItem,
  libraryItemSchema,
  type LibraryKind,
  type TableKind,
  libraryKinds,
} from '../library/libraryItem'
export { ITEM_VERSION, readItem, type StoredItem } from '../library/readItem'
export { branchCircuitOf, takeBranchCircuit } from '../library/takeBranchCircuit'
export { addCandidate, MOST_BESIDE, type PlateItem, takeItem } from '../library/takeItem'
