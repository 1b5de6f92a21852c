import { measurementKinds, type MeasurementKind, type Reading } from '../readings/measurement'
import type { Dimension } from '../quantities'

export const buildParts = {
  arrive: 'It arrives',
  'as-found': 'As it was found',
  bond: 'Bonded and measured',
  power: 'Power wires',
  'first-power': 'First power',
  'first-spin': 'First spin',
  control: 'Control wires',
  prove: 'Stops proved',
  mount: 'On the machine',
  finish: 'Before it is used',
} as const
export type BuildPart = keyof typeof buildParts

/** Something to measure at a step, with what it should be. */
export interface StepReading {
  id: string
  label: string
  /** What row among the readings of the machine it is. */
  row: { kind: MeasurementKind; of: string; lead?: 'u' | 'v' | 'w' }
  dimension: Dimension
  least?: number
  most?: number
  /** Readings of one name must be alike within this share of their mean. */
  alike?: number
}

/** Something to measure, as a row among the readings of the machine; what it is of is its label unless said. */
export function stepReading(
  id: string,
  label: string,
  kind: MeasurementKind,
  limits: Pick<StepReading, 'least' | 'most' | 'alike'>,
  more: { of?: string; lead?: 'u' | 'v' | 'w' } = {},
): StepReading {
  const row = { kind, of: more.of ?? label, ...(more.lead === undefined ? {} : { lead: more.lead }) }
  return { id, label, row, dimension: measurementKinds[kind].dimension, ...limits }
}

/** Whether a reading of the machine is what a step asks for. */
export const isOfStep = ({ row }: StepReading, reading: Pick<Reading, 'kind' | 'of' | 'lead'>): boolean =>
  reading.kind === row.kind && reading.of === row.of && reading.lead === row.lead

/** What was read at a step: of each thing the newest reading of the machine, by the step's own names. */
export function readAtStep(
  step: Pick<BuildStep, 'readings'>,
  before: Readonly<Record<string, number>> | undefined,
  readings: readonly Reading[],
): Record<string, number> {
  const read = { ...before }
  const taken: Record<string, string> = {}
  for (const reading of readings)
    for (const asked of step.readings)
      if (isOfStep(asked, reading) && reading.takenAt >= (taken[asked.id] ?? '')) {
        taken[asked.id] = reading.takenAt
        read[asked.id] = reading.value
      }
  return read
}

/** One step of the work: what to do, which wires, what is then seen or measured. */
export interface BuildStep {
  id: string
  part: BuildPart
  title: string
  /** What to do, one thing a line. */
  do: string[]
  /** Keys of the wires that are made here. */
  wires: string[]
  /** What should be seen then. */
  sees: string[]
  readings: StepReading[]
  /** Shown where the work is done. */
  caution?: string
  /** Where the code asks for a licence, only who has one does this. */
  licensed?: boolean
  /** What to do where it was not as it should be, and the question that a wrong answer gives. */
  wrong?: { ask: string; steps: string[]; swaps?: readonly [string, string] }
  /** Left for later it is a loose end; and where it is a stop the machine may not be used. */
  looseEnd?: { what: string; stop: boolean }
}

export type ReadingVerdict = 'good' | 'wrong' | 'open'

/** Whether what was read at a step is as it should be. */
export function judgeReading(
  reading: StepReading,
  readings: Readonly<Record<string, number>>,
  all: readonly StepReading[],
): ReadingVerdict {
  const value = readings[reading.id]
  if (value === undefined) return 'open'
  if (reading.least !== undefined && value < reading.least) return 'wrong'
  if (reading.most !== undefined && value > reading.most) return 'wrong'
  if (reading.alike !== undefined) {
    const others = all
      .filter((r) => r.alike !== undefined && r.dimension === reading.dimension)
      .map((r) => readings[r.id])
    if (others.some((v) => v === undefined)) return 'open'
    const known = others as number[]
    const mean = known.reduce((sum, v) => sum + v, 0) / known.length
    if (known.some((v) => Math.abs(v - mean) > (reading.alike ?? 0) * mean)) return 'wrong'
  }
  return 'good'
}
