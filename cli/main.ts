import { evaluateFiles } from './evaluateFiles'
import { printCard } from './printCard'
import { readManuals } from './readManuals'
import { runRule } from './runRule'
import { writeDocs } from './writeDocs'

/** The verbs that need core alone; each returns its exit code. */
const verbs: Record<string, (args: string[]) => number> = {
  rule: runRule,
  evaluate: evaluateFiles,
  manual: readManuals,
  card: printCard,
  docs: writeDocs,
}

export function main(verb: string, args: string[]): number {
  // Whoever reads may have seen enough, as `head` does.
  process.stdout.on('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EPIPE') process.exit(0)
    throw error
  })
  return verbs[verb]?.(args) ?? 2
}

/** For measuring core as it is shipped to the command line. */
export {
  applyPatch,
  conversion,
  emptyPlan,
  evaluate,
  parseQuantity,
  withTriedRemedies,
  readConversionFile,
  readPlate,
  stageIds,
} from '@zesty/core'
export { readLibraryCsv } from '@zesty/core/library'
export { entryOrder, readManual } from '@zesty/core/manual'
export { card } from '@zesty/core/settings'
export { drawSheet, qualityOf, sheets, sheetsOf, steps, wiringOf } from '@zesty/core/wiring'
export { search, searchSpace, usualCriteria } from '@zesty/core/search'
