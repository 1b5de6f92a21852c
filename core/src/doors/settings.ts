// What to type into this drive: the card in its own codes and order, and what became of each line.
export { cardOf } from '../card/cardOf'
export type { Card, CardLine, LeftAlone, Waiting } from '../card/cardLine'
export { cardText } from '../card/cardText'
export { answerLine, readBackLine, resetDrive, unanswerLine, type LineAnswer } from '../card/answerLine'
export { whyRefused, type RefusalReason } from '../card/whyRefused'
