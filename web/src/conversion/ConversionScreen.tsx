import { stageIds, type StageId } from '@zesty/core'
import { lazy, Suspense, useEffect, useState, type LazyExoticComponent, type ReactNode } from 'react'
import { useNavigate, useParams } from 'react-router'
import { fetchStage } from '../stages/fetchStage'
import { api, problemText } from '../state/api'
import { notice } from '../state/notice'
import { passedForgotten, stageOpened } from '../state/screenSlice'
import { useAppDispatch, useAppSelector } from '../state/store'
import { UnitsOfShop } from '../state/UnitsOfShop'
import { Chain } from './Chain'
import { ChainLine } from './ChainLine'
import { unsentDrafts } from '../state/unsent'
import { Findings } from './Findings'
import { FoldedLine } from './FoldedLine'
import { FirstVerdict } from './FirstVerdict'
import { Overlays } from './Overlays'
import { closed, opened } from '../state/planSlice'
import { takeDraft } from '../state/takeDraft'
import { useAskAgain } from '../state/useAskAgain'
import { useKeptOnClose } from '../state/useKeptOnClose'
import { PrintHead } from './PrintHead'
import { RouteCard } from './RouteCard'
import { TopBar } from './TopBar'
import { CatchHere } from '../parts/CatchHere'
import { fetchJudge } from '../state/judging'
import { useSendPhotos } from '../photos/sendPhotos'
import { useSendHeld } from '../state/sendHeld'
import { useJudge } from './useJudge'
import { useFolds } from './useFolds'
import { useKeys } from './useKeys'
import { useStageScroll } from './useStageScroll'

/** Each is fetched when it is first opened. */
const surfaces = Object.fromEntries(stageIds.map((id) => [id, lazy(() => fetchStage(id))])) as Record<
  StageId,
  LazyExoticComponent<() => ReactNode>
>

const stageIn = (address: string | undefined): StageId => stageIds.find((s) => s === address) ?? 'survey'

/** Loads a conversion, lays over it what this browser had not sent yet, and shows it. */
export function ConversionScreen() {
  const { id = '', stage } = useParams()
  const dispatch = useAppDispatch()
  const isOpen = useAppSelector((state) => state.plan.open?.id === id)
  const [at] = useState(() => stageIn(stage))
  const { data, error, refetch } = api.useConversionQuery({ id, stage: at }, { refetchOnMountOrArgChange: true })
  useAskAgain(error, refetch)

  useEffect(() => {
    if (data?.conversion.id !== id) return
    let left = false
    const open = async () => {
      const unsent = (await unsentDrafts()).filter(({ conversionId }) => conversionId === id)
      const [draft] = unsent
      // What is laid over it has not been judged by anybody.
      if (draft) await dispatch(fetchJudge())
      if (left) return
      // One that was left behind goes on where it ended; of several somebody must say which.
      if (draft && unsent.length === 1) dispatch(takeDraft(data, draft))
      else dispatch(opened({ ...data, unsent }))
    }
    void open()
    return () => {
      left = true
    }
  }, [data, id, dispatch])
  useEffect(
    () => () => {
      dispatch(closed())
      dispatch(passedForgotten())
    },
    [id, dispatch],
  )
  // Its screen comes while the plan does.
  useEffect(() => void fetchStage(stageIn(stage)), [stage])

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

/** Of the route card, the stage and the findings, by what is folded away. */
const widths = {
  'card-findings': 'lg:grid-cols-[196px_minmax(0,1fr)_306px]',
  card: 'lg:grid-cols-[196px_minmax(0,1fr)]',
  'numbers-findings': 'lg:grid-cols-[60px_minmax(0,1fr)_306px]',
  numbers: 'lg:grid-cols-[60px_minmax(0,1fr)]',
} as const

function OpenConversion() {
  const { id = '', stage: inAddress } = useParams()
  const navigate = useNavigate()
  const dispatch = useAppDispatch()
  const stage = stageIn(inAddress)
  const name = useAppSelector((state) => state.plan.open?.plan.name)
  const shopId = useAppSelector((state) => state.plan.open?.shopId)
  const merges = useAppSelector((state) => state.plan.open?.merges)
  const wanted = useAppSelector((state) => state.screen.wantedStage)
  const Surface = surfaces[stage]
  const { isFolded } = useFolds(stage)
  const columns = widths[`${isFolded('card') ? 'numbers' : 'card'}${isFolded('findings') ? '' : '-findings'}`]

  useEffect(() => {
    if (!wanted) return
    dispatch(stageOpened())
    void navigate(`/conversions/${id}/${wanted}`)
  }, [wanted, id, navigate, dispatch])
  useEffect(() => {
    document.title = `${name ?? ''} - Zesty Lathe`
  }, [name])
  useEffect(() => {
    if (merges !== undefined && merges > 0) notice('It was changed elsewhere too, in other places. Both are kept.')
  }, [merges])
  useKeys(stage)
  useStageScroll(stage)
  useJudge()
  useSendHeld()
  useSendPhotos()
  useKeptOnClose()

  return (
    <UnitsOfShop shopId={shopId}>
      <div className="flex min-h-screen flex-col lg:h-screen lg:overflow-hidden">
        <a
          href="#surface"
          className="skip absolute top-0 left-0 z-50 flex min-h-11 -translate-y-full items-center bg-card px-3 font-semibold text-blue underline underline-offset-4 focus:translate-y-0"
        >
          Skip to the stage
        </a>
        <TopBar />
        <Chain folded={isFolded('chain')} />
        <ChainLine />
        <FoldedLine stage={stage} />
        <div className={`flex min-h-0 flex-1 flex-col lg:grid ${columns}`}>
          <RouteCard stage={stage} />
          <main
            id="surface"
            tabIndex={-1}
            className="@container min-w-0 px-3 py-3.5 outline-none sm:px-[18px] lg:overflow-auto"
          >
            <PrintHead stage={stage} />
            <FirstVerdict />
            <CatchHere key={stage} onAgain={() => dispatch(fetchJudge())}>
              <Suspense fallback={<p className="lead">Opening the stage</p>}>
                <Surface />
              </Suspense>
            </CatchHere>
          </main>
          <Findings stage={stage} folded={isFolded('findings')} />
        </div>
        <Overlays />
      </div>
    </UnitsOfShop>
  )
}
