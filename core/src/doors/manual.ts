// One drive's manual as data: terminals, links, jumpers, codes; what they do under settings, and what is jotted of them.
export { emptyManual, type Manual, type ManualCode, MANUAL_FORMAT, type ManualTerminal } from '../manual/manual'
export { jottedInto } from '../manual/jottedInto'
export { worksheetInto, type WorksheetAnswers, worksheetQuestions } from '../manual/worksheet'
export { functionWords, readJottings, type Jottings } from '../manual/readJottings'
export { manualFile, readManual } from '../manual/readManual'
export {
  terminalFunctions,
  type TerminalFunction,
  terminalGroups,
  type TerminalGroup,
} from '../manual/terminalFunctions'
export { type CodeLine, linesFor, terminalsUnder, type Wired } from '../manual/terminalsUnder'
