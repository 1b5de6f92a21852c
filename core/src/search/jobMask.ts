/** Which of up to sixty jobs: thirty bits in each half, so that they stay whole numbers in machine words. */
const HALF = 30

export const HALVES = 2

export const halfOf = (job: number): number => Math.floor(job / HALF)
export const bitOf = (job: number): number => 1 << (job % HALF)

/** How many bits are set. */
export function bits(mask: number): number {
  let v = mask - ((mask >> 1) & 0x55555555)
  v = (v & 0x33333333) + ((v >> 2) & 0x33333333)
  return (((v + (v >> 4)) & 0x0f0f0f0f) * 0x01010101) >> 24
}
