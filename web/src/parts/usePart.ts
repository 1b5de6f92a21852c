import type { ShownPart, ShownParts } from '@zesty/core/shown'
import { useMeasured, useOpen, usePlan } from '../state/openPlan'
import { useAppSelector } from '../state/store'
import { useAwaitedJudge } from './useAwaitedJudge'

/**
 * A part of what follows from the open plan, by name: of the page's conversion where what judges is there, else as the
 * server sent it with the plan, so that a stage is shown before anything is loaded that makes it. Where neither is there
 * whoever asks waits; what was sent is not shown for a plan that has changed since, for people act on it, but where what
 * judges cannot be had.
 */
export function usePart<N extends ShownPart>(name: N): ShownParts[N] {
  const plan = usePlan()
  const measured = useMeasured()
  const first = useOpen((open) => open.first)
  const isLost = useAppSelector((state) => state.judging.lost)
  const isOfThis = first.plan === plan && first.measured === measured
  const sent = first.parts && name in first.parts && (isOfThis || isLost) ? first.parts : undefined
  const { judge, makers } = useAwaitedJudge(sent !== undefined)
  if (judge && makers) return judge(plan, measured).of<unknown>(makers[name]) as ShownParts[N]
  // Nothing is sent as null.
  return (sent?.[name] ?? undefined) as ShownParts[N]
}
