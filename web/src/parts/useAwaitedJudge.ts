import { use } from 'react'
import { awaitJudge, type Judging } from '../state/judging'
import { useAppDispatch, useAppSelector } from '../state/store'

/** What judges, and makes what stages show. Whoever cannot do without waits for it; throws where it cannot be had. */
export function useAwaitedJudge(canDoWithout: boolean): Judging {
  const dispatch = useAppDispatch()
  const judging = useAppSelector((state) => state.judging)
  if (judging.judge || canDoWithout) return judging
  if (judging.lost)
    throw new Error('What works this out could not be fetched: is the server there? Load the page again.')
  use(awaitJudge(dispatch))
  return judging
}
