import { factsFor } from '../facts/factsFor'
import type { Measured } from '../measurements/measured'
import type { Plan } from '../plan'
import { beltCauses } from './beltCauses'
import { numbersOf, type Causes, type SymptomCause } from './causes'
import { controlCauses } from './controlCauses'
import { pullCauses } from './pullCauses'
import { spindleCauses } from './spindleCauses'
import { supplyCauses } from './supplyCauses'
import { tripCauses } from './tripCauses'
import type { SymptomId } from '../log/symptoms'

const all: Causes<SymptomId> = {
  ...beltCauses,
  ...tripCauses,
  ...spindleCauses,
  ...pullCauses,
  ...controlCauses,
  ...supplyCauses,
}

/** What a symptom comes from, the likeliest by this machine's own numbers first. */
export const symptomCauses = (plan: Plan, measured: Measured, symptom: SymptomId): SymptomCause[] =>
  all[symptom](numbersOf(factsFor(plan, measured).facts)).sort((a, b) => b.weight - a.weight)
