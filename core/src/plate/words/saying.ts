import type { PlanPath } from '../../plan'
import type { Piece } from '../pieces'

/** A field with what a plate says for it. */
export interface PlateValue {
  path: PlanPath
  value: number | string
}

/** What words without a number of their own say, and how many pieces they take. */
export interface Saying {
  takes: number
  /** Pieces before the present one that are taken as well. */
  back?: number
  values?: PlateValue[]
  /** What follows belongs to another thing on the motor, until a mark parts it. */
  about?: 'armature' | 'field' | 'capacitor' | 'other'
  /** The number that follows is an efficiency. */
  efficiency?: true
  doubt?: string
  /** What it takes is shown as not read. */
  leaves?: true
}

/** Reads what begins at a piece, if it is for it. */
export type Reader = (
  pieces: readonly Piece[],
  at: number,
  taken: readonly boolean[],
  /** The line tells numbers and codes before what they are. */
  valueFirst: boolean,
) => Saying | undefined

export const set = (words: string): ReadonlySet<string> => new Set(words.split(/[ \n]+/))
export const low = (piece: Piece | undefined): string => (piece?.is === 'word' ? piece.text.toLowerCase() : '')
export const isMark = (piece: Piece | undefined, marks: string): boolean =>
  piece?.is === 'mark' && marks.includes(piece.text)
export const isNumber = (piece: Piece | undefined, ...texts: string[]): boolean =>
  piece?.is === 'number' && (texts.length === 0 || texts.includes(piece.text))
/** The place behind colons, equals signs and dots. */
export const behind = (pieces: readonly Piece[], at: number, marks = ':=.'): number => {
  let to = at
  while (isMark(pieces[to], marks)) to += 1
  return to
}
export const one = (path: PlanPath, value: string): { values: PlateValue[] } => ({ values: [{ path, value }] })
