// The registry of rules and their descriptions.
export { describeRule, rulesPage } from '../rulebook/describeRule'
export { rules } from '../rulebook/registry'
export type { FieldLine } from '../rules/fieldLines'
export { type Fault, faultsOf, firstFaults, type Outcome, type Rule } from '../rules/rule'
