import { z } from 'zod'
import { paperKinds, type PaperKind } from '../papers/paper'

export const paperKindParameterSchema = z.enum(Object.keys(paperKinds) as [PaperKind, ...PaperKind[]])
export const paperSizeParameterSchema = z.enum(['a4', 'letter'])
