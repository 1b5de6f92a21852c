import type { StageId } from '@zesty/core'
import { useEffect, useRef } from 'react'
import { Link, useParams } from 'react-router'
import { Mark } from '../parts/Mark'
import { useEvaluation } from '../state/evaluation'
import { useNext } from './useNext'

/** The card that travels with the job: every stage with its state, and the next thing to do. */
export function RouteCard({ stage }: { stage: StageId }) {
  const { id = '' } = useParams()
  const { stages, findings } = useEvaluation()
  const { next, leftOpen, goNext, forget } = useNext()
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
      <p className="mx-3.5 mb-1.5 hidden border-b border-dashed border-manila-edge pt-1 pb-2 text-center font-cond text-[17px] font-semibold lg:block">
        Route card
      </p>
      <ol ref={list} className="flex overflow-x-auto lg:block lg:overflow-visible">
        {stages.map((line, i) => {
          const mark = line.stops > 0 ? 'stop' : line.state
          const detail =
            line.stops > 0
              ? `${line.stops} to stop for`
              : line.state === 'open'
                ? `${line.missing} to fill in`
                : line.watches > 0
                  ? `${line.watches} to watch`
                  : 'done'
          const here = line.id === stage
          return (
            <li key={line.id} className="shrink-0">
              <Link
                to={`/conversions/${id}/${line.id}`}
                aria-current={here ? 'page' : undefined}
                className={`flex min-h-11 items-center gap-2.5 px-3.5 py-1 font-medium ${here ? 'bg-card shadow-[inset_0_-4px_0_var(--blue)] lg:shadow-[inset_4px_0_0_var(--blue)]' : ''}`}
              >
                <i className="w-3 font-cond text-[16px] font-semibold text-ink-2 not-italic" aria-hidden="true">
                  {i + 1}
                </i>
                <span className="flex-1">
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
        <div className="flex items-center justify-between gap-3 border-manila-edge px-3.5 py-1 max-lg:border-t lg:block lg:mx-3.5 lg:mt-auto lg:border-t lg:border-dashed lg:px-0 lg:py-3">
          <p className="label !text-ink max-lg:sr-only">Next</p>
          <button
            type="button"
            className="min-h-11 text-left text-[15px] leading-snug font-semibold text-blue underline underline-offset-4"
            data-kind={next.step.kind}
            data-asks={next.step.paths?.join(' ')}
            onClick={goNext}
          >
            {next.step.text}
          </button>
          {next.step.kind === 'do' && leftOpen > 0 && (
            <button
              type="button"
              className="min-h-11 text-left text-[14px] text-ink-2 underline underline-offset-4"
              onClick={forget}
            >
              {leftOpen} passed by: go through them again
            </button>
          )}
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
