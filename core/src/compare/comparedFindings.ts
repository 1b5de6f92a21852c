import { numberOf } from '../facts/figure'
import { findingId, type Finding } from '../findings/finding'
import type { Plan } from '../plan'
import { amps, listed, message } from '../quantities'
import type { RouteComparison, RouteLine } from './compareRoutes'
import type { FitLine } from './motorFit'

const none = { due: true, remedies: [], figures: [] }

/** What a motor's fit says, as findings: what does not fit is a stop, what must be adapted a note, what is not known waits. */
export function fitFindings(lines: readonly FitLine[], about = 'motor'): Finding[] {
  return lines.flatMap((line): Finding[] => {
    if (line.verdict === 'fits' || line.verdict === 'unknown') return []
    const name = line.what.toLowerCase().replaceAll(' ', '-').replaceAll(',', '')
    return [
      {
        ...none,
        id: findingId('motor.fit', `${about}-${name}`),
        severity: line.verdict === 'no' ? 'stop' : 'note',
        title: line.verdict === 'no' ? message`${line.what}: it does not fit` : message`${line.what}: to be adapted`,
        says: line.says,
        why: 'A motor that does not go where the old one stood costs more in brackets than in money.',
        stage: 'route',
        chainLink: 'motor',
        by: 'buying',
        path: 'motor.frame',
      },
    ]
  })
}

/** What the comparison of routes says of the one that is chosen: not to be had here, or machines that cannot run at once. */
export function routeFindings(plan: Plan, comparison: RouteComparison): Finding[] {
  const chosen = comparison.lines.find((l) => l.id === plan.route.chosen)
  if (!chosen) return []
  const at = { ...none, stage: 'route', chainLink: 'wall', by: 'buying', path: 'route.chosen' } as const
  const findings: Finding[] = []
  if (!chosen.applies)
    findings.push({
      ...at,
      id: findingId('route.not-for-this', chosen.id),
      severity: 'watch',
      title: message`${chosen.name}: not for this machine`,
      says: [chosen.why ?? ''],
      why: 'The way that is chosen cannot be had here.',
    })
  const { verdict } = chosen
  if (verdict?.answer === 'stop' || verdict?.answer === 'watch')
    findings.push({
      ...at,
      id: findingId('route.dc-way', chosen.id),
      severity: verdict.answer,
      title: message`${chosen.name}: what speaks against it here`,
      says: verdict.says,
      why: 'Held against the other ways to turn this machine, on Route.',
      figures: [chosen.slowNm.id],
    })
  const left = leftOut(chosen, plan)
  if (left.length > 0)
    findings.push({
      ...at,
      id: findingId('route.not-at-once', chosen.id),
      severity: 'watch',
      title: message`Not every machine runs at once`,
      says: message`At full load ${listed(left)} ${left.length === 1 ? 'has' : 'have'} no amps left on this breaker; together they take ${amps(numberOf(chosen.togetherA) ?? 0)}.`,
      why: 'The breaker goes in the middle of two cuts.',
      figures: [chosen.togetherA.id],
    })
  return findings
}

const leftOut = ({ runAtOnce }: RouteLine, plan: Plan): string[] => {
  if (!runAtOnce) return []
  const together = [plan.name, ...plan.route.machines.flatMap((m) => (m.runsTogether ? (m.name?.trim() ?? []) : []))]
  return together.filter((name) => !runAtOnce.includes(name))
}
