import { beltHumWanted, isBelt, pressFit, shrinkHeat } from '../drivetrain'
import { beltMasses } from '../data/beltMasses'
import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import type { PlanPath } from '../plan'

/** How the pulley comes on to the shaft, and what the fit then holds. */
export interface PulleyFit {
  /** By which the shaft is larger than the bore; less than nothing where it slides. */
  tightMm: number | undefined
  /** Oven, room and pulley counted; of a fit that is shrunk. */
  heatC?: number
  hottestC?: number
  forceN?: number
  holdsNm?: number
  /** What a start may ask of the shaft. */
  asksNm?: number
  /** Why it cannot be. */
  refused?: string
  missing: PlanPath[]
}

const START = 1.5
const ROOM_C = 20

/** The fit of the motor's pulley: by a press, by heat, or with key and set-screw. */
export function pulleyFit(facts: Facts): PulleyFit {
  const { mount, installation } = facts.plan
  const { fit, boreMm, shaftMm, hub, hubMm, hubLengthMm } = mount
  const tightMm = mount.tightMm ?? (boreMm === undefined || shaftMm === undefined ? undefined : shaftMm - boreMm)
  const rated = numberOf(facts.motor.torqueNm)
  const asks = rated === undefined ? {} : { asksNm: rated * START }
  if (fit !== 'press' && fit !== 'shrink') return { tightMm, ...asks, missing: [] }
  const missing = (
    [
      ['mount.boreMm', boreMm],
      ['mount.tightMm', tightMm],
      ['mount.hub', hub],
    ] as const
  ).flatMap(([path, value]) => (value === undefined ? [path] : []))
  if (boreMm === undefined || tightMm === undefined || hub === undefined)
    return { tightMm, ...asks, missing: [...missing] }
  if (tightMm <= 0)
    return {
      tightMm,
      ...asks,
      refused: 'The shaft is not larger than the bore: it slides, and wants key and set-screw',
      missing: [],
    }
  const result: PulleyFit = { tightMm, ...asks, missing: [] }
  const pressed =
    hubMm === undefined || hubLengthMm === undefined
      ? undefined
      : pressFit.run({ boreMm, hubMm, lengthMm: hubLengthMm, interferenceMm: tightMm, material: hub })
  if (pressed?.ok) Object.assign(result, { forceN: pressed.value.forceN, holdsNm: pressed.value.torqueNm })
  else if (pressed) result.refused = pressed.faults[0]?.message ?? 'It cannot be pressed'
  if (fit === 'shrink') {
    const heated = shrinkHeat.run({
      boreMm,
      interferenceMm: tightMm,
      material: hub,
      roomC: installation.roomC ?? ROOM_C,
    })
    if (heated.ok) Object.assign(result, { heatC: heated.value.temperatureC, hottestC: heated.value.hottestC })
    else result.refused = heated.faults[0]?.message ?? 'It cannot be shrunk on'
  }
  return result
}

/** How the first belt hums when it is right. */
export interface Hum {
  spanMm: number
  massKgPerM: number
  massIsTypical: boolean
  wantedHz: number
  wantedN: number
}

/** By the hum of its span, plucked dead and locked; nothing where section, distance or tension is not known. */
export function beltHumOf(facts: Facts): Hum | undefined {
  const belt = facts.belts.find(({ stage, capacity }) => isBelt(stage.kind) && capacity !== undefined)
  const [centre, wanted] = [belt?.geometry?.centreMm, belt?.capacity?.staticTensionN].map(numberOf)
  const { section, belts = 1, driverMm, drivenMm } = belt?.stage ?? {}
  const massKgPerM =
    facts.plan.mount.massKgPerM ??
    (section !== undefined && section in beltMasses.kgPerM
      ? beltMasses.kgPerM[section as keyof typeof beltMasses.kgPerM]
      : undefined)
  if (
    centre === undefined ||
    wanted === undefined ||
    massKgPerM === undefined ||
    driverMm === undefined ||
    drivenMm === undefined
  )
    return undefined
  const spanMm = Math.sqrt(centre ** 2 - ((drivenMm - driverMm) / 2) ** 2)
  const wantedN = wanted / belts
  const made = beltHumWanted.run({ massKgPerM, spanMm, tensionN: wantedN })
  if (!made.ok) return undefined
  return {
    spanMm,
    massKgPerM,
    massIsTypical: facts.plan.mount.massKgPerM === undefined,
    wantedHz: made.value.hertz,
    wantedN,
  }
}
