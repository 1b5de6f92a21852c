import type { TextWeight } from './textWidth'

/** Paints by their task; what draws them says which colour each is, by day, by night and on paper. */
export type Paint =
  'ink' | 'ink-2' | 'paper' | 'card' | 'rule' | 'band' | 'brass' | 'blue' | 'halo' | `#${string}` | 'none'

interface Painted {
  stroke?: Paint
  width?: number
  fill?: Paint
  dash?: string
}

/** One thing drawn; lengths are in mm, y runs down. */
export type Shape =
  | ({ kind: 'path'; d: string } & Painted)
  | ({ kind: 'rect'; x: number; y: number; w: number; h: number; r?: number } & Painted)
  | ({ kind: 'circle'; x: number; y: number; r: number } & Painted)
  | {
      kind: 'text'
      x: number
      /** Of the base line. */
      y: number
      text: string
      size: number
      weight?: TextWeight
      anchor?: 'start' | 'middle' | 'end'
      paint?: Paint
    }
  | { kind: 'group'; id: string; of: 'wire' | 'device' | 'place' | 'plain'; shapes: Shape[] }

/** A drawing: its size in mm, and what is on it, from back to front. */
export interface Drawing {
  width: number
  height: number
  shapes: Shape[]
}
