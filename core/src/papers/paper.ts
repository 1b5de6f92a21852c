import type { Drawing } from '../drawing/shapes'

/** Papers by where they are read. */
export const paperKinds = {
  bench: 'At the bench',
  machine: 'At the machine',
  'as-found': 'Put it back',
  help: 'For a friend who knows',
  owner: 'For the next owner',
} as const
export type PaperKind = keyof typeof paperKinds

export const CERTIFIES = 'It plans and explains; it certifies nothing. Local codes and licensed practice rule.'

/** A piece of a paper; texts are printed already. */
export type Block =
  | { kind: 'words'; text: string; bold?: boolean }
  | { kind: 'heading'; text: string }
  /** Columns by their shares of the width; a box to tick before each row where it is work. */
  | {
      kind: 'table'
      shares: readonly number[]
      head: readonly string[]
      rows: readonly (readonly string[])[]
      boxes?: true
    }
  | { kind: 'drawing'; title: string; drawing: Drawing; trueSize?: true }
  | { kind: 'photos' }

export interface PaperPart {
  title: string
  blocks: Block[]
}

export interface Paper {
  kind: PaperKind
  title: string
  /** Read upright; sheets of wires lie on their side. */
  upright: boolean
  parts: PaperPart[]
}

export const words = (text: string, bold = false): Block => ({ kind: 'words', text, ...(bold ? { bold } : {}) })
export const heading = (text: string): Block => ({ kind: 'heading', text })
export const table = (
  shares: readonly number[],
  head: readonly string[],
  rows: readonly (readonly string[])[],
  boxes = false,
): Block[] =>
  rows.length === 0 ? [] : [{ kind: 'table', shares, head, rows, ...(boxes ? { boxes: true as const } : {}) }]

/** A part that says that nothing is known where it would be empty. */
export const part = (
  title: string,
  blocks: readonly Block[],
  otherwise = 'Nothing is known of it yet.',
): PaperPart => ({
  title,
  blocks: blocks.length === 0 ? [words(otherwise)] : [...blocks],
})
