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
  // Those that go round the motor's own pulley: it must come near enough for every one, and far enough.
  const ofMotor = belts.filter(({ path }) => path.endsWith('.transmission.0'))
  const known = (key: 'nearestMm' | 'farthestMm') =>
    ofMotor.flatMap(({ geometry }) => geometry && numberOf(geometry[key])).filter((n) => n !== undefined)
  const [nearest, farthest] = [known('nearestMm'), known('farthestMm')]
  if (nearest.length === 0 || farthest.length === 0) return undefined
  const [nearestMm, farthestMm] = [Math.min(...nearest), Math.max(...farthest)]
  const hasMm = mount.travelMm === undefined ? undefined : Math.max(0, mount.travelMm - (mount.boxCostsMm ?? 0))
  return { nearestMm, farthestMm, wantsMm: farthestMm - nearestMm, hasMm }
}
