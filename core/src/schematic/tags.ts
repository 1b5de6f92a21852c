import { textWidth } from '../drawing/textWidth'
import type { Landing, Path } from './layout'
import { NUMBER_SIZE } from './measures'

/** Room for a symbol between the screws of a device that has something inside. */
export const SYMBOL = 16

/** How wide the box of a wire's number is. */
export const tagWidth = (number: number): number => Math.max(5.4, textWidth(String(number), NUMBER_SIZE, 600) + 2.4)

/** Where a wire bears its number: at both ends, once on a short straight run. */
export function tagged({ from, to }: Path): Landing[] {
  const near = from.y === to.y && Math.abs(from.tagX - to.tagX) < 6
  return (near ? [from] : [from, to]).filter(({ side }) => side !== 'b')
}
