import type { Landing, Path } from './layout'

/** Where a wire bears its number: at both ends, once on a short straight run. */
export function tagged({ from, to }: Path): Landing[] {
  const near = from.y === to.y && Math.abs(from.tagX - to.tagX) < 6
  return (near ? [from] : [from, to]).filter(({ side }) => side !== 'b')
}
