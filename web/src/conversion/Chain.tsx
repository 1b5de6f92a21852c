import { chainLinks, type ChainLink } from '@zesty/core'
import { Mark } from '../parts/Mark'
import { openStage } from '../state/goToField'
import { Text } from '../parts/Text'
import { selectIsBehind, useEvaluation } from '../state/evaluation'
import { useAppSelector } from '../state/store'

const edge: Record<ChainLink['state'], string> = {
  stop: 'border-oxide shadow-[inset_0_3px_0_var(--oxide)]',
  watch: 'border-brass shadow-[inset_0_3px_0_var(--brass)]',
  note: 'border-rule shadow-[inset_0_3px_0_var(--green)]',
  ok: 'border-rule shadow-[inset_0_3px_0_var(--green)]',
  open: 'border-dashed border-edge',
}

/** Wall to spindle, always in view; every change answers here at once. */
export function Chain({ folded = false }: { folded?: boolean }) {
  const { chain } = useEvaluation()
  const isBehind = useAppSelector(selectIsBehind)
  const isLost = useAppSelector((state) => state.judging.lost)
  return (
    <>
      {isBehind && isLost && <Behind />}
      <nav
        aria-busy={isBehind}
        aria-label="The chain from wall to spindle"
        className={`overflow-x-auto border-b border-rule px-3 py-2.5 sm:px-4 ${folded ? 'lg:hidden print:block' : ''}`}
        tabIndex={-1}
      >
        <ol className="flex min-w-max items-stretch lg:grid lg:min-w-0 lg:grid-cols-[1fr_22px_1fr_22px_1.2fr_22px_0.95fr_22px_1.1fr]">
          {chain.map((link, i) => (
            <ChainItem key={link.id} link={link} first={i === 0} />
          ))}
        </ol>
      </nav>
    </>
  )
}

/** Verdicts that no longer belong to the plan must not pass for verdicts on it. */
function Behind() {
  return (
    <p role="alert" className="flex flex-wrap items-center gap-3 border-b border-oxide px-4 py-2">
      <Mark kind="stop" />
      <span className="min-w-0 flex-1 basis-60">
        What is said here is from before your change: the page could not fetch what works it out. Nothing you typed is
        lost.
      </span>
      <button type="button" className="btn" onClick={() => window.location.reload()}>
        Load the page again
      </button>
    </p>
  )
}

function ChainItem({ link, first }: { link: ChainLink; first: boolean }) {
  return (
    <>
      {!first && (
        <li role="presentation" aria-hidden="true" className="relative h-[2px] w-5 self-center bg-ink lg:w-auto">
          <span className="absolute -top-[3px] -left-1 size-2 rounded-full border-2 border-ink bg-paper" />
          <span className="absolute -top-[3px] -right-1 size-2 rounded-full border-2 border-ink bg-paper" />
        </li>
      )}
      <li className="min-w-0">
        <button
          type="button"
          onClick={() => openStage(chainLinks[link.id].stage)}
          className={`block h-full w-full min-w-[150px] overflow-hidden rounded-lg border bg-card px-3 pt-2 pb-1.5 text-left lg:min-w-0 ${edge[link.state]}`}
        >
          <span className="flex items-center justify-between gap-2 font-cond text-[15px] leading-tight font-semibold text-ink-2">
            {link.name}
            <Mark kind={link.state === 'note' ? 'ok' : link.state} />
          </span>
          <span
            className={`block font-cond leading-[1.15] font-semibold ${link.state === 'open' ? 'text-[19px] text-ink-2' : 'text-[22px]'}`}
          >
            <Text said={link.headline} />
          </span>
          <span className="block font-cond text-[16px] leading-tight font-medium text-ink-2">
            <Text said={link.detail} />
          </span>
        </button>
      </li>
    </>
  )
}
