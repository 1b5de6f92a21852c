import type { Layout } from './layout'
import { tagged } from './tagged'
import { tagWidth } from './tags'
import { TAG_H } from './measures'

/** How well a sheet is drawn; all but the crossings are to be nothing. */
export interface Quality {
  /** Runs of wires that lie within a card. */
  throughDevices: number
  /** Numbers of wires that lie on each other. */
  labelsOver: number
  cardsOver: number
  /** Wires that share a run with another. */
  together: number
  crossings: number
}

interface Box {
  x: number
  y: number
  w: number
  h: number
}

const TOUCH = 0.01
/** Two wires lie four millimetres apart, and a number is a little higher: their edges may meet. */
const EDGE = 0.41

/** Counts what a sheet must not have, and its crossings. */
export function qualityOf(layout: Layout): Quality {
  return {
    throughDevices: throughDevices(layout),
    labelsOver: overlaps(numbers(layout), EDGE),
    cardsOver: overlaps(layout.cards, TOUCH),
    together: layout.together,
    crossings: layout.crossings,
  }
}

function throughDevices({ cards, paths }: Layout): number {
  let found = 0
  for (const { points } of paths)
    points.slice(1).forEach(([x, y], i) => {
      const [fromX, fromY] = points[i] ?? [x, y]
      const [left, right] = [Math.min(x, fromX), Math.max(x, fromX)]
      const [top, bottom] = [Math.min(y, fromY), Math.max(y, fromY)]
      for (const c of cards)
        if (right > c.x + TOUCH && left < c.x + c.w - TOUCH && bottom > c.y + TOUCH && top < c.y + c.h - TOUCH)
          found += 1
    })
  return found
}

const numbers = ({ paths }: Layout): Box[] =>
  paths.flatMap((path) => {
    const w = tagWidth(path.wire.number)
    return tagged(path).map(({ tagX, y }) => ({ x: tagX - w / 2, y: y - TAG_H / 2, w, h: TAG_H }))
  })

function overlaps(boxes: readonly Box[], edge: number): number {
  let found = 0
  boxes.forEach((a, i) => {
    for (const b of boxes.slice(i + 1))
      if (a.x + a.w > b.x + TOUCH && b.x + b.w > a.x + TOUCH && a.y + a.h > b.y + edge && b.y + b.h > a.y + edge)
        found += 1
  })
  return found
}
