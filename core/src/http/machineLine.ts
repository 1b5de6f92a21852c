import { z } from 'zod'
import { chainLinkSchema, nextStepSchema, stageLineSchema } from '../evaluate/evaluationSchema'
import { machineKinds, type MachineKind } from '../plan'

const stored = { id: z.uuid(), name: z.string(), revision: z.number().int().min(1), savedAt: z.iso.datetime() }

const count = z.number().int().min(0)

/** A machine as the shop's page shows it. */
export const readableLineSchema = z.strictObject({
  ...stored,
  machineKind: z.enum(Object.keys(machineKinds) as [MachineKind, ...MachineKind[]]).optional(),
  /** Of its motor, and the amps it takes from the wall, where they are known. */
  powerW: z.number().optional(),
  inputA: z.number().optional(),
  branchCircuitId: z.string().optional(),
  chain: z.array(chainLinkSchema),
  stages: z.array(stageLineSchema),
  stops: count,
  watches: count,
  next: nextStepSchema,
  /** The next thing to do at the machine; nothing where nothing is left. */
  task: z.string().optional(),
})

/** A machine whose stored plan this release cannot read; it can be exported as it is. */
export const unreadableLineSchema = z.strictObject({ ...stored, unreadable: z.string() })

export const machineLineSchema = z.union([readableLineSchema, unreadableLineSchema])

export type ReadableLine = z.output<typeof readableLineSchema>
export type UnreadableLine = z.output<typeof unreadableLineSchema>
export type MachineLine = ReadableLine | UnreadableLine

/** Whether this release could read the machine's stored plan. */
export const isReadable = (line: MachineLine): line is ReadableLine => !('unreadable' in line)
