import type { Drawing, Paint, Shape } from './shapes'

/** What a line of a workshop drawing is for; each is a layer of a DXF file. */
export const layers = {
  cut: 'Cut',
  mark: 'Marks',
  words: 'Words',
  danger: 'Danger',
  size: 'Sizes',
  check: 'Check bar',
} as const
export type Layer = keyof typeof layers

/** Lines that any drawing program knows; mm, y runs down, angles in degrees clockwise from the top. */
export type Primitive =
  | { kind: 'line'; layer: Layer; x1: number; y1: number; x2: number; y2: number; width?: number }
  | { kind: 'circle'; layer: Layer; x: number; y: number; r: number }
  | { kind: 'arc'; layer: Layer; x: number; y: number; r: number; fromDeg: number; toDeg: number; width?: number }
  | {
      kind: 'text'
      layer: Layer
      x: number
      y: number
      text: string
      size: number
      anchor?: 'start' | 'middle' | 'end'
      bold?: boolean
    }

export interface WorkDrawing {
  width: number
  height: number
  primitives: Primitive[]
}

const paints: Record<Layer, Paint> = {
  cut: 'ink',
  mark: 'ink',
  words: 'ink',
  danger: '#a33b2e',
  size: 'ink-2',
  check: 'ink-2',
}

/** A point on a circle, by degrees clockwise from the top. */
export const onCircle = (x: number, y: number, r: number, deg: number): { x: number; y: number } => {
  const rad = (deg * Math.PI) / 180
  return { x: x + r * Math.sin(rad), y: y - r * Math.cos(rad) }
}

const number = (n: number): string => String(Math.round(n * 1e4) / 1e4)

/** The same as shapes, for the screen, SVG and PDF. */
export const toDrawing = ({ width, height, primitives }: WorkDrawing): Drawing => ({
  width,
  height,
  shapes: primitives.map((p): Shape => {
    const stroke = paints[p.layer]
    switch (p.kind) {
      case 'line':
        return {
          kind: 'path',
          d: `M${number(p.x1)} ${number(p.y1)}L${number(p.x2)} ${number(p.y2)}`,
          stroke,
          width: p.width ?? 0.25,
        }
      case 'circle':
        return { kind: 'circle', x: p.x, y: p.y, r: p.r, stroke, width: 0.25 }
      case 'arc': {
        const [a, b] = [onCircle(p.x, p.y, p.r, p.fromDeg), onCircle(p.x, p.y, p.r, p.toDeg)]
        const large = Math.abs(p.toDeg - p.fromDeg) > 180 ? 1 : 0
        const sweep = p.toDeg > p.fromDeg ? 1 : 0
        return {
          kind: 'path',
          d: `M${number(a.x)} ${number(a.y)}A${number(p.r)} ${number(p.r)} 0 ${large} ${sweep} ${number(b.x)} ${number(b.y)}`,
          stroke,
          width: p.width ?? 0.25,
        }
      }
      case 'text':
        return {
          kind: 'text',
          x: p.x,
          y: p.y,
          text: p.text,
          size: p.size,
          weight: p.bold === true ? 600 : 500,
          anchor: p.anchor ?? 'start',
          paint: stroke,
        }
    }
  }),
})
