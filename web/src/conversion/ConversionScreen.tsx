import { readPlan, stageIds, type StageId } from '@zesty/core'
import { lazy, Suspense, useEffect } from 'react'
import { useNavigate, useParams } from 'react-router'
import { api, problemText } from '../app/api'
import { useAppDispatch, useAppSelector } from '../app/store'
import { navigation } from '../parts/goToField'
import { Chain } from './Chain'
import { readDraft } from './draft'
import { Findings } from './Findings'
import { FirstVerdict } from './FirstVerdict'
import { Overlays } from './Overlays'
import { closed, opened } from './planSlice'
import { RouteCard } from './RouteCard'
import { TopBar } from './TopBar'
import { useKeys } from './useKeys'

const stages: Record<StageId, React.LazyExoticComponent<() => React.ReactNode>> = {
  survey: lazy(() => import('../stages/survey/SurveyStage').then((m) => ({ default: m.SurveyStage }))),
  route: lazy(() => import('../stages/route/RouteStage').then((m) => ({ default: m.RouteStage }))),
  motor: lazy(() => import('../stages/motor/MotorStage').then((m) => ({ default: m.MotorStage }))),
  drive: lazy(() => import('../stages/drive/DriveStage').then((m) => ({ default: m.DriveStage }))),
  speeds: lazy(() => import('../stages/speeds/SpeedsStage').then((m) => ({ default: m.SpeedsStage }))),
  settings: lazy(() => import('../stages/settings/SettingsStage').then((m) => ({ default: m.SettingsStage }))),
}

/** Loads a conversion, lays over it what this browser had not sent yet, and shows it. */
export function ConversionScreen() {
  const { id = '' } = useParams()
  const dispatch = useAppDispatch()
  const isOpen = useAppSelector((state) => state.plan.open?.id === id)
  const { data, error, refetch } = api.useConversionQuery(id, { refetchOnMountOrArgChange: true })

  useEffect(() => {
    if (!data || data.id !== id) return
    const read = readPlan(data.plan)
    if (!read.ok) return
    const conversion = { ...data, plan: read.value }
    const draft = readDraft(id)
    if (!draft) dispatch(opened({ conversion }))
    else if (draft.baseRevision === data.revision || JSON.stringify(draft.plan) === JSON.stringify(read.value))
      dispatch(opened({ conversion, draft: draft.plan, typed: draft.typed }))
    else dispatch(opened({ conversion, draft: draft.plan, typed: draft.typed, theirs: conversion }))
  }, [data, id, dispatch])
  useEffect(() => () => void dispatch(closed()), [id, dispatch])

  if (isOpen) return <OpenConversion />
  if (error)
    return (
      <main className="mx-auto flex max-w-[560px] flex-col gap-3 p-8">
        <h1 className="h-stage">This conversion cannot be opened</h1>
        <p>{problemText(error)} Nothing you typed is lost.</p>
        <div className="flex gap-2">
          <button type="button" className="btn btn-main" onClick={() => void refetch()}>
            Try again
          </button>
          <a className="btn" href="/">
            To your shops
          </a>
        </div>
      </main>
    )
  return (
    <main className="p-8">
      <p className="lead">Opening the conversion</p>
    </main>
  )
}

function OpenConversion() {
  const { id = '', stage: wanted } = useParams()
  const navigate = useNavigate()
  const stage: StageId = stageIds.find((s) => s === wanted) ?? 'survey'
  const plan = useAppSelector((state) => state.plan.open?.plan)
  const Surface = stages[stage]

  useEffect(() => {
    navigation.openStage = (next) => void navigate(`/conversions/${id}/${next}`)
  }, [id, navigate])
  useEffect(() => {
    document.title = `${plan?.name ?? ''} - Zesty Lathe`
  }, [plan?.name])
  useKeys(stage)

  return (
    <div className="flex min-h-screen flex-col lg:h-screen lg:overflow-hidden">
      <TopBar />
      <Chain />
      <div className="flex min-h-0 flex-1 flex-col lg:grid lg:grid-cols-[196px_minmax(0,1fr)_306px]">
        <RouteCard stage={stage} />
        <main id="surface" tabIndex={-1} className="min-w-0 px-3 py-3.5 outline-none sm:px-[18px] lg:overflow-auto">
          <FirstVerdict />
          <Suspense fallback={<p className="lead">Opening the stage</p>}>
            <Surface />
          </Suspense>
        </main>
        <Findings stage={stage} />
      </div>
      <Overlays />
    </div>
  )
}
