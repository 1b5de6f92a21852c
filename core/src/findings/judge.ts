import type { Facts } from '../evaluate/facts'
import { driveFindings } from './driveFindings'
import { severities, stageIds, type Finding } from './finding'
import { motorFluxFindings } from './motorFluxFindings'
import { motorPlateFindings } from './motorPlateFindings'
import { motorSpeedFindings } from './motorSpeedFindings'
import { settingFindings } from './settingFindings'
import { speedFindings } from './speedFindings'
import { startFindings } from './startFindings'
import { stopFindings } from './stopFindings'
import { wallFindings } from './wallFindings'

export const judgements = [
  ...wallFindings,
  ...motorPlateFindings,
  ...motorFluxFindings,
  ...motorSpeedFindings,
  ...driveFindings,
  ...speedFindings,
  ...stopFindings,
  ...startFindings,
  ...settingFindings,
]

/** Every finding of a plan: stops first, then watches and notes, each in the order of the work. */
export const judge = (facts: Facts): Finding[] =>
  judgements
    .flatMap((j) => j.judge(facts))
    .sort(
      (a, b) =>
        severities.indexOf(a.severity) - severities.indexOf(b.severity) ||
        stageIds.indexOf(a.stage) - stageIds.indexOf(b.stage),
    )
