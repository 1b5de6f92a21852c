import { readFileSync } from 'node:fs'
import { CONVERSION_FORMAT, evaluate, readConversionFile, readPlan, report, type UnitSystem } from '@zesty/core'
import { complain, faultLine } from './complain'

/** A conversion file, or a bare plan. */
const read = (document: unknown) =>
  typeof document === 'object' && document !== null && Reflect.get(document, 'format') === CONVERSION_FORMAT
    ? readConversionFile(document)
    : readPlan(document)

/** `evaluate FILE`: the evaluation as JSON; with `--text` a short report, `--imperial` in inches and horsepower. */
export function evaluateFile(args: string[]): number {
  const files = args.filter((a) => !a.startsWith('--'))
  const strange = args.find((a) => a.startsWith('--') && a !== '--text' && a !== '--imperial')
  if (strange !== undefined) return complain(`evaluate does not know ${strange}; it takes --text and --imperial`)
  const [file] = files
  if (file === undefined || files.length > 1) return complain('evaluate takes one conversion file')
  let document: unknown
  try {
    document = JSON.parse(readFileSync(file, 'utf8'))
  } catch (error) {
    return complain(error instanceof SyntaxError ? `${file} is not JSON: ${error.message}` : `${file} cannot be read`)
  }
  const plan = read(document)
  if (!plan.ok) return complain(`${file}: ${faultLine(plan.faults)}`)
  const evaluation = evaluate(plan.value)
  const system: UnitSystem = args.includes('--imperial') ? 'imperial' : 'metric'
  process.stdout.write(
    args.includes('--text') ? report(plan.value, evaluation, system) : `${JSON.stringify(evaluation, null, 2)}\n`,
  )
  return 0
}
