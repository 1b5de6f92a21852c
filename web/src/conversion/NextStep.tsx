import { useNext } from './useNext'

/** The next thing to do, and how many were passed by. */
export function NextStep() {
  const { next, leftOpen, goNext, forget } = useNext()
  if (!next) return null
  return (
    <>
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
    </>
  )
}
