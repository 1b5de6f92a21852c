import { browserStorage } from './browserStorage'

const PREFIX = 'zesty.draft.'

export const draftKey = (conversionId: string, tab: string): string => `${PREFIX}${conversionId}.${tab}`

/** Conversion and tab of a key; undefined for what is no draft's. */
export function readDraftKey(key: string): { conversionId: string; tab: string } | undefined {
  if (!key.startsWith(PREFIX)) return undefined
  const [conversionId = '', tab = ''] = key.slice(PREFIX.length).split('.')
  return { conversionId, tab }
}

/** Whether anything was typed in this browser that is not on the server, without reading what. */
export const hasDrafts = (): boolean => browserStorage.keys().some((key) => key.startsWith(PREFIX))
