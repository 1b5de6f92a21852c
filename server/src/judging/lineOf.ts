import { numberOf, type Conversion } from '@zesty/core'
import type { ReadableLine } from '@zesty/core/http'
import { tasksFor } from '@zesty/core/papers'
import { nextTask, taskKinds } from '@zesty/core/wiring'

/** What is said of a plan alone, whatever its id and the hour it was saved. */
export type PlanLine = Record<Exclude<keyof ReadableLine, 'id' | 'revision' | 'savedAt'>, unknown>

/** What the shop's page shows of a machine. */
export function lineOf(of: Conversion): PlanLine {
  const { plan } = of
  const { chain, stages, findings, agenda } = of.evaluation
  return {
    name: plan.name,
    machineKind: plan.survey.machineKind,
    powerW: plan.motor.powerW,
    inputA: numberOf(of.facts.drive.inputA),
    branchCircuitId: plan.supply.branchCircuitId,
    chain,
    stages,
    stops: findings.filter((f) => f.severity === 'stop').length,
    watches: findings.filter((f) => f.severity === 'watch').length,
    next: agenda[0],
    task: taskOf(of),
  }
}

/** The next thing to do at the machine, in words; its log and the days in it are not looked at here. */
function taskOf(of: Conversion): string | undefined {
  const next = nextTask(tasksFor(of, { today: new Date().toISOString().slice(0, 10) }))
  return next && `${taskKinds[next.kind]}: ${next.what}`
}
