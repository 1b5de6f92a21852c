import type { Severity } from '@zesty/core'
import { memo } from 'react'

export type MarkKind = Severity | 'ok' | 'open' | 'attention' | 'done'

const shapes = {
  stop: <path fill="currentColor" d="M4 0h6l4 4v6l-4 4H4L0 10V4z" />,
  watch: <path fill="currentColor" d="M7 0l7 13H0z" />,
  note: <circle cx="7" cy="7" r="6.5" fill="currentColor" />,
  ok: <path fill="none" stroke="currentColor" strokeWidth="3" d="M1 7l4 5L13 2" />,
  open: <circle cx="7" cy="7" r="5.5" fill="none" stroke="currentColor" strokeWidth="2" strokeDasharray="3 2.2" />,
}

const look: Record<MarkKind, { shape: keyof typeof shapes; colour: string; word: string }> = {
  stop: { shape: 'stop', colour: 'text-oxide', word: 'Stop' },
  watch: { shape: 'watch', colour: 'text-brass', word: 'Watch' },
  note: { shape: 'note', colour: 'text-blue', word: 'Note' },
  ok: { shape: 'ok', colour: 'text-green', word: 'In order' },
  done: { shape: 'ok', colour: 'text-green', word: 'Done' },
  open: { shape: 'open', colour: 'text-ink-2', word: 'Open' },
  attention: { shape: 'watch', colour: 'text-brass', word: 'Needs attention' },
}

/** A state's own shape in its own colour, with its word beside it or for screen readers only. */
export const Mark = memo(function Mark({
  kind,
  word,
  silent = false,
}: {
  kind: MarkKind
  word?: string | boolean
  silent?: boolean
}) {
  const { shape, colour, word: usual } = look[kind]
  const text = typeof word === 'string' ? word : usual
  return (
    <span
      className={`relative inline-flex shrink-0 items-center gap-1.5 font-cond text-[15px] font-semibold whitespace-nowrap ${colour}`}
    >
      <svg width="14" height="14" viewBox="0 0 14 14" aria-hidden="true">
        {shapes[shape]}
      </svg>
      {word ? text : silent ? null : <span className="sr-only">{text}</span>}
    </span>
  )
})
