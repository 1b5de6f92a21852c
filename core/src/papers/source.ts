import { card } from '../card/cardOf'
import { steps } from '../card/steps'
import { conversion, type Conversion } from '../conversion/conversion'
import type { Evaluation } from '../evaluate/evaluation'
import type { LogEntry } from '../log/logEntry'
import { fitMeasurements } from '../measurements/fitMeasurements'
import type { Measurement } from '../readings/measurement'
import type { Measured } from '../measurements/measured'
import type { LooseEnd, Plan } from '../plan'
import { messageText, printQuantity, type Dimension, type Message, type UnitSystem } from '../quantities'
import { looseEndsOf } from '../sequence/looseEnds'
import type { BuildStep } from '../sequence/step'
import type { Card } from '../card/cardLine'
import type { Wiring } from '../wiring/model'

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
  conversion: Conversion
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
  const of = conversion(plan, { readings: measured })
  const { wiring } = of.facts.wiring
  const built = of.of(steps)
  return {
    ...input,
    measured,
    conversion: of,
    evaluation: of.evaluation,
    wiring,
    card: of.of(card),
    steps: built,
    loose: looseEndsOf(plan, built, wiring, readings),
    print: (dimension, value) => (value === undefined ? 'not known' : printQuantity({ dimension, value }, units)),
    say: (message) => messageText(message, units),
  }
}
