import type { ShownPart, ShownParts } from '@zesty/core/shown'
import { use } from 'react'
import { judgeModule } from '../state/judging'
import { useMeasured, useOpen, usePlan } from '../state/openPlan'
import { useAppSelector } from '../state/store'

/**
 * A part of what follows from the open plan, by name: of the page's conversion where what judges is there, else as the
 * server sent it with the plan, so that a stage is shown before anything is loaded that makes it. Where neither is there
 * yet, whoever asks waits for it.
 */
export function usePart<N extends ShownPart>(name: N): ShownParts[N] {
  const plan = usePlan()
  const measured = useMeasured()
  const { judge, makers } = useAppSelector((state) => state.judging)
  const sent = useOpen((open) => open.first.parts)
  if (judge && makers) return judge(plan, measured).of<unknown>(makers[name]) as ShownParts[N]
  // Nothing is sent as null.
  if (sent && name in sent) return (sent[name] ?? undefined) as ShownParts[N]
  const module = use(judgeModule())
  return module.judge(plan, measured).of<unknown>(module.shownParts[name]) as ShownParts[N]
}
