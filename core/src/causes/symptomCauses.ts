import type { Facts } from '../facts/facts'
import { heartOf } from '../plan'
import type { Heart } from '../stages/hearts'
import { beltCauses } from './beltCauses'
import { dcCauses } from './dcCauses'
import { driverCauses } from './driverCauses'
import { runawayCauses } from './runawayCauses'
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
  ...runawayCauses,
}

/** Causes that are others where the motor is no three-phase motor on a drive. */
const byHeart: Readonly<Record<Heart, Partial<Causes<SymptomId>>>> = {
  inverter: {},
  dc: dcCauses,
  driver: driverCauses,
}

/** What a symptom comes from, the likeliest by this machine's own numbers first. */
export const symptomCauses = (facts: Facts, symptom: SymptomId): SymptomCause[] =>
  (byHeart[heartOf(facts.plan)][symptom] ?? all[symptom])(numbersOf(facts)).sort((a, b) => b.weight - a.weight)
