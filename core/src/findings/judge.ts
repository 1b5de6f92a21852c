import type { Facts } from '../evaluate/facts'
import { beltFindings } from './beltFindings'
import { beltLoadFindings } from './beltLoadFindings'
import { checkFindings } from './checkFindings'
import { choiceFindings } from './choiceFindings'
import { driveFindings } from './driveFindings'
import { severities, stageIds, type Finding } from './finding'
import { joiningFindings } from './joiningFindings'
import { motorFluxFindings } from './motorFluxFindings'
import { motorPlateFindings } from './motorPlateFindings'
import { motorSpeedFindings } from './motorSpeedFindings'
import { mountFindings } from './mountFindings'
import { pulleyFindings } from './pulleyFindings'
import { senseFindings } from './senseFindings'
import { settingFindings } from './settingFindings'
import { shakeFindings } from './shakeFindings'
import { sourceFindings } from './sourceFindings'
import { speedFindings } from './speedFindings'
import { startFindings } from './startFindings'
import { stopFindings } from './stopFindings'
import { wallFindings } from './wallFindings'

export const judgements = [
  ...wallFindings,
  ...sourceFindings,
  ...joiningFindings,
  ...motorPlateFindings,
  ...motorFluxFindings,
  ...motorSpeedFindings,
  ...checkFindings,
  ...driveFindings,
  ...mountFindings,
  ...choiceFindings,
  ...beltFindings,
  ...beltLoadFindings,
  ...pulleyFindings,
  ...speedFindings,
  ...senseFindings,
  ...shakeFindings,
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
