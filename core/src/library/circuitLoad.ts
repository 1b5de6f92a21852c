/** What one machine takes from a circuit; undefined amps are not known yet. */
export interface CircuitUser {
  name: string
  inputA: number | undefined
}

export interface CircuitLoad {
  /** Of all machines on it together, as far as they are known. */
  totalA: number
  /** Machines whose amps are not known yet. */
  unknown: readonly string[]
  /** Machines that alone take more than the breaker holds. */
  tooLarge: readonly string[]
  /** Whether all may run at full load together; undefined while amps or breaker are unknown. */
  allAtOnce: boolean | undefined
  /** Breaker amps left when all run; below zero when they cannot. */
  spareA: number | undefined
}

/**
 * Load of a circuit of the shop: the input amps of its machines at full load, added, against its breaker.
 * Amps of drives on one supply add nearly in phase, so they are added as numbers.
 */
export function circuitLoad(breakerA: number | undefined, users: readonly CircuitUser[]): CircuitLoad {
  const totalA = users.reduce((sum, { inputA }) => sum + (inputA ?? 0), 0)
  const unknown = users.filter((u) => u.inputA === undefined).map((u) => u.name)
  const over = breakerA !== undefined && totalA > breakerA
  return {
    totalA,
    unknown,
    tooLarge: users.filter((u) => breakerA !== undefined && (u.inputA ?? 0) > breakerA).map((u) => u.name),
    allAtOnce: over ? false : breakerA === undefined || unknown.length > 0 ? undefined : true,
    spareA: breakerA === undefined ? undefined : breakerA - totalA,
  }
}
