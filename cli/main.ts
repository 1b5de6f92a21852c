import { evaluateFile } from './evaluateFile'
import { runRule } from './runRule'
import { writeDocs } from './writeDocs'

/** The verbs that need core alone; each returns its exit code. */
const verbs: Record<string, (args: string[]) => number> = { rule: runRule, evaluate: evaluateFile, docs: writeDocs }

export const main = (verb: string, args: string[]): number => verbs[verb]?.(args) ?? 2

/** For measuring core as it is shipped to the command line. */
export { evaluate, readConversionFile, readLibraryCsv, search, searchSpace, usualWishes } from '@zesty/core'
