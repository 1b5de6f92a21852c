import type { Evaluation, Finding, Remedy } from '@zesty/core'
import { useEffect, useState } from 'react'
import { useEvaluation } from './evaluation'
import { useMeasured, usePlan } from './openPlan'
import { useAppSelector } from './store'

/** How long nobody must type before remedies are tried anew, ms. */
const QUIET_MS = 120

const NONE: Remedy[] = []

interface Offers {
  of: (id: Finding['id']) => Remedy[]
  /** False while a change has not been tried yet; what is shown then is what was offered before it. */
  tried: boolean
}

/**
 * The remedies that were tried on the open plan and mend. The server has tried those of a plan as it was opened; the page
 * tries its own once it is quiet.
 */
export function useOffers(): Offers {
  const plan = usePlan()
  const measured = useMeasured()
  const evaluation = useEvaluation()
  const tryRemedies = useAppSelector((state) => state.judging.tryRemedies)
  const [last, setLast] = useState<{ of: Evaluation; tried: Evaluation }>(() => ({
    of: evaluation,
    tried: tryRemedies?.(plan, evaluation, measured) ?? evaluation,
  }))
  useEffect(() => {
    if (!tryRemedies || last.of === evaluation) return
    const soon = setTimeout(() => setLast({ of: evaluation, tried: tryRemedies(plan, evaluation, measured) }), QUIET_MS)
    return () => clearTimeout(soon)
  }, [plan, measured, evaluation, tryRemedies, last])
  return {
    of: (id) => last.tried.findings.find((f) => f.id === id)?.remedies ?? NONE,
    tried: last.of === evaluation,
  }
}
