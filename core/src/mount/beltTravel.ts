import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'

/** The way that the motor must be able to go so that its belt goes on and stays tight, and what there is of it. */
export interface BeltTravel {
  /** Between the shafts, to put the belt on and to tighten it, mm. */
  nearestMm: number
  farthestMm: number
  wantsMm: number
  /** What is left beside the terminal box; undefined where it was not measured. */
  hasMm: number | undefined
}

/** Undefined where there is no belt of which length and distance are known. */
export function beltTravel({ plan: { mount }, belts }: Facts): BeltTravel | undefined {
  const geometry = belts[0]?.geometry
  const [nearestMm, farthestMm] = [geometry?.nearestMm, geometry?.farthestMm].map(numberOf)
  if (nearestMm === undefined || farthestMm === undefined) return undefined
  const hasMm = mount.travelMm === undefined ? undefined : Math.max(0, mount.travelMm - (mount.boxCostsMm ?? 0))
  return { nearestMm, farthestMm, wantsMm: farthestMm - nearestMm, hasMm }
}
