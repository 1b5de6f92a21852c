import type { Parsed, Patch, PlanPath } from '@zesty/core'
import { useEffect, useState, type KeyboardEvent } from 'react'
import { Field } from './Field'
import { useFieldChange, useUnread } from './fieldDocument'

export interface TypedFieldProps {
  /** Names the field; for one text that fills several, the first of them. */
  path: PlanPath
  /** All paths the text fills, so that a jump to any of them lands here. */
  paths?: readonly PlanPath[]
  label?: string | undefined
  hint?: string | undefined
  placeholder?: string | undefined
  wide?: boolean
  bare?: boolean
  /** The value as printed now; empty while unknown. */
  printed: string
  /** What the text does to the plan, or why it does nothing. */
  read: (text: string) => Parsed<Patch>
  /** What else is kept of the text that was read. */
  remember?: (text: string, patch: Patch) => Patch
  /** What stands beside the value. */
  note?: string
  inputMode?: 'decimal' | 'text'
}

const sameText = (a: string, b: string): boolean =>
  a.replace(/\s+/g, '').toLowerCase() === b.replace(/\s+/g, '').toLowerCase()

/** What is printed, typed again in whatever way, changes nothing: it may be rounded. */
export function isTypedBack(text: string, printed: string, read: TypedFieldProps['read']): boolean {
  if (sameText(text, printed)) return true
  if (printed === '') return false
  const [typed, again] = [read(text), read(printed)]
  return typed.ok && again.ok && JSON.stringify(typed.value) === JSON.stringify(again.value)
}

/**
 * A text field that is read when left. What cannot be read stays in the field with the reason,
 * also when the person goes elsewhere and comes back; the plan keeps its last good value.
 */
export function TypedField({
  path,
  paths = [path],
  label,
  hint,
  placeholder,
  wide = false,
  bare = false,
  printed,
  read,
  remember,
  note,
  inputMode,
}: TypedFieldProps) {
  const change = useFieldChange()
  const [unread, refuse] = useUnread(path)
  const [text, setText] = useState(unread?.text ?? printed)
  const [editing, setEditing] = useState(false)

  useEffect(() => {
    if (!editing) setText(unread?.text ?? printed)
  }, [printed, unread, editing])

  const commit = () => {
    setEditing(false)
    const result = unread === undefined && isTypedBack(text, printed, read) ? undefined : read(text)
    if (!result) return
    if (!result.ok) {
      refuse({ text, message: result.message })
      return
    }
    if (unread) refuse(undefined)
    change(label ?? path, [...result.value, ...(remember?.(text, result.value) ?? [])])
  }
  const onKeyDown = (event: KeyboardEvent<HTMLInputElement>) => {
    if (event.key === 'Enter') commit()
    if (event.key === 'Escape') {
      event.stopPropagation()
      if (unread) refuse(undefined)
      setText(printed)
      setEditing(false)
    }
  }
  const input = (id: string | undefined, describedBy: string | undefined) => (
    <input
      id={id}
      aria-describedby={describedBy}
      aria-label={bare ? label : undefined}
      aria-invalid={unread !== undefined}
      data-path={paths.join(' ')}
      className="field"
      autoComplete="off"
      spellCheck={false}
      inputMode={inputMode ?? 'text'}
      placeholder={placeholder}
      value={text}
      maxLength={4000}
      onFocus={() => setEditing(true)}
      onChange={(e) => {
        setEditing(true)
        setText(e.target.value)
      }}
      onBlur={commit}
      onKeyDown={onKeyDown}
    />
  )
  if (bare)
    return (
      <span className="flex min-w-0 flex-col">
        {input(undefined, undefined)}
        {note !== undefined && !unread && <span className="text-[14px] leading-tight">{note}</span>}
        {unread && (
          <span role="alert" className="why-not text-[14px] font-medium text-oxide">
            {unread.message}
          </span>
        )}
      </span>
    )
  return (
    <Field path={path} label={label} hint={hint} note={note} message={unread?.message} wide={wide}>
      {({ id, describedBy }) => input(id, describedBy)}
    </Field>
  )
}
