import { factParts, type FactPart, type Knowns } from '../facts/factParts'
import { Ledger } from '../facts/ledger'
import type { Facts } from '../facts/facts'
import { partOf, type Graph, type Part } from '../graph/graph'
import { lookedUp } from '../graph/lookedUp'
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
        return { value: factParts[name](new KnownsIn(graph, ledger)), left: ledger.close() }
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

/** The facts, each looked up when it is read. */
export const FactsIn = lookedUp<Facts>([...givenNames, ...factNames] as (keyof Facts)[], (graph, key) =>
  isGiven(key) ? seenGiven(graph, key) : graph.seen(made[key]),
)

/** The facts as whoever asks may see them. */
export const factsIn = (graph: Graph): Facts => new FactsIn(graph)
