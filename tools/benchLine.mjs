// @ts-check

/**
 * One measurement. `ms` is what it took, where it is a time; it is printed as a ratio to the yardstick too, so that
 * machines can be compared.
 * @typedef {{name: string, measured: string, budget: string, met: boolean, ms?: number}} Line
 */

/** @param {number[]} values @param {number} share */
export const quantile = (values, share) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(share * values.length))] ?? NaN

/** A time against its budget. @param {string} name @param {number} ms @param {number} most @returns {Line} */
export const timed = (name, ms, most) => ({
  name,
  measured: `${ms < 10 ? ms.toFixed(2) : ms.toFixed(1)} ms`,
  budget: `at most ${most} ms`,
  met: ms <= most,
  ms,
})
