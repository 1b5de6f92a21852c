import { toothPitches } from '../data/beltPitches'
import type { BeltProfile } from '../data/beltProfile'
import { beltSections } from '../data/beltSections'
import {
  beltAdjustment,
  beltCentreDistance,
  beltFromOutside,
  beltLength,
  pulleysOverlap,
  teethInMesh,
} from '../drivetrain'
import type { Stage } from '../plan'
import type { BeltPulleys } from './beltPulleys'
import { isKnown, numberOf, onPlanning, type Reading } from './figure'
import type { Ledger } from './ledger'

/** How a belt lies between its pulleys. */
export interface BeltLie {
  lengthMm: Reading
  centreMm: Reading
  wrapDeg: Reading
  /** The stock belt next to it, and the centre distance it gives. */
  stockMm: Reading | undefined
  stockCentreMm: Reading | undefined
  /** Nearest and farthest the motor must come to fit and tension it. */
  nearestMm: Reading
  farthestMm: Reading
  /** Of a timing belt. */
  teethInMesh: Reading | undefined
  /** Why the geometry cannot be. */
  impossible: 'overlap' | 'short' | undefined
}

/** What a belt is called in its figures. */
export interface BeltName {
  stage: Stage
  path: string
  id: string
  name: string
}

/** Length from distance or distance from length, whichever was typed; undefined where neither was. */
export function beltLie(
  ledger: Ledger,
  { stage, path, id, name }: BeltName,
  pulleys: BeltPulleys,
): BeltLie | undefined {
  if ((stage.centreMm ?? stage.beltMm ?? stage.outsideMm) === undefined) return undefined
  const crossed = stage.kind === 'crossed-belt'
  const around = {
    largeMm: pulleys.largeMm,
    smallMm: pulleys.smallMm,
    crossed: { raw: crossed, shown: crossed, label: 'Crossed' },
  }
  const length = { id: `${id}.length`, label: `${name}: pitch length of the belt`, dimension: 'length' as const }
  const centre = { id: `${id}.centre`, label: `${name}: centre to centre`, dimension: 'length' as const }
  const wrap = { id: `${id}.wrap`, label: `${name}: wrap on the small pulley`, dimension: 'angle' as const }
  const typed = lengthTyped(ledger, stage, path, length)
  // A belt that is there fixes the distance; without one, the distance tells the belt.
  const centreMm = typed
    ? ledger.compute(beltCentreDistance, { centreMm: centre }, { ...around, lengthMm: typed }).centreMm
    : ledger.given(`${path}.centreMm`, centre.label)
  const { lengthMm, wrapSmallDeg: wrapDeg } = ledger.compute(
    beltLength,
    { lengthMm: typed ? { ...length, id: `${id}.lengthAgain` } : length, wrapSmallDeg: wrap },
    { ...around, centreMm },
  )
  const known = typed ?? lengthMm
  const stockMm = stock(ledger, { stage, path, id, name }, pulleys, known)
  const room = ledger.compute(
    beltAdjustment,
    {
      nearestMm: { id: `${id}.nearest`, label: `${name}: nearest, to put the belt on`, dimension: 'length' },
      farthestMm: { id: `${id}.farthest`, label: `${name}: farthest, when it has stretched`, dimension: 'length' },
    },
    { centreMm, lengthMm: known },
  )
  const at = numberOf(centreMm)
  const overlaps = at !== undefined && pulleysOverlap(numberOf(around.largeMm) ?? 0, numberOf(around.smallMm) ?? 0, at)
  return {
    lengthMm: known,
    centreMm,
    wrapDeg,
    stockMm,
    stockCentreMm:
      stockMm &&
      ledger.compute(
        beltCentreDistance,
        { centreMm: { ...centre, id: `${id}.stockCentre`, label: `${name}: centre to centre with that belt` } },
        { ...around, lengthMm: stockMm },
      ).centreMm,
    nearestMm: onPlanning(room.nearestMm),
    farthestMm: onPlanning(room.farthestMm),
    teethInMesh:
      pulleys.profile?.form === 'tooth'
        ? ledger.compute(
            teethInMesh,
            {
              inMesh: { id: `${id}.inMesh`, label: `${name}: teeth in mesh on the small pulley`, dimension: 'number' },
            },
            {
              teeth: ledger.given(`${path}.${pulleys.driverIsSmall ? 'driverMm' : 'drivenMm'}`),
              wrapSmallDeg: wrapDeg,
            },
          ).inMesh
        : undefined,
    impossible: typed && isKnown(typed) && at === undefined ? 'short' : !typed && overlaps ? 'overlap' : undefined,
  }
}

/** Stock belts tried for one with which the motor stands in its slot. */
const TRIED = 3

/**
 * The belt from stock next to a length, and of the nearest few one with which the motor stands in its slot,
 * where there is one. Poly-V belts and flat ones have none.
 */
function stock(
  ledger: Ledger,
  { stage, id, name }: BeltName,
  { profile, largeMm, smallMm }: BeltPulleys,
  length: Reading,
): Reading | undefined {
  const from = profile && stockOf(profile)
  if (!isKnown(length) || !from) return undefined
  const { slotLeastMm = 0, slotMostMm = Infinity } = stage
  const nearest = [...from.lengthsMm].sort((a, b) => Math.abs(a - length.value) - Math.abs(b - length.value))
  const inSlot = (lengthMm: number): boolean => {
    const pulleys = { largeMm: numberOf(largeMm) ?? 0, smallMm: numberOf(smallMm) ?? 0 }
    const lies = beltCentreDistance.compute({ ...pulleys, lengthMm, crossed: stage.kind === 'crossed-belt' })
    return 'centreMm' in lies && lies.centreMm >= slotLeastMm && lies.centreMm <= slotMostMm
  }
  const mm = nearest.slice(0, TRIED).find(inSlot) ?? nearest[0]
  const naming = { id: `${id}.stock`, label: `${name}: stock belt next to it`, dimension: 'length' as const }
  return mm === undefined ? undefined : ledger.stated(naming, mm, 'computed', [length], from.source)
}

/** Pitch lengths from stock of a V section or a timing pitch. */
function stockOf(profile: BeltProfile): { lengthsMm: readonly number[]; source: string } | undefined {
  switch (profile.form) {
    case 'v':
      return { lengthsMm: profile.section.lengthsMm, source: beltSections.source }
    case 'tooth':
      return {
        lengthsMm: profile.pitch.teeth.map((z) => z * profile.pitch.pitchMm),
        source: toothPitches.source,
      }
    case 'rib':
      return undefined
  }
}

/** The pitch length as printed, or from the outside; undefined where neither was typed. */
function lengthTyped(
  ledger: Ledger,
  stage: Stage,
  path: string,
  naming: { id: string; label: string; dimension: 'length' },
): Reading | undefined {
  if (stage.beltMm !== undefined) return ledger.given(`${path}.beltMm`, naming.label)
  if (stage.outsideMm === undefined) return undefined
  if (stage.section === undefined)
    return ledger.block(naming, [{ id: `${path}.section`, label: 'Belt section', missing: [`${path}.section`] }])
  return ledger.compute(
    beltFromOutside,
    { lengthMm: naming },
    {
      section: { raw: stage.section, shown: stage.section, label: 'Section' },
      outsideMm: ledger.given(`${path}.outsideMm`),
    },
  ).lengthMm
}
