import type { Card } from './cardLine'

/** The lines of a card that a first spin wants, as they are entered. */
export const firstLinesOf = (card: Card): string[] =>
  card.lines
    .slice(0, card.first)
    .map(({ code, words, value }) => (code === undefined ? `${words}: ${value}` : `${code} = ${value}, ${words}`))
