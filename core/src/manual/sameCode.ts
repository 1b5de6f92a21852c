import type { Manual, ManualCode } from './manual'

/** The parts of a code: its letters, and its numbers apart. */
function partsOf(code: string): { letters: string; numbers: string[] } {
  return {
    letters: code.toLowerCase().replace(/[^a-z]/g, ''),
    numbers: code.match(/\d+/g) ?? [],
  }
}

const withoutZeros = (digits: string): string => digits.replace(/^0+(?=\d)/, '')

/**
 * Whether two ways of writing it are one code of this drive: with and without blanks, capitals and leading zeros. After a
 * decimal point 2 is 20; between groups it is not.
 *
 * @example sameCode('groups', 'set 2/1', '2.1') // true
 */
export function sameCode(scheme: Manual['scheme'], a: string, b: string): boolean {
  if (a.trim().toLowerCase() === b.trim().toLowerCase()) return true
  const [one, other] = [partsOf(a), partsOf(b)]
  if (one.numbers.length === 0 || one.numbers.length !== other.numbers.length) return false
  // People leave the letters away, where the numbers alone say which it is.
  const letters = one.letters === other.letters || one.letters === '' || other.letters === ''
  return (
    letters &&
    one.numbers.every((digits, i) => {
      const theirs = other.numbers[i] ?? ''
      return scheme === 'decimals' && i > 0
        ? digits.replace(/0+$/, '') === theirs.replace(/0+$/, '')
        : withoutZeros(digits) === withoutZeros(theirs)
    })
  )
}

/** The code that somebody means: as it is printed, else the only one that it can be. */
export function codeNamed({ codes, scheme }: Manual, typed: string): ManualCode | undefined {
  const exact = codes.find(({ code }) => code.toLowerCase() === typed.trim().toLowerCase())
  if (exact) return exact
  const like = codes.filter(({ code }) => sameCode(scheme, code, typed))
  return like.length === 1 ? like[0] : undefined
}
