import type { StageId } from './stages'

interface ChainLinkRow {
  name: string
  /** The stage that a press on it opens. */
  stage: StageId
}

/** The chain from wall to spindle. */
export const chainLinks = {
  wall: { name: 'Wall', stage: 'survey' },
  drive: { name: 'Drive', stage: 'drive' },
  motor: { name: 'Motor', stage: 'motor' },
  belts: { name: 'Belts', stage: 'survey' },
  spindle: { name: 'Spindle', stage: 'speeds' },
} as const satisfies Record<string, ChainLinkRow>

export type ChainLinkId = keyof typeof chainLinks

export const chainLinkIds = Object.keys(chainLinks) as ChainLinkId[]
