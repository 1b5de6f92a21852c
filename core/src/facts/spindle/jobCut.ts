import {
  drilling,
  holeSaw,
  milling,
  millingChip,
  plannedTorque,
  specificForceAtChip,
  surfaceSpeed,
  tableFeed,
  tapping,
  turning,
} from '../../cutting'
import {
  drillFeed,
  drillFeeds,
  holeSaws,
  kindFactors,
  rimSpeeds,
  taps,
  toolFactors,
  workMaterials,
} from '../../data/workMaterials'
import { ratedTorque, shaftPower } from '../../motor'
import type { Job, JobPath } from '../../plan'
import { isKnown, type FigureState } from '../figure'
import { choice, named, type Ledger, type Naming } from '../ledger'

/** What a job asks of the spindle. */
export interface JobCut {
  /** Surface speed to begin with, as typed or typical. */
  surfaceSpeed: FigureState | undefined
  /** Share of the wanted speed by which it may be slower or faster and still be good. */
  slower: number
  faster: number
  torqueNm: FigureState | undefined
  powerW: FigureState | undefined
}

/** A speed somebody typed is met within a fifth either way; typical. */
const NEAR = 0.2

const isHeldMaterial = (material: Job['material']): material is keyof typeof workMaterials =>
  material !== undefined && material !== 'wood'

/** Range of surface speeds to begin with, m/min; undefined where it is not known what is cut how. */
export function typicalSpeeds({
  kind,
  material,
  tool,
}: Job): { range: readonly [number, number]; citation: string } | undefined {
  if (kind === 'grinding' || kind === 'polishing') return { range: rimSpeeds[kind], citation: rimSpeeds.citation }
  if (kind === 'routing' || (kind === 'milling' && material === 'wood'))
    return byMaterial(rimSpeeds.routing, material ?? 'wood')
  if (kind === 'sawing') return byMaterial(rimSpeeds.sawing, material)
  if (kind === undefined || kind === 'other' || !isHeldMaterial(material)) return undefined
  const held = workMaterials[material]
  const factor = kindFactors[kind] * toolFactors[tool ?? 'hss']
  return {
    range: [held.hssMPerMin[0] * factor, held.hssMPerMin[1] * factor],
    citation: `${held.citation}; ${kindFactors.citation}${tool === 'carbide' ? `; ${toolFactors.citation}` : ''}`,
  }
}

/** A range of a table that does not hold every material. */
const byMaterial = (
  table: Readonly<Partial<Record<string, readonly [number, number]>>>,
  material: string | undefined,
): { range: readonly [number, number]; citation: string } | undefined => {
  const range = material === undefined ? undefined : table[material]
  return range && { range, citation: rimSpeeds.citation }
}

/** Surface speed of a job: as typed, or the middle of the typical range. */
export function jobSurfaceSpeed(ledger: Ledger, job: Job, path: JobPath, name: string): FigureState | undefined {
  if (job.surfaceSpeedMPerMin !== undefined)
    return ledger.given(`${path}.surfaceSpeedMPerMin`, `${name}: surface speed`)
  const typical = typicalSpeeds(job)
  return typical
    ? ledger.typical(
        named(`job.${job.id}.surfaceSpeed`, `${name}: surface speed`, 'surfaceSpeed'),
        (typical.range[0] + typical.range[1]) / 2,
        typical.citation,
      )
    : undefined
}

/** How far the speed may lie from the wanted one. */
export function speedWindow(job: Job): { slower: number; faster: number } {
  const typical = job.speedRpm === undefined && job.surfaceSpeedMPerMin === undefined ? typicalSpeeds(job) : undefined
  if (!typical) return { slower: 1 - NEAR, faster: 1 + NEAR }
  const [low, high] = typical.range
  const middle = (low + high) / 2
  return { slower: low / middle, faster: high / middle }
}

/** Torque and power that a job asks of the spindle at its wanted speed; undefined where nothing tells them. */
export function jobCut(
  ledger: Ledger,
  job: Job,
  path: JobPath,
  name: string,
  wantedRpm: FigureState,
): Pick<JobCut, 'torqueNm' | 'powerW'> {
  const torque = named(`job.${job.id}.torque`, `${name}: torque at the spindle`, 'torque')
  const power = named(`job.${job.id}.power`, `${name}: power at the spindle`, 'power')
  if (job.torqueNm !== undefined) {
    const torqueNm = ledger.given(`${path}.torqueNm`, torque.label)
    return { torqueNm, powerW: ledger.derive(shaftPower, 'powerW', power, { torqueNm, speedRpm: wantedRpm }) }
  }
  const cut = cutOf(ledger, job, path, name, wantedRpm, torque, power)
  if (!cut) return { torqueNm: undefined, powerW: undefined }
  return {
    torqueNm:
      cut.torqueNm ?? ledger.derive(ratedTorque, 'torqueNm', torque, { powerW: cut.powerW, speedRpm: wantedRpm }),
    powerW: cut.powerW ?? ledger.derive(shaftPower, 'powerW', power, { torqueNm: cut.torqueNm, speedRpm: wantedRpm }),
  }
}

/** What must be typed before the rule for its kind can be tried; the torque itself where there is no rule. */
export function cutNeeds(job: Job): ('kind' | 'material' | NumericJobField | 'torqueNm')[] {
  const unknown = (...keys: NumericJobField[]) => keys.filter((key) => job[key] === undefined)
  if (job.kind === undefined) return ['kind']
  if (!rules.has(job.kind)) return ['torqueNm']
  if (job.kc11 === undefined && !isHeldMaterial(job.material))
    return job.material === undefined ? ['material'] : ['torqueNm']
  const needs =
    job.kind === 'tapping'
      ? unknown('pitchMm')
      : job.kind === 'hole-saw'
        ? unknown('diameterMm')
        : unknown('feedMm', 'depthMm')
  return needs.length === 0 ? ['torqueNm'] : needs
}

/** Kinds of work whose torque is reckoned by a rule. */
const rules: ReadonlySet<Job['kind']> = new Set([
  ...(['turning', 'facing', 'boring', 'drilling', 'hole-saw', 'milling', 'fly-cutting', 'tapping'] as const),
])

/** Torque or power by the rule for its kind, where enough is typed to try it. */
function cutOf(
  ledger: Ledger,
  job: Job,
  path: JobPath,
  name: string,
  wantedRpm: FigureState,
  torque: Naming,
  power: Naming,
): { torqueNm?: FigureState; powerW?: FigureState } | undefined {
  const material = isHeldMaterial(job.material) ? workMaterials[job.material] : undefined
  if (job.kc11 === undefined && !material) return undefined
  const given = (key: NumericJobField) => ledger.given(`${path}.${key}`)
  const force = {
    kc11: kienzle(ledger, job, path, name, 'kc11', material?.kc11, material?.citation),
    mc: kienzle(ledger, job, path, name, 'mc', material?.mc ?? 0.25, material?.citation),
  }
  switch (job.kind) {
    case 'turning':
    case 'facing':
    case 'boring':
      if (job.feedMm === undefined && job.depthMm === undefined) return undefined
      return ledger.compute(
        turning,
        { powerW: power },
        {
          ...force,
          feedMm: given('feedMm'),
          depthMm: given('depthMm'),
          surfaceSpeedMPerMin: surfaceAt(ledger, job, path, name, wantedRpm),
        },
      )
    case 'drilling':
      if (job.feedMm === undefined && !material) return undefined
      return ledger.compute(
        drilling,
        { torqueNm: torque, powerW: power },
        {
          ...force,
          feedMm: ledger.givenOr(`${path}.feedMm`, () => typicalFeed(ledger, job, name)),
          diameterMm: given('diameterMm'),
          speedRpm: wantedRpm,
          pilotMm: job.pilotMm === undefined ? undefined : given('pilotMm'),
        },
      )
    case 'hole-saw':
      if (job.diameterMm === undefined) return undefined
      return planned(
        ledger,
        job,
        name,
        torque,
        holeSaws,
        (once) =>
          ledger.compute(
            holeSaw,
            { torqueNm: once },
            {
              ...force,
              feedMm: ledger.givenOr(`${path}.feedMm`, () =>
                ledger.typical(feedNaming(job, name), holeSaws.feedMm, holeSaws.citation),
              ),
              diameterMm: given('diameterMm'),
              kerfMm: ledger.givenOr(`${path}.widthMm`, () =>
                ledger.typical(
                  named(`job.${job.id}.kerf`, `${name}: kerf`, 'length'),
                  kerfOf(job.diameterMm ?? 0),
                  holeSaws.citation,
                ),
              ),
              teeth: job.teeth === undefined ? undefined : given('teeth'),
              speedRpm: wantedRpm,
            },
          ).torqueNm,
      )
    case 'milling':
    case 'fly-cutting':
      if (job.feedMm === undefined && job.depthMm === undefined) return undefined
      return millingCut(ledger, job, path, name, wantedRpm, force, power)
    case 'tapping':
      if (job.pitchMm === undefined) return undefined
      return planned(
        ledger,
        job,
        name,
        torque,
        taps,
        (once) =>
          ledger.compute(
            tapping,
            { torqueNm: once },
            {
              specificForce: atChip(ledger, job, name, force, given('pitchMm')),
              pitchMm: given('pitchMm'),
              diameterMm: given('diameterMm'),
            },
          ).torqueNm,
      )
    default:
      return undefined
  }
}

const feedNaming = (job: Job, name: string): Naming => named(`job.${job.id}.feed`, `${name}: feed a turn`, 'length')

/** Feed of a twist drill where none was typed. */
function typicalFeed(ledger: Ledger, job: Job, name: string): FigureState {
  const naming = feedNaming(job, name)
  return job.diameterMm === undefined || !isHeldMaterial(job.material)
    ? ledger.block(naming, [])
    : ledger.typical(naming, drillFeed(job.diameterMm, job.material), drillFeeds.citation)
}

const kerfOf = (diameterMm: number): number => holeSaws.kerfMm.find((k) => diameterMm <= k.upToMm)?.kerfMm ?? 0

/** Torque to plan with: so often what the formula says. */
function planned(
  ledger: Ledger,
  job: Job,
  name: string,
  torque: Naming,
  { times, citation }: { times: number; citation: string },
  formula: (once: Naming) => FigureState,
): { torqueNm: FigureState } {
  const once = named(`job.${job.id}.formulaTorque`, `${name}: torque by the formula`, 'torque')
  const factor = ledger.typical(named(`job.${job.id}.times`, `${name}: times the formula`, 'number'), times, citation)
  return { torqueNm: ledger.derive(plannedTorque, 'torqueNm', torque, { torqueNm: formula(once), times: factor }) }
}

/** Fields of a job that hold a number. */
type NumericJobField = 'feedMm' | 'depthMm' | 'widthMm' | 'diameterMm' | 'pilotMm' | 'pitchMm' | 'teeth'

interface Force {
  kc11: FigureState
  mc: FigureState
}

function kienzle(
  ledger: Ledger,
  job: Job,
  path: JobPath,
  name: string,
  key: 'kc11' | 'mc',
  value: number | undefined,
  citation = 'Planning value',
): FigureState {
  if (job[key] !== undefined || value === undefined) return ledger.given(`${path}.${key}`)
  const label = key === 'kc11' ? `${name}: specific force, N/mm²` : `${name}: its exponent`
  return ledger.typical({ id: `job.${job.id}.${key}`, label, dimension: 'number' }, value, citation)
}

/** Surface speed that belongs to the wanted rpm, whichever of the two was typed. */
function surfaceAt(ledger: Ledger, job: Job, path: JobPath, name: string, wantedRpm: FigureState): FigureState {
  if (job.speedRpm === undefined) return jobSurfaceSpeed(ledger, job, path, name) ?? wantedRpm
  return ledger.derive(
    surfaceSpeed,
    'surfaceSpeedMPerMin',
    named(`job.${job.id}.surfaceSpeed`, `${name}: surface speed`, 'surfaceSpeed'),
    { diameterMm: ledger.given(`${path}.diameterMm`), speedRpm: wantedRpm },
  )
}

/** Specific force at a chip thickness, as a figure of its own. */
const atChip = (ledger: Ledger, job: Job, name: string, { kc11, mc }: Force, chip: FigureState): FigureState =>
  ledger.derive(
    specificForceAtChip,
    'specificForce',
    named(`job.${job.id}.force`, `${name}: specific force at its chip, N/mm²`, 'number'),
    { kc11, mc, chipMm: chip },
  )

function millingCut(
  ledger: Ledger,
  job: Job,
  path: JobPath,
  name: string,
  wantedRpm: FigureState,
  force: Force,
  power: Naming,
): { powerW: FigureState } {
  const given = (key: NumericJobField) => ledger.given(`${path}.${key}`)
  const { chipMm } = ledger.compute(
    millingChip,
    { chipMm: named(`job.${job.id}.chip`, `${name}: mean chip`, 'length') },
    { feedPerToothMm: given('feedMm'), widthMm: given('widthMm'), diameterMm: given('diameterMm') },
  )
  // A fly-cutter has one tooth.
  const feedMmPerMin = ledger.derive(
    tableFeed,
    'feedMmPerMin',
    named(`job.${job.id}.tableFeed`, `${name}: table feed, mm/min`, 'number'),
    {
      feedPerToothMm: given('feedMm'),
      teeth: job.kind === 'fly-cutting' && job.teeth === undefined ? choice(1, 'Teeth') : given('teeth'),
      speedRpm: wantedRpm,
    },
  )
  return ledger.compute(
    milling,
    { powerW: power },
    {
      specificForce: isKnown(chipMm) ? atChip(ledger, job, name, force, chipMm) : chipMm,
      depthMm: given('depthMm'),
      widthMm: given('widthMm'),
      feedMmPerMin,
    },
  )
}
