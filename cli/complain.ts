import type { Fault } from '@zesty/core/rules'

/** Bad input: one clear line on standard error, exit 2. */
export function complain(message: string): number {
  process.stderr.write(`zesty: ${message.replace(/\s*\n\s*/g, ' ')}\n`)
  return 2
}

export const faultLine = (faults: readonly Fault[]): string =>
  faults.map((f) => `${f.field} ${f.message}`.trim()).join('; ')
