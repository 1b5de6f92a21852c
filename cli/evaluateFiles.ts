import { advise, evaluate, report, type Finding, type Plan, type UnitSystem } from '@zesty/core'
import { compareMotors, compareRoutes, fitFindings, routeFindings } from '@zesty/core/compare'
import { fitMeasurements, type Measured } from '@zesty/core/measurements'
import { complain } from './complain'
import { conversionIn } from './conversionIn'

/** What `--with` adds: what the route stage shows, and how each motor goes where the old one stood. */
const extras = ['route', 'fit'] as const
type Extra = (typeof extras)[number]

/** What the comparisons say, with their verdicts as findings. Figures open to their working as on the screen. */
function compared(
  plan: Plan,
  measured: Measured,
  wanted: readonly Extra[],
): { findings: Finding[]; route?: unknown; fit?: unknown } {
  const findings: Finding[] = []
  const more: { route?: unknown; fit?: unknown } = {}
  if (wanted.includes('route')) {
    const routes = compareRoutes(plan, evaluate(plan, undefined, measured))
    findings.push(...routeFindings(plan, routes))
    more.route = routes
  }
  if (wanted.includes('fit')) {
    const motors = compareMotors(plan, measured).map(({ id, name, fit }) => ({ id: id ?? 'motor', name, fit }))
    findings.push(...motors.flatMap(({ id, fit }) => fitFindings(fit, id)))
    more.fit = motors
  }
  return { findings, ...more }
}

/** The names behind `--with`, or what is wrong with them. */
function wantedOf(args: readonly string[]): Extra[] | string {
  const at = args.indexOf('--with')
  if (at < 0) return []
  const names = (args[at + 1] ?? '').split(',').filter((name) => name !== '')
  const strange = names.find((name) => !(extras as readonly string[]).includes(name))
  if (names.length === 0 || strange !== undefined)
    return `--with takes ${extras.join(' and ')}, parted by a comma${strange === undefined ? '' : `, not ${strange}`}`
  return names as Extra[]
}

/**
 * `evaluate FILE`: the evaluation as JSON; with `--text` a short report, `--imperial` in inches and horsepower,
 * `--with route,fit` also the comparison of routes and how motors fit. Of several files each is a line of JSON with its
 * name, or a report under its name; one that does not read is told, and the others are judged all the same.
 */
export function evaluateFiles(args: string[]): number {
  const wanted = wantedOf(args)
  if (typeof wanted === 'string') return complain(wanted)
  const at = args.indexOf('--with')
  const rest = at < 0 ? args : [...args.slice(0, at), ...args.slice(at + 2)]
  const files = rest.filter((a) => !a.startsWith('--'))
  const strange = rest.find((a) => a.startsWith('--') && a !== '--text' && a !== '--imperial')
  if (strange !== undefined)
    return complain(`evaluate does not know ${strange}; it takes --text, --imperial and --with route,fit`)
  if (files.length === 0) return complain('evaluate takes one conversion file or several')
  const system: UnitSystem = args.includes('--imperial') ? 'imperial' : 'metric'
  const alone = files.length === 1
  let code = 0
  for (const file of files) {
    const found = conversionIn(file)
    if (typeof found === 'string') {
      code = complain(found)
      continue
    }
    // As on the screens: an index takes the place of an id.
    const measured = fitMeasurements(found.measurements.map((reading, i) => ({ ...reading, id: `${i}` })))
    const { plan } = found
    const judged = advise(plan, undefined, measured)
    const { findings, ...more } = compared(plan, measured, wanted)
    const evaluation = { ...judged, findings: [...judged.findings, ...findings] }
    if (args.includes('--text'))
      process.stdout.write(`${alone ? '' : `== ${file}\n`}${report(plan, evaluation, system)}${alone ? '' : '\n'}`)
    else {
      const told = { ...evaluation, ...more }
      process.stdout.write(`${alone ? JSON.stringify(told, null, 2) : JSON.stringify({ file, evaluation: told })}\n`)
    }
  }
  return code
}
