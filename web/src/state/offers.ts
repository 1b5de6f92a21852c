import type { Conversion, Evaluation, Finding, Remedy } from '@zesty/core'
import { useEffect, useState } from 'react'
import { useEvaluation } from './evaluation'
import type { TryRemedy } from './judging'
import { useMeasured, usePlan } from './openPlan'
import { useAppSelector } from './store'

/** How long nobody must type before remedies are tried anew, ms; and how long they are tried at a stretch. */
const QUIET_MS = 120
const SLICE_MS = 8

const NONE: Remedy[] = []

/** The remedies of each finding of an evaluation that were tried and mend. */
interface Tried {
  of: Evaluation
  offers: ReadonlyMap<Finding['id'], Remedy[]>
}

interface Offers {
  of: (id: Finding['id']) => Remedy[]
  /** False while those of a finding were not tried since a change; what was offered before it is shown then, or all it has. */
  isTried: (id: Finding['id']) => boolean
}

/**
 * The remedies that were tried on the open plan and mend. The server has tried those of a plan as it was opened; the page
 * tries its own when it is quiet, a slice at a time, so that no key waits for them.
 */
export function useOffers(): Offers {
  const plan = usePlan()
  const measured = useMeasured()
  const evaluation = useEvaluation()
  const { judge, tryRemedy } = useAppSelector((state) => state.judging)
  const [last, setLast] = useState<Tried>(() => ({ of: evaluation, offers: judge ? new Map() : asServed(evaluation) }))
  const isDone = last.of === evaluation && last.offers.size === evaluation.findings.length
  useEffect(() => {
    if (!judge || !tryRemedy || isDone) return
    const trial = trialOf(judge(plan, measured), tryRemedy)
    let timer = setTimeout(
      function slice() {
        const ends = performance.now() + SLICE_MS
        let step = trial.next()
        while (step.done !== true && performance.now() < ends) step = trial.next()
        if (step.done !== true) {
          timer = setTimeout(slice)
          return
        }
        setLast({ of: evaluation, offers: step.value })
        // What is only now looked at waits for nobody.
      },
      last.of === evaluation ? 0 : QUIET_MS,
    )
    return () => clearTimeout(timer)
  }, [plan, measured, evaluation, judge, tryRemedy, isDone, last])
  return {
    of: (id) => last.offers.get(id) ?? evaluation.findings.find((f) => f.id === id)?.remedies ?? NONE,
    isTried: (id) => last.of === evaluation && last.offers.has(id),
  }
}

const asServed = ({ findings }: Evaluation): Tried['offers'] => new Map(findings.map((f) => [f.id, f.remedies]))

/** Tries one remedy at each step. */
function* trialOf(of: Conversion, tryRemedy: TryRemedy): Generator<undefined, Tried['offers']> {
  const offers = new Map<Finding['id'], Remedy[]>()
  for (const finding of of.evaluation.findings) {
    const mend: Remedy[] = []
    for (const remedy of finding.remedies) {
      if (tryRemedy(of, finding, remedy)) mend.push(remedy)
      yield
    }
    offers.set(finding.id, mend)
  }
  return offers
}
