import { createHash } from 'node:crypto'
import { Inject, Injectable, type OnApplicationShutdown } from '@nestjs/common'
import type { StageId } from '@zesty/core'
import { and, eq, inArray, sql } from 'drizzle-orm'
import { DATABASE, type Database } from '../db/database'
import { verdicts } from '../db/schema'
import { JUDGE, type Judge } from './judge'
import type { JudgeAnswer } from './judgeJob'

/** Injection token of what tells this release from every other: what it says of a plan may be another thing. */
export const RELEASE = Symbol('release')

const VERDICT = 'verdict'

/** How long an answer is held for those who looked for it before it was kept, ms. */
const LATE_MS = 1000

/** What is said of a machine as it is opened, JSON text. */
export interface Opened {
  verdict: string
  parts: string | undefined
}

/**
 * Verdicts as they were given, kept by the release that gave them and by a hash of everything that they rest on: of
 * another plan, other readings or another release nothing kept is ever shown.
 */
@Injectable()
export class KeptVerdicts implements OnApplicationShutdown {
  /** Being judged now, by what is kept of it: who asks meanwhile waits for the same. */
  private readonly coming = new Map<string, Promise<JudgeAnswer>>()

  constructor(
    @Inject(DATABASE) private readonly db: Database,
    @Inject(RELEASE) private readonly release: string,
    @Inject(JUDGE) private readonly judge: Judge,
  ) {}

  async onApplicationShutdown(): Promise<void> {
    await this.judge.close?.()
  }

  /** The fingerprint of all that is said of a plan and its readings by this release. */
  private stampOf(plan: string, readings: string): string {
    return createHash('sha256')
      .update(this.release)
      .update('\0')
      .update(plan)
      .update('\0')
      .update(readings)
      .digest('base64url')
  }

  async opened(id: string, plan: string, readings: string, stage: StageId | undefined): Promise<Opened> {
    const of = this.stampOf(plan, readings)
    const wanted = stage === undefined ? [VERDICT] : [VERDICT, partsOf(stage)]
    const rows = await this.db
      .select({ what: verdicts.what, answer: verdicts.answer })
      .from(verdicts)
      .where(and(eq(verdicts.conversionId, id), inArray(verdicts.what, wanted), eq(verdicts.of, of)))
    const kept = (what: string) => rows.find((row) => row.what === what)?.answer
    const [verdict, parts] = [kept(VERDICT), stage && kept(partsOf(stage))]
    if (verdict !== undefined && (stage === undefined || parts !== undefined)) return { verdict, parts }
    const made = await this.made(
      id,
      of,
      { plan, readings },
      verdict === undefined,
      parts === undefined ? stage : undefined,
    )
    return { verdict: verdict ?? made.verdict ?? '{}', parts: parts ?? made.parts }
  }

  /** Judged now, once however many ask, and kept. */
  private made(
    id: string,
    of: string,
    subject: { plan: string; readings: string },
    verdict: boolean,
    parts: StageId | undefined,
  ): Promise<JudgeAnswer> {
    const key = `${id} ${of} ${verdict} ${parts ?? ''}`
    const there = this.coming.get(key)
    if (there) return there
    const coming = this.judge({ as: 'opened', ...subject, verdict, parts })
      .then(async (answer) => {
        await this.keep(id, of, [
          ...(answer.verdict === undefined ? [] : [{ what: VERDICT, answer: answer.verdict }]),
          ...(answer.parts === undefined || parts === undefined
            ? []
            : [{ what: partsOf(parts), answer: answer.parts }]),
        ])
        return answer
      })
      // Who had looked for it before it was kept asks a moment later.
      .finally(() => setTimeout(() => this.coming.delete(key), LATE_MS).unref())
    this.coming.set(key, coming)
    return coming
  }

  /** Kept only to be quick the next time: that it cannot be is nobody's trouble. */
  private async keep(id: string, of: string, said: { what: string; answer: string }[]): Promise<void> {
    try {
      await this.db
        .insert(verdicts)
        .values(said.map((one) => ({ conversionId: id, of, ...one })))
        .onConflictDoUpdate({
          target: [verdicts.conversionId, verdicts.what],
          set: { of: sql`excluded.of`, answer: sql`excluded.answer` },
        })
    } catch {
      return
    }
  }
}

const partsOf = (stage: StageId): string => `parts of ${stage}`
