import { factParts, type FactPart, type Knowns } from '../facts/factParts'
import { Ledger } from '../facts/ledger'
import type { Judged } from '../findings/finding'
import { partOf, type Graph, type Part } from '../graph/graph'
import { lookedUp } from '../graph/lookedUp'
import { runInSheet } from '../runIn/runInSheet'
import { stopPlan } from '../runIn/stopSteps'
import { seenGiven } from './given'

const givenNames = ['plan', 'measured', 'tables'] as const
type GivenName = (typeof givenNames)[number]
const isGiven = (key: string): key is GivenName => (givenNames as readonly string[]).includes(key)

const factNames = Object.keys(factParts) as FactPart[]

/** Parts that sizes of pulleys do not reach: the trains themselves tell what follows. */
const beforeTrains: ReadonlySet<FactPart> = new Set(factNames.slice(0, factNames.indexOf('trains') + 1))

/** Handed on as they are: who reads one of them reads all of it. */
const whole: ReadonlySet<FactPart> = new Set(['fitted', 'torqueInputs', 'wired'])

const made = Object.fromEntries(
  factNames.map((name): [FactPart, Part] => [
    name,
    partOf(
      name,
      (graph, left) => {
        const ledger = new Ledger(
          seenGiven(graph, 'plan'),
          {
            measured: () => seenGiven(graph, 'fields'),
            followsFor: (path) =>
              beforeTrains.has(name) ? undefined : graph.seen(made.worked as Part<Knowns['worked']>).get(path),
          },
          left instanceof Ledger ? left : undefined,
        )
        return { value: factParts[name](new KnownsIn(graph, ledger) as unknown as Knowns), left: ledger.close() }
      },
      { whole: whole.has(name) },
    ),
  ]),
) as Record<FactPart, Part>

/** In the order in which their figures are listed; each leaves its book. */
export const bookedParts: readonly Part[] = factNames.map((name) => made[name])

/** What a part of the facts is made from. Its settings are the acting ones: the others follow from the facts. */
class KnownsIn extends lookedUp<Omit<Knowns, 'ledger'>>([...givenNames, ...factNames], (graph, key) =>
  isGiven(key) ? seenGiven(graph, key) : graph.seen(made[key === 'settings' ? 'acting' : key]),
) {
  constructor(
    graph: Graph,
    readonly ledger: Ledger,
  ) {
    super(graph)
  }
}

const further: { readonly [K in Exclude<keyof Judged, FactPart | GivenName>]: Part<Judged[K]> } = {
  runInSheet: partOf('runInSheet', (graph) => ({ value: runInSheet(factsIn(graph)) }), { whole: true }),
  stopPlan: partOf('stopPlan', (graph) => ({ value: stopPlan(factsIn(graph)) }), { whole: true }),
}

const FactsIn = lookedUp<Judged>(
  [...givenNames, ...factNames, 'runInSheet', 'stopPlan'] as (keyof Judged)[],
  (graph, key) =>
    isGiven(key)
      ? seenGiven(graph, key)
      : graph.seen(key === 'runInSheet' || key === 'stopPlan' ? further[key] : made[key]),
)

/** The facts, and what the run-in makes of them, as whoever asks may see them. */
export const factsIn = (graph: Graph): Judged => new FactsIn(graph)
