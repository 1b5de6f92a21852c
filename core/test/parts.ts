import { card } from '../src/card/cardOf'
import { jumperPositions as jumperPart } from '../src/card/jumperPositions'
import { symptomCauses as causesIn } from '../src/causes/symptomCauses'
import { commandedOf as commandedIn } from '../src/commanded/commandedOf'
import { conversion } from '../src/conversion/conversion'
import { mount } from '../src/conversion/mount'
import { runIn } from '../src/conversion/runIn'
import { dial } from '../src/dial/dialOf'
import { dialPlate as plateIn } from '../src/dial/dialPlate'
import type { Facts } from '../src/facts/facts'
import { mainsNets } from '../src/facts/wiring/mainsNets'
import type { Judged } from '../src/findings/finding'
import type { SymptomId } from '../src/log/symptoms'
import type { Measured } from '../src/measurements/measured'
import type { Plan } from '../src/plan'
import { stopMapOf as stopMapIn } from '../src/runIn/runInOf'
import type { Wiring } from '../src/wiring/model'
import { netsOf } from '../src/wiring/nets'

// What is asked of one plan alone, in a word each.

export const factsOf = (plan: Plan, readings?: Measured): Judged => conversion(plan, { readings }).facts
export const runInOf = (plan: Plan, readings?: Measured) => conversion(plan, { readings }).of(runIn)
export const mountOf = (plan: Plan, readings?: Measured) => conversion(plan, { readings }).of(mount)
export const dialOf = (plan: Plan, readings?: Measured) => conversion(plan, { readings }).of(dial)
export const dialPlate = (plan: Plan, readings?: Measured) => plateIn(factsOf(plan, readings))
export const commandedOf = (plan: Plan, readings?: Measured) => commandedIn(factsOf(plan, readings))
export const cardOf = (plan: Plan) => conversion(plan).of(card)
export const jumperPositions = (plan: Plan) => conversion(plan).of(jumperPart)
export const symptomCauses = (plan: Plan, readings: Measured, symptom: SymptomId) =>
  causesIn(factsOf(plan, readings), symptom)
export const stopMapOf = (plan: Plan, readings: Measured, positionId: string, holder: number | undefined) =>
  stopMapIn(factsOf(plan, readings), positionId, holder)

/** The same facts of a machine that is wired otherwise. */
export function wiredOtherwise(facts: Judged, wiring: Wiring): Judged {
  const wired: Facts['wiring'] = { wiring, nets: netsOf(wiring) }
  return Object.create(facts, { wiring: { value: wired }, mains: { value: mainsNets(wired) } }) as Judged
}
