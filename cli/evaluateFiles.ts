import { readFileSync } from 'node:fs'
import {
  CONVERSION_FORMAT,
  advise,
  readConversionFile,
  readPlan,
  report,
  type Plan,
  type UnitSystem,
} from '@zesty/core'
import { complain, faultLine } from './complain'

/** A conversion file, or a bare plan. */
const read = (document: unknown) =>
  typeof document === 'object' && document !== null && Reflect.get(document, 'format') === CONVERSION_FORMAT
    ? readConversionFile(document)
    : readPlan(document)

/** The plan in a file, or what is wrong with it. */
function planIn(file: string): Plan | string {
  let document: unknown
  try {
    document = JSON.parse(readFileSync(file, 'utf8'))
  } catch (error) {
    return error instanceof SyntaxError ? `${file} is not JSON: ${error.message}` : `${file} cannot be read`
  }
  const plan = read(document)
  return plan.ok ? plan.value : `${file}: ${faultLine(plan.faults)}`
}

/**
 * `evaluate FILE`: the evaluation as JSON; with `--text` a short report, `--imperial` in inches and horsepower. Of
 * several files each is a line of JSON with its name, or a report under its name; one that does not read is told, and
 * the others are judged all the same.
 */
export function evaluateFiles(args: string[]): number {
  const files = args.filter((a) => !a.startsWith('--'))
  const strange = args.find((a) => a.startsWith('--') && a !== '--text' && a !== '--imperial')
  if (strange !== undefined) return complain(`evaluate does not know ${strange}; it takes --text and --imperial`)
  if (files.length === 0) return complain('evaluate takes one conversion file or several')
  const system: UnitSystem = args.includes('--imperial') ? 'imperial' : 'metric'
  const alone = files.length === 1
  let code = 0
  for (const file of files) {
    const plan = planIn(file)
    if (typeof plan === 'string') {
      code = complain(plan)
      continue
    }
    const evaluation = advise(plan)
    if (args.includes('--text'))
      process.stdout.write(`${alone ? '' : `== ${file}\n`}${report(plan, evaluation, system)}${alone ? '' : '\n'}`)
    else process.stdout.write(`${alone ? JSON.stringify(evaluation, null, 2) : JSON.stringify({ file, evaluation })}\n`)
  }
  return code
}
