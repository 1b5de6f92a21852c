import type { ReactNode } from 'react'

interface StageModule {
  default: () => ReactNode
}

/** The screen of a stage: `Stage.tsx` of the folder that bears its name. Rejects where there is none. */
export const fetchStage = (id: string) => import(`./${id}/Stage.tsx`) as Promise<StageModule>
