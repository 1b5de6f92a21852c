import { createHash, randomBytes, randomInt } from 'node:crypto'
import { wordlist } from '@scure/bip39/wordlists/english.js'

/** Of 2048 words that differ in their first four letters; six of them are 66 bits. */
const WORDS = 6

/** Six words that nobody can guess, to be said aloud or typed with a thumb. */
export const newWords = (): string =>
  Array.from({ length: WORDS }, () => wordlist[randomInt(wordlist.length)] ?? '').join(' ')

/** The words as they were meant, however they were typed: capitals, hyphens, more blanks, only the first four letters of each. */
export function wordsMeant(typed: string): string {
  const byStart = new Map(wordlist.map((word) => [word.slice(0, 4), word]))
  return typed
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter((word) => word !== '')
    .map((word) => byStart.get(word.slice(0, 4)) ?? word)
    .join(' ')
}

/** What a device shows from then on. */
export const newToken = (): string => randomBytes(32).toString('base64url')

/** How a secret of our own making is kept: they are long and random, so that a quick hash is enough. */
export const hashOf = (secret: string): string => createHash('sha256').update(secret).digest('hex')
