import { useEffect } from 'react'
import { selectIsBehind } from '../state/evaluation'
import { fetchJudge } from '../state/judging'
import { usePlan } from '../state/openPlan'
import { useAppDispatch, useAppSelector } from '../state/store'

/** What a person does before changing anything. */
const touches = ['pointermove', 'pointerdown', 'keydown', 'focusin'] as const

/** Brings the judge at the first touch, so that it is there before the first change; after a failure, at every change. */
export function useJudge(): void {
  const dispatch = useAppDispatch()
  const plan = usePlan()
  const isBehind = useAppSelector(selectIsBehind)
  useEffect(() => {
    const bring = () => void dispatch(fetchJudge())
    for (const touch of touches) window.addEventListener(touch, bring, { once: true, passive: true })
    return () => {
      for (const touch of touches) window.removeEventListener(touch, bring)
    }
  }, [dispatch])
  useEffect(() => {
    if (isBehind) void dispatch(fetchJudge())
  }, [isBehind, plan, dispatch])
}
