import { set, type Patch, type Plan, type StepRecord } from '../plan'
import { placesOf } from '../schematic/placesOf'
import type { SchematicSheet } from '../schematic/sheetsOf'
import type { Wiring } from '../wiring/model'
import { circuitOf } from './circuitOf'
import type { BuildStep } from './step'

/** A step's answer, kept with what was ticked and measured; numbers of wires, and places on the sheets, stay from the first answer on. */
export function answerStep(
  plan: Plan,
  wiring: Wiring,
  sheets: readonly SchematicSheet[],
  step: BuildStep,
  record: StepRecord,
): Patch {
  return [
    set('wiring.steps', { ...plan.wiring.steps, [step.id]: proved(wiring, step, record) }),
    ...(plan.wiring.numbers === undefined
      ? [
          set('wiring.numbers', Object.fromEntries(wiring.wires.map(({ key, number }) => [key, number]))),
          set('wiring.places', placesOf(sheets)),
        ]
      : []),
  ]
}

/** A proof says on which wiring it was made: after a change it is made again. */
const proved = (wiring: Wiring, { part }: BuildStep, record: StepRecord): StepRecord =>
  part === 'prove' && record.answer === 'done' ? { ...record, circuit: circuitOf(wiring) } : record

/** The wiring as built keeps two motor leads that changed places; changed once more they are as they were. */
export function swapLeads(plan: Plan, step: BuildStep, id: string): Patch {
  const [wire, other] = step.wrong?.swaps ?? []
  if (wire === undefined || other === undefined) return []
  const changes = plan.wiring.changes ?? []
  const before = changes.find((c) => c.kind === 'swapped' && c.wire === wire && c.other === other)
  const next = before
    ? changes.filter((c) => c !== before)
    : [...changes, { id, kind: 'swapped' as const, wire, other, end: 'from' as const, why: 'It turned the wrong way' }]
  return [set('wiring.changes', next)]
}
