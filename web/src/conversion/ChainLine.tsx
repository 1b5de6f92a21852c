import { useEvaluation } from '../state/evaluation'
import { Mark } from '../parts/Mark'

/** On a phone: how each link of the chain stands, in one line that stays in view; it leads to the findings. */
export function ChainLine() {
  const { chain } = useEvaluation()
  return (
    <a
      href="#findings"
      aria-label={`Findings. ${chain.map(({ name, state }) => `${name}: ${said[state]}`).join(', ')}`}
      className="sticky top-0 z-20 flex min-h-11 items-center justify-between gap-1 border-b border-rule bg-paper px-3 font-cond text-[14px] font-semibold lg:hidden print:hidden"
    >
      {chain.map(({ id, name, state }) => (
        <span key={id} aria-hidden="true" className="flex items-center gap-1">
          {name} <Mark kind={state === 'note' ? 'ok' : state} silent />
        </span>
      ))}
    </a>
  )
}

const said = { stop: 'stop', watch: 'watch', note: 'in order', ok: 'in order', open: 'open' } as const
