/**
 * What a rule says of itself. It is kept apart from the arithmetic: whoever computes, such as the page at every key,
 * need not carry it.
 */
export interface RuleWording {
  title: string
  /** In symbols, with the words for them where they are not obvious. */
  formula: string
  /** Standard, textbook or the stated planning choice behind it. */
  citation: string
  /** What each key of the input means, with its unit; keys of lists as `stages[].driverMm`. */
  input: Readonly<Record<string, string>>
  /** The same of what it gives back. */
  output: Readonly<Record<string, string>>
  /** A worked input, for the documentation and the command line. */
  example: object
}
