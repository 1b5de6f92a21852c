import type { Judged } from '../findings/finding'
import type { Graph } from '../graph/graph'
import { FactsIn } from './factsIn'
import { sheet, stops } from './runIn'

/** The facts, and what the run-in makes of them, which judgements look at too. */
class JudgedIn extends FactsIn implements Judged {
  get runInSheet() {
    return this.graph.seen(sheet)
  }

  get stopPlan() {
    return this.graph.seen(stops)
  }
}

export const judgedIn = (graph: Graph): Judged => new JudgedIn(graph)
