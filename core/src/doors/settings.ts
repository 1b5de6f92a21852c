// What to type into this drive: the card in its own codes and order, and what became of each line.
export { card } from '../card/cardOf'
export { recordKey, type Card, type CardLine, type LeftAlone, type Waiting } from '../card/cardLine'
export { firstLinesOf } from '../card/firstLines'
export { cardText } from '../card/cardText'
export { answerLine, readBackLine, resetDrive, unanswerLine, type LineAnswer } from '../card/answerLine'
export { whyRefused, type RefusalReason } from '../card/whyRefused'
export {
  listedInto,
  meaningsOf,
  readSettingsTable,
  settingColumns,
  settingsCsv,
  settingsOfLines,
  settingsOfTable,
  type ListedMeaning,
  type ListedSetting,
  type SettingColumn,
  type SettingsTable,
} from '../card/readSettingsList'
export { hourOf, shareOfHour, trimSlots, type TrimSlot } from '../card/trimSlots'
export { nothingOnRun } from '../card/probe/nothingOnRun'
export { deductions } from '../card/probe/deductions'
export { nextTest, PROBE_CAUTION, probeTests } from '../card/probe/probeTests'
export { listedPatch } from '../card/listedPatch'
export { positionEntries, type PositionEntry } from '../card/positionEntries'
export { jumperPositions, type JumperPosition } from '../card/jumperPositions'
