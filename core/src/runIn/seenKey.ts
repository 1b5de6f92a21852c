import type { RunInStage, SeenItem } from './stage'

/** Where an answer to something seen is kept. */
export const seenKey = (stage: Pick<RunInStage, 'id'>, item: Pick<SeenItem, 'id'>): string => `${stage.id}.${item.id}`
