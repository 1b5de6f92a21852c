import { preferredDiameters } from '../../data/preferredDiameters'
import { beltLength, beltPower } from '../../drivetrain'
import { countedBelts, SERVICE } from './beltCapacity'
import type { BeltFacts } from './beltFacts'
import { numberOf } from '../figure'

/** The smallest pair with a stock driving pulley, in the same ratio and at the same distance, on which these V-belts bear the motor. */
export function nextStockPulleys({
  stage,
  pulleys,
  geometry,
  load,
}: BeltFacts): { driverMm: number; drivenMm: number } | undefined {
  const { driverMm, drivenMm } = stage
  const belts = countedBelts(stage)
  const [centreMm, driverRpm] = [geometry && numberOf(geometry.centreMm), numberOf(load.speedRpm)]
  const powerW = numberOf(load.powerW)
  if (pulleys.profile?.form !== 'v' || driverMm === undefined || drivenMm === undefined) return undefined
  if (centreMm === undefined || driverRpm === undefined || powerW === undefined) return undefined
  const { id: section } = pulleys.profile
  for (const larger of preferredDiameters.mm) {
    if (larger <= driverMm) continue
    const other = Math.round((larger * drivenMm) / driverMm)
    const [smallMm, largeMm] = [Math.min(larger, other), Math.max(larger, other)]
    const lies = beltLength.run({ largeMm, smallMm, centreMm })
    if (!lies.ok) return undefined
    const bears = beltPower.run({
      section,
      diameterMm: smallMm,
      speedRpm: (driverRpm * larger) / smallMm,
      wrapSmallDeg: lies.value.wrapSmallDeg,
      belts,
    })
    if (bears.ok && bears.value.powerW >= SERVICE * powerW) return { driverMm: larger, drivenMm: other }
  }
  return undefined
}
