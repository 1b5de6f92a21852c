import { use } from 'react'
import { awaitJudge, type Judging } from '../state/judging'
import { useAppDispatch, useAppSelector } from '../state/store'

/** What judges, and makes what stages show. Whoever cannot do without waits for it; throws where it cannot be had. */
export function useAwaitedJudge(canDoWithout: boolean): Judging {
  const dispatch = useAppDispatch()
  const judging = useAppSelector((state) => state.judging)
  if (judging.judge || canDoWithout) return judging
  if (judging.lost) throw new Error('what works it out could not be fetched. Is the server there?')
  use(awaitJudge(dispatch))
  return judging
}
