import { fieldAt, type PlanPath } from '@zesty/core'
import { useId, type ReactNode } from 'react'

/** A label over its control, with help and the reason why a text was not taken. */
export function Field({
  path,
  label,
  message,
  hint,
  note,
  wide = false,
  children,
}: {
  path: PlanPath
  label?: string | undefined
  message?: string | undefined
  hint?: string | undefined
  /** Said behind the help. */
  note?: string | undefined
  wide?: boolean
  children: (ids: { id: string; describedBy: string | undefined }) => ReactNode
}) {
  const id = useId()
  const field = fieldAt(path)
  const help = [hint ?? field.help, note].filter(Boolean).join('; ') || undefined
  const shown = message ?? help
  return (
    <div className={`flex min-w-0 flex-col gap-0.5 ${wide ? 'col-span-full' : ''}`}>
      <label className="label" htmlFor={id}>
        {label ?? field.label}
      </label>
      {children({ id, describedBy: shown ? `${id}-help` : undefined })}
      {/* Its parts stay in place: where a node goes while a field is left, a dialog would draw the caret to itself. */}
      <p
        id={`${id}-help`}
        role={message ? 'alert' : undefined}
        hidden={!shown}
        className={
          message
            ? 'why-not flex items-baseline gap-1.5 text-[15px] font-medium text-oxide'
            : 'text-[14px] leading-tight text-ink-2'
        }
      >
        <svg width="11" height="11" viewBox="0 0 14 14" aria-hidden="true" className={message ? 'shrink-0' : 'hidden'}>
          <path fill="currentColor" d="M4 0h6l4 4v6l-4 4H4L0 10V4z" />
        </svg>
        <span>{shown ?? ''}</span>
      </p>
    </div>
  )
}
