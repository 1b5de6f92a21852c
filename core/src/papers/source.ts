import { cardOf } from '../card/cardOf'
import { firstLinesOf } from '../card/firstLines'
import { evaluate, type Evaluation } from '../evaluate/evaluate'
import type { LogEntry } from '../log/logEntry'
import { fitMeasurements } from '../measurements/fitMeasurements'
import type { Measurement } from '../measurements/measurement'
import type { Measured } from '../measurements/measured'
import type { LooseEnd, Plan } from '../plan'
import { messageText, printQuantity, type Dimension, type Message, type UnitSystem } from '../quantities'
import { looseEndsOf } from '../sequence/looseEnds'
import type { BuildStep } from '../sequence/step'
import { stepsOf } from '../sequence/stepsOf'
import type { Card } from '../card/cardLine'
import type { Wiring } from '../wiring/model'
import { wiringOf } from '../wiring/wiringOf'

/** What a paper is made from. */
export interface PaperInput {
  plan: Plan
  readings: readonly Measurement[]
  log: readonly LogEntry[]
  units: UnitSystem
  /** Name of the shop. */
  shop: string
  /** ISO 8601, by whoever asks. */
  today: string
}

/** The same with everything that follows from it, made once for all parts. */
export interface PaperSource extends PaperInput {
  measured: Measured
  evaluation: Evaluation
  wiring: Wiring
  card: Card
  steps: BuildStep[]
  loose: LooseEnd[]
  print: (dimension: Dimension, value: number | undefined) => string
  say: (message: Message) => string
}

export function paperSource(input: PaperInput): PaperSource {
  const { plan, readings, units } = input
  const measured = fitMeasurements(readings)
  const evaluation = evaluate(plan, undefined, measured)
  const wiring = wiringOf(plan)
  const card = cardOf(plan, evaluation.settings)
  const steps = stepsOf(plan, wiring, firstLinesOf(card))
  return {
    ...input,
    measured,
    evaluation,
    wiring,
    card,
    steps,
    loose: looseEndsOf(plan, steps, wiring, readings),
    print: (dimension, value) => (value === undefined ? 'not known' : printQuantity({ dimension, value }, units)),
    say: (message) => messageText(message, units),
  }
}
