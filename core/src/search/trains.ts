import { beltProfile } from '../data/beltProfile'
import { preferredDiameters } from '../data/preferredDiameters'
import {
  beltCentreDistance,
  beltGeometry,
  drivetrainEfficiency,
  isPlainBelt,
  pulleysOverlap,
  ratioStages,
  trainRatio,
  trainStages,
} from '../drivetrain'
import { conversion } from '../conversion/conversion'
import { numberOf } from '../facts/figure'
import { stageOfKind, type Plan, type Position, type TransmissionStage } from '../plan'
import { Refusal } from '../rules/rule'
import type { SearchCriteria } from './searchCriteria'

export interface TrainPosition {
  position: Position
  speedRatio: number
  efficiency: number
}

/** A set of belt positions that are there together. */
export interface TrainChoice {
  name: string
  own: boolean
  /** New pairs of pulleys that it takes. */
  pairs: number
  /** Pitch length of the stock belt that drives them, where one is known. */
  beltMm?: number
  positions: TrainPosition[]
}

/** Turned to size, a pulley is tried at every so many millimetres. */
const MACHINED_STEP_MM = 5

/** Two steps are worth having where their ratios differ by this much. */
const APART = 1.25

/** Share of its length by which one belt serves two steps at one distance, where no slot is known. */
const ONE_BELT = 0.01

/** A new pair of pulleys in the place of the belt there is, and the stock belts that fit it. */
interface Pair {
  driverMm: number
  drivenMm: number
  /** Pitch lengths with which the motor stands in its slot; nothing where slot or stock is not known. */
  beltsMm: number[] | undefined
  /** One for each train of gears behind the belt. */
  positions: TrainPosition[]
}

/** The pulleys there are, and every pair, or two steps, that could take their place. */
export function trainChoices(plan: Plan, criteria: SearchCriteria): TrainChoice[] {
  const { positions } = plan.survey
  const own = ownTrains(plan)
  const there: TrainChoice[] =
    own.length > 0 ? [{ name: 'The pulleys there are', own: true, pairs: 0, positions: own }] : []
  const belted = positions.filter((p) => isPlainBelt(p.transmission[0]?.kind))
  const pattern = belted[0]?.transmission[0]
  if (criteria.keepPulleys || !pattern) return there
  // The gears behind the belt stay: a back gear goes with any pair of pulleys.
  const tails = [
    ...new Map(belted.map((p) => [JSON.stringify(p.transmission.slice(1)), p.transmission.slice(1)])).values(),
  ]
  const smallest = smallestPulley(pattern, belted)
  const pairsOf = (sizes: readonly number[]): Pair[] =>
    sizes.flatMap((driverMm) => sizes.flatMap((drivenMm) => newPair(pattern, driverMm, drivenMm, tails) ?? []))
  const stock = preferredDiameters.mm.filter((mm) => mm >= smallest)
  const stockPairs = pairsOf(stock)
  const pairs = criteria.machined ? pairsOf(machinedSizes().filter((mm) => mm >= smallest)) : stockPairs
  return [
    ...there,
    ...pairs.map(({ driverMm, drivenMm, beltsMm, positions: made }): TrainChoice => ({
      name: `${driverMm} to ${drivenMm} mm`,
      own: false,
      pairs: 1,
      positions: made,
      ...(beltsMm?.[0] === undefined ? {} : { beltMm: beltsMm[0] }),
    })),
    ...(criteria.steps ? twoSteps(pattern, stockPairs) : []),
  ]
}

/** The smallest pulley that the belt stands; where its section is not known, the smallest that it runs on now. */
function smallestPulley(pattern: TransmissionStage, belted: readonly Position[]): number {
  const profile = pattern.section === undefined ? undefined : beltProfile(pattern.section)
  if (pattern.kind === 'v-belt' && profile?.form === 'v') return profile.section.smallestMm
  if (pattern.kind === 'poly-v' && profile?.form === 'rib') return profile.profile.smallestMm
  return Math.min(...belted.flatMap(({ transmission: [s] }) => [s?.driverMm ?? Infinity, s?.drivenMm ?? Infinity]))
}

function machinedSizes(): number[] {
  const { mm } = preferredDiameters
  const [least, most] = [mm[0], mm[mm.length - 1] ?? mm[0]]
  return Array.from(
    { length: Math.floor((most - least) / MACHINED_STEP_MM) + 1 },
    (_, i) => least + i * MACHINED_STEP_MM,
  )
}

/** A pair in the place of the pattern; undefined where it cannot stand there. */
function newPair(
  pattern: TransmissionStage,
  driverMm: number,
  drivenMm: number,
  tails: readonly TransmissionStage[][],
): Pair | undefined {
  const beltsMm = fittingBelts(pattern, driverMm, drivenMm)
  if (beltsMm?.length === 0) return undefined
  const { centreMm } = pattern
  if (
    !beltsMm &&
    centreMm !== undefined &&
    pulleysOverlap(Math.max(driverMm, drivenMm), Math.min(driverMm, drivenMm), centreMm)
  )
    return undefined
  const name = `${driverMm} to ${drivenMm} mm`
  const positions = tails.flatMap((tail, i) => {
    const transmission = [newBelt(pattern, driverMm, drivenMm, beltsMm?.[0]), ...tail]
    return (
      asTrain({
        id: `new-${driverMm}-${drivenMm}-${i}`,
        name: tail.length === 0 ? name : `${name}, geared`,
        transmission,
      }) ?? []
    )
  })
  return positions.length === tails.length ? { driverMm, drivenMm, beltsMm, positions } : undefined
}

/** What is known of the place stays; what was measured of the old belt says nothing of a new one. */
function newBelt(
  pattern: TransmissionStage,
  driverMm: number,
  drivenMm: number,
  beltMm: number | undefined,
): TransmissionStage {
  const { kind, section, centreMm, slotLeastMm, slotMostMm } = pattern
  const where = beltMm === undefined ? { centreMm } : { beltMm }
  return stageOfKind({ driverMm, drivenMm, section, slotLeastMm, slotMostMm, ...where }, kind)
}

const withBelt = (stage: TransmissionStage, beltMm: number): TransmissionStage =>
  stageOfKind({ ...stage, beltMm }, stage.kind)

/** Stock V-belts with which the motor stands in its slot, the nearest to its middle first; undefined where slot or section is not known. */
function fittingBelts(pattern: TransmissionStage, driverMm: number, drivenMm: number): number[] | undefined {
  const { kind, section, slotLeastMm, slotMostMm } = pattern
  const profile = section === undefined ? undefined : beltProfile(section)
  if (kind !== 'v-belt' || profile?.form !== 'v' || slotLeastMm === undefined || slotMostMm === undefined)
    return undefined
  const [largeMm, smallMm] = [Math.max(driverMm, drivenMm), Math.min(driverMm, drivenMm)]
  const middle = (slotLeastMm + slotMostMm) / 2
  return profile.section.lengthsMm
    .flatMap((lengthMm) => {
      const lies = beltCentreDistance.compute({ largeMm, smallMm, lengthMm, crossed: false })
      if (lies instanceof Refusal || lies.centreMm < slotLeastMm || lies.centreMm > slotMostMm) return []
      return [{ lengthMm, off: Math.abs(lies.centreMm - middle) }]
    })
    .sort((a, b) => a.off - b.off)
    .map(({ lengthMm }) => lengthMm)
}

/** Every two pairs that one belt serves, their ratios well apart. */
function twoSteps(pattern: TransmissionStage, pairs: readonly Pair[]): TrainChoice[] {
  return pairs.flatMap((slow, i) =>
    pairs.slice(i + 1).flatMap((fast): TrainChoice[] => {
      const apart = (fast.driverMm * slow.drivenMm) / (fast.drivenMm * slow.driverMm)
      if (apart < APART && apart > 1 / APART) return []
      const belt = sharedBelt(pattern, slow, fast)
      if (belt === undefined) return []
      const on = ({ positions }: Pair): TrainPosition[] =>
        belt === 'any'
          ? positions
          : positions.map((p) => {
              const [first, ...rest] = p.position.transmission
              return {
                ...p,
                position: { ...p.position, transmission: first ? [withBelt(first, belt), ...rest] : rest },
              }
            })
      return [
        {
          name: `${slow.driverMm}/${fast.driverMm} to ${slow.drivenMm}/${fast.drivenMm} mm`,
          own: false,
          pairs: 2,
          positions: [...on(slow), ...on(fast)],
          ...(belt === 'any' ? {} : { beltMm: belt }),
        },
      ]
    }),
  )
}

/** The belt that serves both; `any` where no stock is known but their lengths are alike. */
function sharedBelt({ centreMm }: TransmissionStage, a: Pair, b: Pair): number | 'any' | undefined {
  if (a.beltsMm && b.beltsMm) return a.beltsMm.find((mm) => b.beltsMm?.includes(mm))
  const at = centreMm ?? 2 * Math.max(a.driverMm, a.drivenMm, b.driverMm, b.drivenMm)
  const [one, other] = [a, b].map(
    ({ driverMm, drivenMm }) =>
      beltGeometry(Math.max(driverMm, drivenMm), Math.min(driverMm, drivenMm), at, false).lengthMm,
  )
  return one !== undefined && other !== undefined && Math.abs(one / other - 1) <= ONE_BELT ? 'any' : undefined
}

/** The positions there are; where only the speed of one is known, by what follows from it. */
function ownTrains(plan: Plan): TrainPosition[] {
  const { positions } = plan.survey
  const bySizes = positions.map(asTrain)
  const known = bySizes.includes(undefined) ? conversion(plan).facts.speeds.positions : []
  return positions.flatMap((position, i): TrainPosition[] => {
    const sized = bySizes[i]
    if (sized) return [sized]
    const [speedRatio, efficiency] = [numberOf(known[i]?.speedRatio), numberOf(known[i]?.efficiency)]
    return speedRatio === undefined || efficiency === undefined ? [] : [{ position, speedRatio, efficiency }]
  })
}

function asTrain(position: Position): TrainPosition | undefined {
  const stages = trainStages.safeParse(ratioStages(position.transmission))
  if (!stages.success || stages.data.length === 0) return undefined
  const ratio = trainRatio(stages.data)
  const efficiency = drivetrainEfficiency.run({ stages: stages.data.map(({ kind }) => ({ kind })) })
  return ratio instanceof Refusal || !efficiency.ok
    ? undefined
    : { position, speedRatio: ratio.speedRatio, efficiency: efficiency.value.efficiency }
}
