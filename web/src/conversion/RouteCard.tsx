import type { StageId } from '@zesty/core'
import { ChevronLeft, ChevronRight } from 'lucide-react'
import { useEffect, useRef } from 'react'
import { Link, useParams } from 'react-router'
import { Mark } from '../parts/Mark'
import { useEvaluation } from '../state/evaluation'
import { NextStep } from './NextStep'
import { useFolds } from './useFolds'
import { useNext } from './useNext'

/** The card that travels with the job: every stage with its state, and the next thing to do. */
export function RouteCard({ stage }: { stage: StageId }) {
  const { id = '' } = useParams()
  const { stages, findings } = useEvaluation()
  const { isDrawing, isFolded, turn } = useFolds(stage)
  const folded = isFolded('card')
  const { next } = useNext()
  const list = useRef<HTMLOListElement>(null)
  useEffect(() => {
    const here = list.current?.querySelector<HTMLElement>('[aria-current]')
    // By hand: to scroll it into view would make the first Tab begin there.
    const strip = list.current
    if (strip && here) strip.scrollLeft = here.offsetLeft - strip.offsetLeft - here.offsetWidth / 2
  }, [stage])
  const urgent = findings.filter((f) => f.severity !== 'note').length
  return (
    <nav aria-label="Route card" className="flex flex-col border-manila-edge bg-manila max-lg:border-b lg:border-r">
      <div
        aria-hidden="true"
        className="mx-auto mt-3 hidden size-5 rounded-full border border-manila-edge bg-paper shadow-[inset_0_1px_2px_rgba(0,0,0,.25)] lg:block"
      />
      {isDrawing && (
        <button
          type="button"
          className="mx-auto hidden size-11 items-center justify-center lg:inline-flex"
          aria-expanded={!folded}
          aria-label="Route card"
          title={folded ? 'Route card with its words' : 'Route card as numbers'}
          onClick={() => turn('card')}
        >
          {folded ? <ChevronRight size={18} aria-hidden="true" /> : <ChevronLeft size={18} aria-hidden="true" />}
        </button>
      )}
      <p
        className={`mx-3.5 mb-1.5 hidden border-b border-dashed border-manila-edge pt-1 pb-2 text-center font-cond text-[17px] font-semibold ${folded ? '' : 'lg:block'}`}
      >
        Route card
      </p>
      <ol ref={list} className="flex overflow-x-auto lg:block lg:overflow-visible">
        {stages.map((line, i) => {
          const mark = line.stops > 0 ? 'stop' : line.state
          const detail =
            line.stops > 0
              ? `${line.stops} to stop for`
              : line.state === 'open'
                ? line.missing === 0
                  ? 'open'
                  : `${line.missing} to fill in`
                : line.watches > 0
                  ? `${line.watches} to watch`
                  : 'done'
          const here = line.id === stage
          return (
            <li key={line.id} className="shrink-0">
              <Link
                to={`/conversions/${id}/${line.id}`}
                aria-current={here ? 'page' : undefined}
                title={folded ? line.name : undefined}
                className={`flex min-h-11 items-center gap-2.5 py-1 font-medium ${folded ? 'px-3.5 lg:gap-1 lg:px-2' : 'px-3.5'} ${here ? 'bg-card shadow-[inset_0_-4px_0_var(--blue)] lg:shadow-[inset_4px_0_0_var(--blue)]' : ''}`}
              >
                <i className="w-3 font-cond text-[16px] font-semibold text-ink-2 not-italic" aria-hidden="true">
                  {i + 1}
                </i>
                <span className={`flex-1 ${folded ? 'lg:sr-only' : ''}`}>
                  <span className="block leading-tight">{line.name}</span>
                  <span className="hidden text-[14px] leading-tight text-ink-2 lg:block">{detail}</span>
                </span>
                <Mark kind={mark} />
              </Link>
            </li>
          )
        })}
      </ol>
      {next && (
        <div
          className={`flex items-center justify-between gap-3 border-manila-edge px-3.5 py-1 max-lg:border-t lg:mx-3.5 lg:mt-auto lg:border-t lg:border-dashed lg:px-0 lg:py-3 ${folded ? 'lg:hidden' : 'lg:block'}`}
        >
          <p className="label !text-ink max-lg:sr-only">Next</p>
          <NextStep />
          {urgent > 0 && (
            <a
              href="#findings"
              className="flex min-h-11 items-center text-[15px] font-semibold text-oxide underline underline-offset-4 lg:hidden"
            >
              {urgent} {urgent === 1 ? 'finding' : 'findings'} below
            </a>
          )}
        </div>
      )}
    </nav>
  )
}
