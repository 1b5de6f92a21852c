import { drilling, holeSaw, milling, millingChip, specificForce, tapping, THINNEST_MM, turning } from '../cutting'
import { kindFactors, rimSpeeds, toolFactors, workMaterials } from '../data/workMaterials'
import { angularSpeed } from '../drivetrain/angularSpeed'
import type { Job } from '../plan'
import { isKnown, numberOf, type Reading } from './figure'
import type { Ledger } from './ledger'

/** What a job asks of the spindle. */
export interface JobCut {
  /** Surface speed to begin with, as typed or typical. */
  surfaceSpeed: Reading | undefined
  /** Share of the wanted speed by which it may be slower or faster and still be good. */
  slower: number
  faster: number
  torqueNm: Reading | undefined
  powerW: Reading | undefined
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
}: Job): { range: readonly [number, number]; source: string } | undefined {
  if (kind === 'grinding' || kind === 'polishing') return { range: rimSpeeds[kind], source: rimSpeeds.source }
  if (kind === 'routing' || (kind === 'milling' && material === 'wood'))
    return { range: rimSpeeds.routing, source: rimSpeeds.source }
  if (kind === 'sawing')
    return material === undefined
      ? undefined
      : { range: material === 'wood' ? rimSpeeds.sawing.other : rimSpeeds.sawing.metal, source: rimSpeeds.source }
  if (kind === undefined || kind === 'other' || !isHeldMaterial(material)) return undefined
  const held = workMaterials[material]
  const factor = kindFactors[kind] * toolFactors[tool ?? 'hss']
  return {
    range: [held.hssMPerMin[0] * factor, held.hssMPerMin[1] * factor],
    source: `${held.source}; ${kindFactors.source}${tool === 'carbide' ? `; ${toolFactors.source}` : ''}`,
  }
}

/** Surface speed of a job: as typed, or the middle of the typical range. */
export function jobSurfaceSpeed(ledger: Ledger, job: Job, path: string, name: string): Reading | undefined {
  if (job.surfaceSpeedMPerMin !== undefined)
    return ledger.given(`${path}.surfaceSpeedMPerMin`, `${name}: surface speed`)
  const typical = typicalSpeeds(job)
  return typical
    ? ledger.typical(
        { id: `job.${job.id}.surfaceSpeed`, label: `${name}: surface speed`, dimension: 'surfaceSpeed' },
        (typical.range[0] + typical.range[1]) / 2,
        typical.source,
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
  path: string,
  name: string,
  wantedRpm: Reading,
): Pick<JobCut, 'torqueNm' | 'powerW'> {
  const torque = { id: `job.${job.id}.torque`, label: `${name}: torque at the spindle`, dimension: 'torque' as const }
  const power = { id: `job.${job.id}.power`, label: `${name}: power at the spindle`, dimension: 'power' as const }
  if (job.torqueNm !== undefined) {
    const torqueNm = ledger.given(`${path}.torqueNm`, torque.label)
    return { torqueNm, powerW: derived(ledger, power, torqueNm, wantedRpm, (t, w) => t * w, 'P = T w') }
  }
  const cut = cutOf(ledger, job, path, name, wantedRpm, torque, power)
  if (!cut) return { torqueNm: undefined, powerW: undefined }
  return {
    torqueNm: cut.torqueNm ?? derived(ledger, torque, cut.powerW, wantedRpm, (p, w) => p / w, 'T = P / w'),
    powerW: cut.powerW ?? derived(ledger, power, cut.torqueNm, wantedRpm, (t, w) => t * w, 'P = T w'),
  }
}

type Naming = Parameters<Ledger['stated']>[0]

function derived(
  ledger: Ledger,
  naming: Naming,
  from: Reading | undefined,
  wantedRpm: Reading,
  of: (value: number, radPerS: number) => number,
  formula: string,
): Reading {
  const [value, rpm] = [numberOf(from), numberOf(wantedRpm)]
  const readings = from ? [from, wantedRpm] : [wantedRpm]
  return value === undefined || rpm === undefined
    ? ledger.block(naming, readings)
    : ledger.stated(naming, of(value, angularSpeed(rpm)), 'computed', readings, formula)
}

/** Torque or power by the rule for its kind, where enough is typed to try it. */
function cutOf(
  ledger: Ledger,
  job: Job,
  path: string,
  name: string,
  wantedRpm: Reading,
  torque: Naming,
  power: Naming,
): { torqueNm?: Reading; powerW?: Reading } | undefined {
  const material = isHeldMaterial(job.material) ? workMaterials[job.material] : undefined
  if (job.kc11 === undefined && !material) return undefined
  const given = (key: keyof Job) => ledger.given(`${path}.${key}`)
  const force = {
    kc11: kienzle(ledger, job, path, name, 'kc11', material?.kc11, material?.source),
    mc: kienzle(ledger, job, path, name, 'mc', material?.mc ?? 0.25, material?.source),
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
      if (job.feedMm === undefined) return undefined
      return ledger.compute(
        drilling,
        { torqueNm: torque, powerW: power },
        {
          ...force,
          feedMm: given('feedMm'),
          diameterMm: given('diameterMm'),
          speedRpm: wantedRpm,
          pilotMm: job.pilotMm === undefined ? undefined : given('pilotMm'),
        },
      )
    case 'hole-saw':
      if (job.feedMm === undefined && job.widthMm === undefined) return undefined
      return ledger.compute(
        holeSaw,
        { torqueNm: torque, powerW: power },
        {
          ...force,
          feedMm: given('feedMm'),
          diameterMm: given('diameterMm'),
          kerfMm: given('widthMm'),
          teeth: job.teeth === undefined ? undefined : given('teeth'),
          speedRpm: wantedRpm,
        },
      )
    case 'milling':
    case 'fly-cutting':
      if (job.feedMm === undefined && job.depthMm === undefined) return undefined
      return millingCut(ledger, job, path, name, wantedRpm, force, power)
    case 'tapping':
      if (job.pitchMm === undefined) return undefined
      return ledger.compute(
        tapping,
        { torqueNm: torque },
        {
          specificForce: atChip(ledger, job, name, force, given('pitchMm')),
          pitchMm: given('pitchMm'),
          diameterMm: given('diameterMm'),
        },
      )
    default:
      return undefined
  }
}

interface Force {
  kc11: Reading
  mc: Reading
}

function kienzle(
  ledger: Ledger,
  job: Job,
  path: string,
  name: string,
  key: 'kc11' | 'mc',
  value: number | undefined,
  source = 'Planning value',
): Reading {
  if (job[key] !== undefined || value === undefined) return ledger.given(`${path}.${key}`)
  const label = key === 'kc11' ? `${name}: specific force, N/mm²` : `${name}: its exponent`
  return ledger.typical({ id: `job.${job.id}.${key}`, label, dimension: 'number' }, value, source)
}

/** Surface speed that belongs to the wanted rpm, whichever of the two was typed. */
function surfaceAt(ledger: Ledger, job: Job, path: string, name: string, wantedRpm: Reading): Reading {
  if (job.speedRpm === undefined) return jobSurfaceSpeed(ledger, job, path, name) ?? wantedRpm
  const naming = {
    id: `job.${job.id}.surfaceSpeed`,
    label: `${name}: surface speed`,
    dimension: 'surfaceSpeed' as const,
  }
  const diameter = ledger.given(`${path}.diameterMm`)
  const [rpm, mm] = [numberOf(wantedRpm), numberOf(diameter)]
  return rpm === undefined || mm === undefined
    ? ledger.block(naming, [wantedRpm, diameter])
    : ledger.stated(naming, (Math.PI * mm * rpm) / 1000, 'computed', [wantedRpm, diameter], 'v = pi D n / 1000')
}

/** Specific force at a chip thickness, as a figure of its own. */
function atChip(ledger: Ledger, job: Job, name: string, { kc11, mc }: Force, chip: Reading): Reading {
  const naming = {
    id: `job.${job.id}.force`,
    label: `${name}: specific force at its chip, N/mm²`,
    dimension: 'number' as const,
  }
  const [k, m, h] = [kc11, mc, chip].map(numberOf)
  return k === undefined || m === undefined || h === undefined
    ? ledger.block(naming, [kc11, mc, chip])
    : ledger.stated(
        naming,
        specificForce(k, m, Math.max(THINNEST_MM, h)),
        'computed',
        [kc11, mc, chip],
        'kc = kc11 h^-mc, h not under 0.05 mm (Kienzle)',
      )
}

function millingCut(
  ledger: Ledger,
  job: Job,
  path: string,
  name: string,
  wantedRpm: Reading,
  force: Force,
  power: Naming,
): { powerW: Reading } {
  const given = (key: keyof Job) => ledger.given(`${path}.${key}`)
  const { chipMm } = ledger.compute(
    millingChip,
    { chipMm: { id: `job.${job.id}.chip`, label: `${name}: mean chip`, dimension: 'length' } },
    { feedPerToothMm: given('feedMm'), widthMm: given('widthMm'), diameterMm: given('diameterMm') },
  )
  // A fly-cutter has one tooth.
  const teeth = job.kind === 'fly-cutting' && job.teeth === undefined ? 1 : job.teeth
  const naming = { id: `job.${job.id}.tableFeed`, label: `${name}: table feed, mm/min`, dimension: 'number' as const }
  const [rpm, fz] = [numberOf(wantedRpm), job.feedMm]
  const tableFeed =
    rpm === undefined || fz === undefined || teeth === undefined
      ? ledger.block(naming, [wantedRpm, given('feedMm'), ...(teeth === undefined ? [given('teeth')] : [])])
      : ledger.stated(naming, fz * teeth * rpm, 'computed', [given('feedMm'), wantedRpm], 'vf = fz z n')
  return ledger.compute(
    milling,
    { powerW: power },
    {
      specificForce: isKnown(chipMm) ? atChip(ledger, job, name, force, chipMm) : chipMm,
      depthMm: given('depthMm'),
      widthMm: given('widthMm'),
      feedMmPerMin: tableFeed,
    },
  )
}
