import { setImmediate } from 'node:timers/promises'
import { Inject, Injectable } from '@nestjs/common'
import { conversion, numberOf, type Conversion } from '@zesty/core'
import type { MachineLine } from '@zesty/core/http'
import type { Measured } from '@zesty/core/measurements'
import { tasksFor } from '@zesty/core/papers'
import { nextTask, taskKinds } from '@zesty/core/wiring'
import { and, asc, eq, inArray } from 'drizzle-orm'
import { DATABASE, type Database } from '../db/database'
import { conversions } from '../db/schema'
import { measuredOfAll } from '../measurements/storedMeasurements'
import { faultsOfStored, nameOf, readStored, saysUnreadable } from './storedPlan'

/** Injection token of what tells this release from every other: what it says of a plan may be another thing. */
export const RELEASE = Symbol('release')

/** Milliseconds after which others get their turn while many plans are judged. */
const TURN_MS = 20

/** What is said of a plan alone, whatever its id and the hour it was saved. */
type PlanLine = Record<string, unknown>

/** The machines of a shop with what the shop screen shows of each, judged once for each revision and release. */
@Injectable()
export class MachineLines {
  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(RELEASE) private readonly release: string,
  ) {}

  async of(shopId: string): Promise<(Pick<MachineLine, 'id' | 'revision'> & PlanLine)[]> {
    const rows = await this.db
      .select({
        id: conversions.id,
        revision: conversions.revision,
        savedAt: conversions.savedAt,
        readingsRevision: conversions.readingsRevision,
        line: conversions.line,
        lineOf: conversions.lineOf,
      })
      .from(conversions)
      .where(eq(conversions.shopId, shopId))
      .orderBy(asc(conversions.createdAt), asc(conversions.id))
    const stale = rows.filter((row) => row.lineOf !== this.stamp(row)).map(({ id }) => id)
    const judged = stale.length === 0 ? new Map<string, Judged>() : await this.judge(stale)
    // One that was taken away meanwhile has no line any more.
    return rows.flatMap(({ line, lineOf, ...row }) => {
      const { id, revision, savedAt } = row
      if (lineOf === this.stamp(row)) return [{ id, revision, savedAt, ...(line as PlanLine) }]
      const anew = judged.get(id)
      return anew ? [{ id, revision: anew.revision, savedAt: anew.savedAt, ...anew.line }] : []
    })
  }

  private stamp({ revision, readingsRevision }: Judgeable): string {
    return `${this.release} ${revision} ${readingsRevision}`
  }

  private async judge(ids: string[]): Promise<Map<string, Judged>> {
    const rows = await this.db
      .select({
        id: conversions.id,
        revision: conversions.revision,
        readingsRevision: conversions.readingsRevision,
        savedAt: conversions.savedAt,
        plan: conversions.plan,
      })
      .from(conversions)
      .where(inArray(conversions.id, ids))
    const measured = await measuredOfAll(this.db, ids)
    const judged = new Map<string, Judged>()
    let turn = performance.now()
    for (const { id, plan, ...row } of rows) {
      judged.set(id, { ...row, line: lineOf(plan, measured.get(id)) })
      if (performance.now() - turn < TURN_MS) continue
      await setImmediate()
      turn = performance.now()
    }
    await this.keep(judged)
    return judged
  }

  /** Kept only to be quick the next time: that it cannot be is nobody's trouble. */
  private async keep(judged: Map<string, Judged>): Promise<void> {
    try {
      for (const [id, row] of judged)
        await this.db
          .update(conversions)
          .set({ line: row.line, lineOf: this.stamp(row) })
          .where(
            and(
              eq(conversions.id, id),
              eq(conversions.revision, row.revision),
              eq(conversions.readingsRevision, row.readingsRevision),
            ),
          )
    } catch {
      return
    }
  }
}

/** What a verdict is of: the plan at a revision, and the readings after so many changes. */
interface Judgeable {
  revision: number
  readingsRevision: number
}

interface Judged extends Judgeable {
  savedAt: Date
  line: PlanLine
}

function lineOf(stored: unknown, measured: Measured | undefined): PlanLine {
  const read = readStored(stored)
  if (!read.ok) return { name: nameOf(stored), unreadable: saysUnreadable(read.faults) }
  const plan = read.value
  try {
    const of = conversion(plan, { readings: measured })
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
  } catch {
    return { name: nameOf(stored), unreadable: saysUnreadable(faultsOfStored(stored)) }
  }
}

/** The next thing to do at the machine, in words; its log and the days in it are not looked at here. */
function taskOf(of: Conversion): string | undefined {
  const next = nextTask(tasksFor(of, { today: new Date().toISOString().slice(0, 10) }))
  return next && `${taskKinds[next.kind]}: ${next.what}`
}
