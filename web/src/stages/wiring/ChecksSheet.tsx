import type { JudgedLine } from '@zesty/core'
import { useState } from 'react'
import { Mark } from '../../parts/Mark'
import { Text } from '../../parts/Text'
import { goToField } from '../../state/goToField'
import { useEvaluation } from '../../state/evaluation'

const order = ['found', 'cannot-be-judged', 'good', 'does-not-apply'] as const
const heads: Record<(typeof order)[number], string> = {
  found: 'Found',
  'cannot-be-judged': 'Not judged yet',
  good: 'Good',
  'does-not-apply': 'Does not apply here',
}

/** Everything that is asked of the wiring, each with its answer. */
export function ChecksSheet() {
  const { judged } = useEvaluation()
  const lines = judged.filter((line) => line.id.startsWith('wiring.'))
  const [open, setOpen] = useState<(typeof order)[number]>('found')
  const of = (answer: string) => lines.filter((l) => l.answer === answer)
  return (
    <section className="sheet mb-3" aria-labelledby="checks">
      <h2 id="checks" tabIndex={-1} className="h-part">
        Checks of the wiring, {lines.length}
      </h2>
      <div role="tablist" aria-label="Answers" className="no-print mt-1 flex flex-wrap gap-1">
        {order.map((answer) => (
          <button
            key={answer}
            type="button"
            role="tab"
            aria-selected={open === answer}
            className={`min-h-11 rounded-md px-3 text-[15px] font-semibold ${open === answer ? 'bg-blue text-card' : 'text-blue underline underline-offset-4'}`}
            onClick={() => setOpen(answer)}
          >
            {heads[answer]}, {of(answer).length}
          </button>
        ))}
      </div>
      <ul className="mt-2 print:hidden">
        {of(open).map((line) => (
          <Line key={line.id} line={line} />
        ))}
        {of(open).length === 0 && <li className="lead">None.</li>}
      </ul>
      <ul className="hidden print:block">
        {lines.map((line) => (
          <Line key={line.id} line={line} />
        ))}
      </ul>
    </section>
  )
}

function Line({ line }: { line: JudgedLine }) {
  const [missing] = line.missing
  return (
    <li className="flex flex-wrap items-baseline gap-x-3 border-t border-rule py-1.5 text-[15px]">
      <Mark kind={line.severity ?? (line.answer === 'good' ? 'ok' : 'open')} silent />
      <span className="min-w-[200px] flex-1 font-medium">{line.asks}</span>
      <span className="min-w-0 flex-[2] basis-[260px] text-ink-2">
        <Text said={line.says} />
        {missing && (
          <button type="button" className="text-blue underline underline-offset-4" onClick={() => goToField(missing)}>
            Type what it waits for
          </button>
        )}
      </span>
    </li>
  )
}
