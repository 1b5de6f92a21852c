import { conversion, withTriedRemedies, type Plan, type StageId } from '@zesty/core'
import { fitMeasurements, type Measurement } from '@zesty/core/measurements'
import { partsOfStage, shownParts } from '@zesty/core/shown'

import { lineOf } from './lineOf'

/** What is judged: a plan and the readings of its machine, as JSON text, so that a thread is handed it without being read. */
interface Subject {
  plan: string
  readings: string
}

/** A machine as it is opened, and what its stage shows; either may have been kept already. Or its line on the shop's page. */
export type JudgeJob =
  (Subject & { as: 'opened'; verdict: boolean; parts: StageId | undefined }) | (Subject & { as: 'line' })

/** JSON text, as it is answered and kept. */
export interface JudgeAnswer {
  /** `{ measured, evaluation }` */
  verdict?: string
  parts?: string
  line?: string
}

/** Judges one machine. Throws where the plan is none. */
export function judgeJob(job: JudgeJob): JudgeAnswer {
  const plan = JSON.parse(job.plan) as Plan
  const measured = fitMeasurements(JSON.parse(job.readings) as Measurement[])
  const of = conversion(plan, { readings: measured })
  if (job.as === 'line') return { line: JSON.stringify(lineOf(of)) }
  const answer: JudgeAnswer = {}
  if (job.parts !== undefined)
    answer.parts = JSON.stringify(
      Object.fromEntries(
        (partsOfStage[job.parts] ?? []).map((name) => [name, of.of<unknown>(shownParts[name]) ?? null]),
      ),
    )
  if (job.verdict) answer.verdict = JSON.stringify({ measured, evaluation: withTriedRemedies(of) })
  return answer
}
