import type { Facts } from '../facts/facts'
import { beltFindings } from './beltFindings'
import { beltLoadFindings } from './beltLoadFindings'
import { checkFindings } from './checkFindings'
import { choiceFindings } from './choiceFindings'
import { driveFindings } from './driveFindings'
import { severities, type Finding } from './finding'
import { plugAndLeadFindings } from './plugAndLeadFindings'
import { motorFluxFindings } from './motorFluxFindings'
import { motorPlateFindings } from './motorPlateFindings'
import { motorSpeedFindings } from './motorSpeedFindings'
import { installationFindings } from './installationFindings'
import { pulleyFindings } from './pulleyFindings'
import { rotationFindings } from './rotationFindings'
import { settingFindings } from './settingFindings'
import { resonanceFindings } from './resonanceFindings'
import { supplyUnitFindings } from './supplyUnitFindings'
import { speedFindings } from './speedFindings'
import { startFindings } from './startFindings'
import { stopFindings } from './stopFindings'
import { wallFindings } from './wallFindings'
import { stageOrder } from '../stages/stages'

export const judgements = [
  ...wallFindings,
  ...supplyUnitFindings,
  ...plugAndLeadFindings,
  ...motorPlateFindings,
  ...motorFluxFindings,
  ...motorSpeedFindings,
  ...checkFindings,
  ...driveFindings,
  ...installationFindings,
  ...choiceFindings,
  ...beltFindings,
  ...beltLoadFindings,
  ...pulleyFindings,
  ...speedFindings,
  ...rotationFindings,
  ...resonanceFindings,
  ...stopFindings,
  ...startFindings,
  ...settingFindings,
]

/** What a judgement is called. */
export type JudgementId = (typeof judgements)[number]['id']

/** Every finding of a plan: stops first, then watches and notes, each in the order of the work. */
export const judge = (facts: Facts): Finding[] =>
  judgements
    .flatMap((j) => j.judge(facts))
    .sort(
      (a, b) =>
        severities.indexOf(a.severity) - severities.indexOf(b.severity) || stageOrder(a.stage) - stageOrder(b.stage),
    )
