import type { BeltProfile } from '../../data/beltProfile'
import {
  beltAdjustment,
  beltCentreDistance,
  beltFromOutside,
  beltLength,
  pulleysOverlap,
  stockBelt,
  teethInMesh,
} from '../../drivetrain'
import { isKnown, numberOf, type FigureState } from '../figure'
import { choice, named, unknownField, type Ledger, type Naming } from '../ledger'
import type { BeltName, BeltPulleys } from './beltPulleys'

/** How a belt lies between its pulleys. */
export interface BeltGeometry {
  lengthMm: FigureState
  centreMm: FigureState
  wrapDeg: FigureState
  /** The stock belt next to it, and the centre distance it gives. */
  stockMm: FigureState | undefined
  stockCentreMm: FigureState | undefined
  /** Nearest and farthest the motor must come to fit and tension it. */
  nearestMm: FigureState
  farthestMm: FigureState
  /** Of a timing belt. */
  teethInMesh: FigureState | undefined
  /** Why the geometry cannot be. */
  impossible: 'overlap' | 'short' | undefined
}

/** Length from distance or distance from length, whichever was typed; undefined where neither was. */
export function beltGeometry(ledger: Ledger, belt: BeltName, pulleys: BeltPulleys): BeltGeometry | undefined {
  const { stage, path, id, name } = belt
  if ((stage.centreMm ?? stage.beltMm ?? stage.outsideMm) === undefined) return undefined
  const crossed = stage.kind === 'crossed-belt'
  const around = {
    largeMm: pulleys.largeMm,
    smallMm: pulleys.smallMm,
    crossed: choice(crossed, 'Crossed'),
  }
  const length = named(`${id}.length`, `${name}: pitch length of the belt`, 'length')
  const centre = named(`${id}.centre`, `${name}: centre to centre`, 'length')
  const wrap = named(`${id}.wrap`, `${name}: wrap on the small pulley`, 'angle')
  const typed = lengthTyped(ledger, belt, length)
  // A belt that is there fixes the distance; without one, the distance tells the belt.
  const centreMm = typed
    ? ledger.compute(beltCentreDistance, { centreMm: centre }, { ...around, lengthMm: typed }).centreMm
    : ledger.given(`${path}.centreMm`, centre.label)
  const { lengthMm, wrapSmallDeg: wrapDeg } = ledger.compute(
    beltLength,
    { lengthMm: typed ? named(`${id}.lengthAgain`, length.label, 'length') : length, wrapSmallDeg: wrap },
    { ...around, centreMm },
  )
  const known = typed ?? lengthMm
  const stockMm = stock(ledger, belt, pulleys, known)
  const room = ledger.compute(
    beltAdjustment,
    {
      nearestMm: named(`${id}.nearest`, `${name}: nearest, to put the belt on`, 'length'),
      farthestMm: named(`${id}.farthest`, `${name}: farthest, when it has stretched`, 'length'),
    },
    { centreMm, lengthMm: known },
    { planning: true },
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
        { centreMm: named(`${id}.stockCentre`, `${name}: centre to centre with that belt`, 'length') },
        { ...around, lengthMm: stockMm },
      ).centreMm,
    nearestMm: room.nearestMm,
    farthestMm: room.farthestMm,
    teethInMesh:
      pulleys.profile?.form === 'tooth'
        ? ledger.compute(
            teethInMesh,
            {
              inMesh: named(`${id}.inMesh`, `${name}: teeth in mesh on the small pulley`, 'number'),
            },
            {
              teeth: ledger.given(`${path}.${pulleys.driverIsSmall ? 'driverTeeth' : 'drivenTeeth'}`),
              wrapSmallDeg: wrapDeg,
            },
          ).inMesh
        : undefined,
    impossible: typed && isKnown(typed) && at === undefined ? 'short' : !typed && overlaps ? 'overlap' : undefined,
  }
}

/**
 * The belt from stock next to a length, and of the nearest few one with which the motor stands in its slot,
 * where there is one. Poly-V belts and flat ones have none.
 */
function stock(
  ledger: Ledger,
  { stage, path, id, name }: BeltName,
  { profile, largeMm, smallMm }: BeltPulleys,
  length: FigureState,
): FigureState | undefined {
  const lengthsMm = profile && stockLengths(profile)
  if (!isKnown(length) || !lengthsMm) return undefined
  return ledger.derive(stockBelt, 'lengthMm', named(`${id}.stock`, `${name}: stock belt next to it`, 'length'), {
    lengthMm: length,
    lengthsMm: { raw: lengthsMm, shown: `${lengthsMm.length} lengths`, label: 'From stock' },
    largeMm,
    smallMm,
    crossed: choice(stage.kind === 'crossed-belt', 'Crossed'),
    slotLeastMm: ledger.givenIfKnown(`${path}.slotLeastMm`),
    slotMostMm: ledger.givenIfKnown(`${path}.slotMostMm`),
  })
}

/** Pitch lengths from stock of a V section or a timing pitch. */
function stockLengths(profile: BeltProfile): readonly number[] | undefined {
  switch (profile.form) {
    case 'v':
      return profile.section.lengthsMm
    case 'tooth':
      return profile.pitch.teeth.map((z) => z * profile.pitch.pitchMm)
    case 'rib':
      return undefined
  }
}

/** The pitch length as printed, or from the outside; undefined where neither was typed. */
function lengthTyped(ledger: Ledger, { stage, path }: BeltName, naming: Naming): FigureState | undefined {
  if (stage.beltMm !== undefined) return ledger.given(`${path}.beltMm`, naming.label)
  if (stage.outsideMm === undefined) return undefined
  if (stage.section === undefined) return ledger.block(naming, [unknownField(`${path}.section`, 'Belt section')])
  return ledger.derive(beltFromOutside, 'lengthMm', naming, {
    section: choice(stage.section, 'Section'),
    outsideMm: ledger.given(`${path}.outsideMm`),
  })
}
