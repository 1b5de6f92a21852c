import type { Facts } from '../facts/facts'
import { takenKey } from '../readings/runInReadings'
import { heartOf } from '../plan'
import { bareStages } from './bareStage'
import { beltStages, holderStages } from './beltStages'
import type { Cause } from './causes/cause'
import { causesOf } from './causes/causesOf'
import { cutStages, warmStages } from './cutStages'
import { judgeRunIn, type RunInReading, type RunInVerdict } from './reading'
import { rpmStages } from './rpmStages'
import { seenKey } from './seenKey'
import type { RunInStage } from './stage'

export type RunInStageState = 'open' | 'good' | 'look' | 'stop' | 'passed'

/** A reading with what was read of it. */
export interface JudgedReading extends RunInReading {
  value?: number
  verdict: RunInVerdict
  /** What may be behind it, where it is off. */
  causes: Cause[]
}

export interface JudgedStage extends Omit<RunInStage, 'readings'> {
  readings: JudgedReading[]
  state: RunInStageState
  /** Open readings and things to see. */
  left: number
  /** The day on which its hold point was passed. */
  passed?: string
}

/** The run-in of this machine, stage by stage, each reading judged. */
export function runInSheet(facts: Facts): JudgedStage[] {
  const stages = [
    ...(heartOf(facts.plan) === 'inverter'
      ? [...bareStages(facts), ...beltStages(facts), ...holderStages(facts), ...cutStages(facts)]
      : rpmStages(facts)),
    ...warmStages(facts),
  ]
  return stages.map((stage) => judgedStage(facts, stage))
}

function judgedStage(facts: Facts, stage: RunInStage): JudgedStage {
  const { taken } = facts.measured
  const { seen = {}, passed = {} } = facts.plan.runIn
  const readings = stage.readings.map((reading): JudgedReading => {
    const value = taken?.[takenKey(reading.row)]?.value
    const verdict = judgeRunIn(reading, value)
    return {
      ...reading,
      ...(value === undefined ? {} : { value }),
      verdict,
      causes:
        value !== undefined && (verdict === 'look' || verdict === 'stop') ? causesOf(facts, stage, reading, value) : [],
    }
  })
  const answers = stage.seen.map((item) => ({ item, answer: seen[seenKey(stage, item)] }))
  const day = passed[stage.id]
  const has = (verdict: RunInVerdict) => readings.some((r) => r.verdict === verdict)
  const bad = answers.filter(({ answer }) => answer === 'bad')
  const left =
    readings.filter((r) => r.verdict === 'open').length + answers.filter(({ answer }) => answer === undefined).length
  const state: RunInStageState =
    has('stop') || bad.some(({ item }) => item.stops)
      ? 'stop'
      : has('look') || bad.length > 0
        ? 'look'
        : day !== undefined
          ? 'passed'
          : left > 0
            ? 'open'
            : 'good'
  return { ...stage, readings, state, left, ...(day === undefined ? {} : { passed: day }) }
}
