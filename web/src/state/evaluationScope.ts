import type { Evaluation } from '@zesty/core'
import { createContext } from 'react'

/** What the figures below it are read from. */
export type Scope = Pick<Evaluation, 'figures' | 'blocked'>

/** Figures of another evaluation than the open plan's: a motor or route thought of, held beside it. */
export const EvaluationScope = createContext<Scope | undefined>(undefined)
