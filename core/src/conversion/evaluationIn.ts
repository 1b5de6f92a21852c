import type { Evaluation } from '../evaluate/evaluation'
import { evaluationParts } from '../evaluate/evaluationParts'
import { askedOf, type Judgement, type Said } from '../findings/finding'
import { everyJudgement, judgedTogether, type JudgementId } from '../findings/judge'
import { partOf, type Graph, type Part } from '../graph/graph'
import { lookedUp } from '../graph/lookedUp'
import { books } from './books'
import { judgedIn } from './judgedIn'

const saidPart = (judgement: Judgement): Part<Said> =>
  partOf(judgement.id, (graph) => ({
    value: askedOf(judgement, judgedIn(graph), graph.seen(made.comesNext)),
  }))

const said = everyJudgement.map(saidPart)
const byId = new Map(said.map((one) => [one.name, one]))

/** What one judgement says. */
export function saidBy(id: JudgementId): Part<Said> {
  const found = byId.get(id)
  if (!found) throw new Error(`There is no judgement ${id}`)
  return found
}

const together = partOf<Said>('judged', (graph) => ({ value: judgedTogether(graph.seenAll(said)) }))

type Key = keyof Evaluation

const made = Object.fromEntries(
  Object.entries(evaluationParts).map(([name, make]) => [
    name,
    partOf(`evaluation.${name}`, (graph) => ({ value: make(judgedIn(graph), new EvaluationIn(graph)) }), {
      whole: true,
    }),
  ]),
) as unknown as { readonly [K in keyof typeof evaluationParts]: Part<Evaluation[K]> }

/** Where each key of an evaluation is looked up. */
const looks: { readonly [K in Key]-?: (graph: Graph) => Evaluation[K] } = {
  figures: (graph) => graph.seen(books).figures,
  blocked: (graph) => graph.seen(books).blocked,
  findings: (graph) => graph.seen(together).findings,
  judged: (graph) => graph.seen(together).lines,
  ...(Object.fromEntries(
    Object.entries<Part>(made).map(([name, one]) => [name, (graph: Graph) => graph.seen(one)]),
  ) as unknown as { readonly [K in keyof typeof made]: (graph: Graph) => Evaluation[K] }),
}

const keys = Object.keys(looks) as Key[]

const EvaluationIn = lookedUp<Evaluation>(keys, (graph, key) => looks[key](graph))

/** Every key is its own part, made when it is read; it is copied and sent as any record is. */
export function evaluationIn(graph: Graph): Evaluation {
  const evaluation = {}
  for (const key of keys) Object.defineProperty(evaluation, key, { enumerable: true, get: () => looks[key](graph) })
  return evaluation as Evaluation
}
