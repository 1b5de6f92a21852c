import { asKind } from './asKind'
import { motorSchema } from './motorPlate'
import { transmissionStageSchema } from './transmissionStage'

type Tree = Record<string, unknown>

const isTree = (value: unknown): value is Tree => typeof value === 'object' && value !== null && !Array.isArray(value)
const list = (value: unknown): Tree[] => (Array.isArray(value) ? value.filter(isTree) : [])

/** What a table holds under a key from outside, which may be one that every object has. */
const own = <T>(table: Readonly<Record<string, T>>, key: string): T | undefined =>
  Object.hasOwn(table, key) ? table[key] : undefined

/** The tree under other keys; a key without a new name stays. */
const renamed = (tree: unknown, names: Readonly<Record<string, string>>): Tree =>
  Object.fromEntries(Object.entries(isTree(tree) ? tree : {}).map(([key, value]) => [own(names, key) ?? key, value]))

const motorKinds: Readonly<Record<string, string>> = {
  'three-phase': 'induction',
  'two-speed': 'pole-changing',
  'one-winding': 'pole-changing',
  stepper: 'servo',
}

/** A motor by its kind; what its kind does not have goes. */
export function motorOf(motor: unknown): unknown {
  if (!isTree(motor)) return motor
  const { kind: was, ...rest } = motor
  const kind = typeof was === 'string' ? (own(motorKinds, was) ?? was) : undefined
  const known = motorSchema.options.some(({ shape }) => shape.kind.safeParse(kind).success)
  // What was never valid is left as it is, for the schema to say so.
  if (!known) return motor
  return asKind(motorSchema, was === 'one-winding' ? { ...rest, oneWinding: true } : rest, kind)
}

/** Keys under which sizes go that were all called millimetres. */
const sizes: Readonly<Record<string, readonly [driver: string, driven: string]>> = {
  'gear-pair': ['driverTeeth', 'drivenTeeth'],
  'timing-belt': ['driverTeeth', 'drivenTeeth'],
  worm: ['starts', 'wheelTeeth'],
}

/** A stage by its kind: teeth are teeth, and what its kind does not have goes. */
function transmissionStage(stage: Tree): unknown {
  const { kind, driverMm, drivenMm, ...rest } = renamed(stage, { pressN: 'deflectionForceN', pressMm: 'deflectionMm' })
  const known = transmissionStageSchema.options.some(({ shape }) => shape.kind.safeParse(kind).success)
  if (!known || (kind !== undefined && typeof kind !== 'string')) return stage
  const [driver, driven] = own(sizes, kind ?? '') ?? ['driverMm', 'drivenMm']
  const sized = { ...rest, [driver]: driverMm, [driven]: drivenMm }
  const turns = typeof driverMm === 'number' && typeof drivenMm === 'number' && driverMm > 0 ? drivenMm / driverMm : 1
  // Two shafts coupled directly turn alike; sizes that said otherwise were a gearbox's.
  return kind === 'direct' && turns !== 1
    ? asKind(transmissionStageSchema, { reduction: turns }, 'gearbox')
    : asKind(transmissionStageSchema, sized, kind)
}

const position = ({ stages, ...rest }: Tree): Tree => ({
  ...renamed(rest, { shakesHz: 'resonanceHz' }),
  transmission: list(stages).map(transmissionStage),
})

/** A resistor that was said to be fitted is one of unknown ohms. */
export function driveOf(drive: unknown): unknown {
  if (!isTree(drive)) return drive
  const { resistorFitted, ...rest } = drive
  return resistorFitted === true ? { ...rest, resistor: {} } : rest
}

const supplyNames = {
  circuitId: 'branchCircuitId',
  source: 'supplyUnit',
  sourceW: 'supplyUnitW',
  sourceVA: 'supplyUnitVA',
  joining: 'plugOrFixed',
}

export const supplyOf = (supply: unknown): unknown => (isTree(supply) ? renamed(supply, supplyNames) : supply)

/**
 * Version 3: motors and stages of a train are told apart by their kinds, with teeth as teeth; a brake resistor is what
 * is known of it; and things bear the names that the rest of the product calls them by.
 */
export function toVersion3(document: Tree): Tree {
  const { mount, survey, supply, motor, drive, candidates, overrides, ...rest } = document
  const plates = (of: unknown, read: (plate: unknown) => unknown) =>
    list(of).map((c) => ({ ...c, plate: read(c['plate']) }))
  return {
    ...rest,
    survey: isTree(survey) ? { ...survey, positions: list(survey['positions']).map(position) } : survey,
    supply: supplyOf(supply),
    motor: motorOf(motor),
    drive: driveOf(drive),
    installation: mount,
    candidates: isTree(candidates)
      ? { ...candidates, motors: plates(candidates['motors'], motorOf), drives: plates(candidates['drives'], driveOf) }
      : candidates,
    overrides: renamed(overrides, { sourceEfficiency: 'supplyUnitEfficiency' }),
  }
}
