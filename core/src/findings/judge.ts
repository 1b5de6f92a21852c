import type { Facts } from '../evaluate/facts'
import { controlFindings } from './controlFindings'
import { driveFindings } from './driveFindings'
import { severities, stageIds, type Finding } from './finding'
import { motorFindings } from './motorFindings'
import { speedFindings } from './speedFindings'
import { wallFindings } from './wallFindings'

export const judgements = [...wallFindings, ...motorFindings, ...driveFindings, ...speedFindings, ...controlFindings]

/** Every finding of a plan: stops first, then watches and notes, each in the order of the work. */
export const judge = (facts: Facts): Finding[] =>
  judgements
    .flatMap((j) => j.judge(facts))
    .sort((a, b) => severities.indexOf(a.severity) - severities.indexOf(b.severity) || stageIds.indexOf(a.stage) - stageIds.indexOf(b.stage))
