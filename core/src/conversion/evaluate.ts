import type { PlanningTables } from '../data/planningValues'
import type { Evaluation } from '../evaluate/evaluation'
import type { Measured } from '../measurements/measured'
import type { Plan } from '../plan'
import { conversion } from './conversion'

/** The evaluation of a plan of which nothing else is asked. */
export const evaluate = (plan: Plan, library?: PlanningTables, readings?: Measured): Evaluation =>
  conversion(plan, { library, readings, once: true }).evaluation
