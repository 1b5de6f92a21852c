import { Download, History, Keyboard, Moon, Printer, Redo2, Ruler, Search, Undo2 } from 'lucide-react'
import { Link } from 'react-router'
import { api } from '../state/api'
import { Brand } from '../parts/Brand'
import { RightsNote } from '../parts/RightsNote'
import { printStage } from '../state/printing'
import { overlayChanged } from '../state/screenSlice'
import { useAppDispatch } from '../state/store'
import { switchTheme } from '../state/theme'
import { useSwitchUnits } from '../state/useSwitchUnits'
import { useConversionId, useOpen, usePlan, useShopId } from '../state/openPlan'
import { useUnits } from '../state/units'
import { makeAgain, takeBack } from '../state/takeBack'

/** Where we are, whether it is kept, and what can be done everywhere. */
export function TopBar() {
  const dispatch = useAppDispatch()
  const plan = usePlan()
  const id = useConversionId()
  const shopId = useShopId()
  const lastUndo = useOpen(({ undo }) => undo[undo.length - 1]?.label)
  const lastRedo = useOpen(({ redo }) => redo[redo.length - 1]?.label)
  const units = useUnits()
  const { data: shop } = api.useShopQuery(shopId)
  const switchUnits = useSwitchUnits(shopId, units)
  const icon = 'btn btn-quiet w-11 shrink-0 px-0'
  return (
    <header className="flex min-h-[56px] flex-wrap items-center gap-x-3 gap-y-1 border-b border-rule px-3 py-1 sm:px-4">
      <Brand />
      <nav
        aria-label="Where you are"
        className="flex min-w-0 flex-1 items-center gap-2 text-[16px] max-md:order-last max-md:basis-full"
      >
        <Link
          to={`/shops/${shopId}`}
          className="hidden min-h-11 items-center text-ink-2 underline-offset-4 hover:underline sm:flex"
        >
          {shop?.name ?? 'Shop'}
        </Link>
        <span className="hidden text-ink-2 sm:inline" aria-hidden="true">
          /
        </span>
        <span className="min-w-0 leading-tight font-semibold break-words">{plan.name}</span>
      </nav>
      <KeptState />
      <RightsNote />
      <div className="flex items-center gap-1.5">
        <button
          type="button"
          className={icon}
          disabled={!lastUndo}
          aria-label={lastUndo ? `Undo: ${lastUndo}` : 'Undo'}
          title={lastUndo ? `Undo: ${lastUndo}` : 'Undo'}
          onClick={() => takeBack()}
        >
          <Undo2 size={20} aria-hidden="true" />
        </button>
        <button
          type="button"
          className={icon}
          disabled={!lastRedo}
          aria-label={lastRedo ? `Redo: ${lastRedo}` : 'Redo'}
          title={lastRedo ? `Redo: ${lastRedo}` : 'Redo'}
          onClick={() => makeAgain()}
        >
          <Redo2 size={20} aria-hidden="true" />
        </button>
        <button
          type="button"
          className={`${icon} hidden sm:inline-flex`}
          aria-label="Revisions"
          title="Revisions"
          onClick={() => dispatch(overlayChanged('revisions'))}
        >
          <History size={20} aria-hidden="true" />
        </button>
        <a
          className={`${icon} hidden sm:inline-flex`}
          href={`/api/conversions/${id}/export`}
          download={`${plan.name.replace(/[^\w -]+/g, '').trim() || 'conversion'}.json`}
          aria-label="Export as a file"
          title="Export as a file"
        >
          <Download size={20} aria-hidden="true" />
        </a>
        <button
          type="button"
          className={`${icon} hidden sm:inline-flex`}
          aria-label="Print this stage"
          title="Print this stage"
          onClick={() => void printStage()}
        >
          <Printer size={20} aria-hidden="true" />
        </button>
        <button
          type="button"
          className={`${icon} hidden w-auto px-2.5 sm:inline-flex`}
          title="Switch units"
          onClick={switchUnits}
        >
          <Ruler size={18} aria-hidden="true" /> {units === 'metric' ? 'mm, kW' : 'in, hp'}
        </button>
        <button
          type="button"
          className={`${icon} hidden md:inline-flex`}
          aria-label="Light or dark"
          title="Light or dark"
          onClick={switchTheme}
        >
          <Moon size={20} aria-hidden="true" />
        </button>
        <button
          type="button"
          className={`${icon} hidden md:inline-flex`}
          aria-label="Keys"
          title="Keys"
          onClick={() => dispatch(overlayChanged('keys'))}
        >
          <Keyboard size={20} aria-hidden="true" />
        </button>
        <button type="button" className={`${icon} w-auto px-3`} onClick={() => dispatch(overlayChanged('palette'))}>
          <Search size={18} aria-hidden="true" /> <span className="sr-only sm:not-sr-only">Find</span>{' '}
          <kbd className="hidden font-sans text-ink-2 md:inline">/</kbd>
        </button>
      </div>
    </header>
  )
}

const clock = new Intl.DateTimeFormat('en-GB', { hour: '2-digit', minute: '2-digit' })

const heldWords = {
  browser: 'What you typed is kept in this browser.',
  page: 'This browser keeps nothing: what you typed is only on this page, so leave it open.',
  server: '',
} as const

/** Kept, keeping, or waiting for the server; in words, announced as it changes. */
function KeptState() {
  const keeping = useOpen((open) => open.keeping)
  const heldBy = useOpen((open) => open.heldBy)
  const words = {
    kept: () => (keeping.state === 'kept' ? `Kept ${clock.format(new Date(keeping.at))}` : ''),
    keeping: () => 'Keeping',
    waiting: () => (heldBy === 'page' ? 'Only on this page' : 'Waiting for the server'),
    refused: () => (heldBy === 'page' ? 'Only on this page' : 'Not kept'),
  }[keeping.state]()
  const colour = { kept: 'text-green', keeping: 'text-ink-2', waiting: 'text-brass', refused: 'text-oxide' }[
    keeping.state
  ]
  const why =
    keeping.state === 'waiting'
      ? `${keeping.why} ${heldWords[heldBy]} It is sent when the server is back.`
      : keeping.state === 'refused'
        ? `${keeping.why} ${heldWords[heldBy]}`
        : undefined
  return (
    <span role="status" className={`shrink-0 max-md:flex-1 text-[15px] font-medium ${colour}`} title={why}>
      {words}
      {why && <span className="sr-only">. {why}</span>}
    </span>
  )
}
