import type { StageId } from '@zesty/core'
import { ChevronDown, ChevronUp, PanelRight } from 'lucide-react'
import { Mark } from '../parts/Mark'
import { Text } from '../parts/Text'
import { useEvaluation } from '../state/evaluation'
import { NextStep } from './NextStep'
import { useFolds } from './useFolds'

/** Round a drawing: the chain in one line, the next thing to do, and the findings as a button. */
export function FoldedLine({ stage }: { stage: StageId }) {
  const { chain, findings } = useEvaluation()
  const { isDrawing, isFolded, turn } = useFolds(stage)
  if (!isDrawing) return null
  const worst = findings[0]?.severity
  return (
    <div className="flex min-h-12 items-center gap-x-4 border-b border-rule px-4 max-lg:hidden print:hidden">
      {isFolded('chain') && (
        <ol
          aria-label="The chain in one line"
          className="flex min-w-0 shrink gap-x-4 overflow-hidden font-cond text-[16px]"
        >
          {chain.map(({ id, name, state, headline }) => (
            <li key={id} className="flex min-w-0 items-center gap-1.5 whitespace-nowrap">
              <Mark kind={state === 'note' ? 'ok' : state} />
              <span className="font-semibold xl:hidden">{name}</span>
              <span className="font-semibold max-xl:hidden">{state === 'open' ? name : <Text said={headline} />}</span>
            </li>
          ))}
        </ol>
      )}
      {isFolded('card') && (
        <span className="ml-auto max-w-[34ch] shrink-0 truncate text-right [&_button]:max-w-full [&_button]:truncate">
          <NextStep />
        </span>
      )}
      <span className={`flex shrink-0 items-center gap-1.5 ${isFolded('card') ? '' : 'ml-auto'}`}>
        <button
          type="button"
          className="btn btn-quiet gap-1 px-2.5 text-[15px]"
          aria-expanded={!isFolded('chain')}
          onClick={() => turn('chain')}
        >
          {isFolded('chain') ? (
            <ChevronDown size={16} aria-hidden="true" />
          ) : (
            <ChevronUp size={16} aria-hidden="true" />
          )}
          Chain
        </button>
        <button
          type="button"
          className="btn btn-quiet gap-1.5 px-2.5 text-[15px]"
          aria-expanded={!isFolded('findings')}
          onClick={() => turn('findings')}
        >
          <PanelRight size={16} aria-hidden="true" />
          {findings.length} {findings.length === 1 ? 'finding' : 'findings'}
          {worst && <Mark kind={worst} />}
        </button>
      </span>
    </div>
  )
}
