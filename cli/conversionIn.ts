import { CONVERSION_FORMAT, readConversionFile, readPlan, type ConversionRead } from '@zesty/core'
import type { Outcome } from '@zesty/core/rules'
import { faultLine } from './complain'
import { readJson } from './readFile'

/** A conversion file, or a bare plan of which nothing was measured. */
function read(document: unknown): Outcome<ConversionRead> {
  if (typeof document === 'object' && document !== null && Reflect.get(document, 'format') === CONVERSION_FORMAT)
    return readConversionFile(document)
  const plan = readPlan(document)
  return plan.ok ? { ok: true, value: { plan: plan.value, measurements: [], log: [], photos: [] } } : plan
}

/** What a file holds, or what is wrong with it. */
export function conversionIn(file: string): ConversionRead | string {
  const document = readJson(file, 'conversion file')
  if (!document.ok) return document.says
  const found = read(document.value)
  return found.ok ? found.value : `${file}: ${faultLine(found.faults)}`
}
