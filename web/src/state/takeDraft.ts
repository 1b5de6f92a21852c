import { mergePlans } from '@zesty/core'
import { removeDraft, writeDraft, type Draft } from './draft'
import { opened } from './planSlice'
import type { store } from './store'

type Judged = Pick<Parameters<typeof opened>[0], 'conversion' | 'measured' | 'evaluation' | 'parts' | 'unsent'>

/**
 * Opens a conversion as a tab that is gone had left it; the draft is this tab's own from here on. Where the server went on
 * meanwhile in other places, both are kept; where it changed the same, both sides are shown.
 */
export const takeDraft =
  (judged: Judged, draft: Draft) =>
  (dispatch: typeof store.dispatch, getState: typeof store.getState): void => {
    const { conversion } = judged
    const continues =
      draft.baseRevision === conversion.revision || JSON.stringify(draft.plan) === JSON.stringify(conversion.plan)
    const together = continues ? draft.plan : draft.base && mergePlans(draft.base, draft.plan, conversion.plan)
    if (together) dispatch(opened({ ...judged, draft: { ...draft, plan: together } }))
    else dispatch(opened({ ...judged, draft, theirs: conversion }))
    const { open } = getState().plan
    if (open && writeDraft(open)) removeDraft(draft)
  }
