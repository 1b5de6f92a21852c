import { removeDraft, writeDraft, type Draft } from './draft'
import { opened } from './planSlice'
import type { store } from './store'

type Judged = Pick<Parameters<typeof opened>[0], 'conversion' | 'evaluation' | 'unsent'>

/**
 * Opens a conversion as a tab that is gone had left it. Where the server went on meanwhile, both sides are shown; the draft
 * is this tab's own from here on.
 */
export const takeDraft =
  (judged: Judged, draft: Draft) => (dispatch: typeof store.dispatch, getState: typeof store.getState) => {
    const { conversion } = judged
    const continues =
      draft.baseRevision === conversion.revision || JSON.stringify(draft.plan) === JSON.stringify(conversion.plan)
    dispatch(opened({ ...judged, draft, ...(continues ? {} : { theirs: conversion }) }))
    const { open } = getState().plan
    if (open && writeDraft(open)) removeDraft(draft)
  }
