import { z } from 'zod'
import { problemSchema } from './problem'
import { paperKinds, type PaperKind } from '../papers/paper'

export const paperKindParameterSchema = z.enum(Object.keys(paperKinds) as [PaperKind, ...PaperKind[]])
export const paperSizeParameterSchema = z.enum(['a4', 'letter'])

/** How far a paper is. */
export const paperProgressSchema = z.strictObject({ done: z.number().int(), of: z.number().int().min(1) })

/** A paper that is made: what it is called, and its PDF as base64. */
export const madePaperSchema = z.strictObject({ name: z.string(), pdf: z.base64() })

/** What is told while a paper is made, each as the event of its name. */
export const paperEvents = { progress: paperProgressSchema, paper: madePaperSchema, problem: problemSchema } as const
export type PaperEvents = { [K in keyof typeof paperEvents]: z.output<(typeof paperEvents)[K]> }
