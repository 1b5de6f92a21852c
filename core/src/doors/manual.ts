// One drive's manual as data: terminals, links, jumpers, codes; what they do under settings, and what is jotted of them.
export {
  codeSchemes,
  displayMoments,
  emptyManual,
  jumperChoices,
  linkPurposes,
  type Manual,
  type ManualCode,
  MANUAL_FORMAT,
  type ManualTerminal,
  shareBases,
  trimFunctions,
} from '../manual/manual'
export { entryOrder, entryReasons } from '../manual/entryOrder'
export { freeId, jottedInto } from '../manual/jottedInto'
export { worksheetInto, type WorksheetAnswers, worksheetQuestions } from '../manual/worksheet'
export { functionNamed, functionWords, readJottings, type Jottings } from '../manual/readJottings'
export { manualFile, readManual } from '../manual/readManual'
export {
  terminalFunctions,
  type TerminalFunction,
  terminalGroups,
  type TerminalGroup,
} from '../manual/terminalFunctions'
export { type CodeLine, linesFor, terminalsUnder, type Wired } from '../manual/terminalsUnder'
