import { beltSections, stockLength, type BeltSection } from '../data/beltSections'
import {
  beltCentreDistance,
  beltFromOutside,
  beltLength,
  beltTension,
  isPlainBelt,
  pulleysOverlap,
} from '../drivetrain'
import type { Plan, Stage } from '../plan'
import { isKnown, numberOf, type Reading } from './figure'
import type { Ledger } from './ledger'
import { positionName } from './trainFacts'

/** One belt of a position as it lies: what is known of its length and of the distance between the shafts. */
export interface BeltFacts {
  stage: Stage
  positionName: string
  /** Of the stage, `survey.positions.0.stages.0`. */
  path: string
  /** Prefix of its figures. */
  id: string
  section: BeltSection | undefined
  lengthMm: Reading | undefined
  centreMm: Reading | undefined
  wrapDeg: Reading | undefined
  /** Each side at rest, so that the start does not slip. */
  standingN: Reading | undefined
  /** The stock belt next to it, and the centre distance it gives. */
  stockMm: Reading | undefined
  stockCentreMm: Reading | undefined
  /** Why the geometry cannot be. */
  impossible: 'overlap' | 'short' | undefined
  smallMm: number
  largeMm: number
}

/** Belts whose centre distance or length somebody typed. */
export const beltFacts = (plan: Plan, ledger: Ledger, motorNm: Reading): BeltFacts[] =>
  plan.survey.positions.flatMap((position, p) =>
    position.stages.flatMap((stage, s): BeltFacts[] => {
      const { kind, driverMm, drivenMm } = stage
      const typed = stage.centreMm ?? stage.beltMm ?? stage.outsideMm
      if (!isPlainBelt(kind) || driverMm === undefined || drivenMm === undefined || typed === undefined) return []
      return [
        beltOf(
          ledger,
          stage,
          `survey.positions.${p}.stages.${s}`,
          `position.${position.id}.belt${s + 1}`,
          positionName(position, p),
          motorNm,
        ),
      ]
    }),
  )

function beltOf(ledger: Ledger, stage: Stage, path: string, id: string, name: string, motorNm: Reading): BeltFacts {
  const { driverMm = 0, drivenMm = 0 } = stage
  const [small, large] = driverMm <= drivenMm ? ['driverMm', 'drivenMm'] : ['drivenMm', 'driverMm']
  const crossed = stage.kind === 'crossed-belt'
  const pulleys = {
    largeMm: ledger.given(`${path}.${large}`),
    smallMm: ledger.given(`${path}.${small}`),
    crossed: { raw: crossed, shown: crossed, label: 'Crossed' },
  }
  const section = stage.section === undefined ? undefined : beltSections.sections[stage.section]
  const length = { id: `${id}.length`, label: `${name}: pitch length of the belt`, dimension: 'length' as const }
  const centre = { id: `${id}.centre`, label: `${name}: centre to centre`, dimension: 'length' as const }
  const wrap = { id: `${id}.wrap`, label: `${name}: wrap on the small pulley`, dimension: 'angle' as const }
  const typedLength = lengthTyped(ledger, stage, path, length)
  // A belt that is there fixes the distance; without one, the distance tells the belt.
  const centreMm = typedLength
    ? ledger.compute(beltCentreDistance, { centreMm: centre }, { ...pulleys, lengthMm: typedLength }).centreMm
    : ledger.given(`${path}.centreMm`, centre.label)
  const { lengthMm, wrapSmallDeg } = ledger.compute(
    beltLength,
    { lengthMm: typedLength ? { ...length, id: `${id}.lengthAgain` } : length, wrapSmallDeg: wrap },
    { ...pulleys, centreMm },
  )
  const known = typedLength ?? lengthMm
  const stock = section && isKnown(known) ? stockLength(section, known.value) : undefined
  const stockMm =
    stock === undefined
      ? undefined
      : ledger.stated(
          { id: `${id}.stock`, label: `${name}: stock belt next to it`, dimension: 'length' },
          stock,
          'computed',
          [known],
          beltSections.source,
        )
  const stockCentreMm =
    stockMm &&
    ledger.compute(
      beltCentreDistance,
      { centreMm: { ...centre, id: `${id}.stockCentre`, label: `${name}: centre to centre with that belt` } },
      { ...pulleys, lengthMm: stockMm },
    ).centreMm
  const largeMm = Math.max(driverMm, drivenMm)
  const smallMm = Math.min(driverMm, drivenMm)
  const at = numberOf(centreMm)
  return {
    stage,
    positionName: name,
    path,
    id,
    section,
    lengthMm: known,
    centreMm,
    wrapDeg: wrapSmallDeg,
    stockMm,
    stockCentreMm,
    standingN: tension(ledger, { motorNm, stage, path, id, name, wrapDeg: wrapSmallDeg }),
    impossible:
      typedLength && isKnown(typedLength) && at === undefined
        ? 'short'
        : !typedLength && at !== undefined && pulleysOverlap(largeMm, smallMm, at)
          ? 'overlap'
          : undefined,
    smallMm,
    largeMm,
  }
}

/** A start takes half as much again as rated torque; the belt must hold that. */
const START = 1.5

interface Pulled {
  motorNm: Reading
  stage: Stage
  path: string
  id: string
  name: string
  wrapDeg: Reading
}

/** Tension at rest of the belt on the motor's own shaft; further down the train the torque is another. */
function tension(ledger: Ledger, { motorNm, stage, path, id, name, wrapDeg }: Pulled): Reading | undefined {
  const { driverMm, drivenMm } = stage
  if (!path.endsWith('stages.0') || driverMm === undefined || drivenMm === undefined) return undefined
  const torque = {
    id: `${id}.startNm`,
    label: `${name}: torque on the small pulley at a start`,
    dimension: 'torque' as const,
  }
  const small = Math.min(driverMm, drivenMm)
  const atSmall = numberOf(motorNm)
  const torqueNm =
    atSmall === undefined
      ? ledger.block(torque, [motorNm])
      : ledger.stated(
          torque,
          (START * atSmall * small) / driverMm,
          'computed',
          [motorNm],
          'Half as much again as rated torque, a planning value',
        )
  return ledger.compute(
    beltTension,
    { standingN: { id: `${id}.standingN`, label: `${name}: tension of each side at rest`, dimension: 'force' } },
    {
      torqueNm,
      diameterMm: ledger.given(`${path}.${driverMm <= drivenMm ? 'driverMm' : 'drivenMm'}`),
      wrapSmallDeg: wrapDeg,
    },
  ).standingN
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
