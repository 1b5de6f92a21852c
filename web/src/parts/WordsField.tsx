import type { PlanPath } from '@zesty/core'
import { useField, useHeld } from './fieldDocument'
import { TypedField } from './TypedField'
import { memo } from 'react'

/** Free words of the plan: names, frames, notes. */
export const WordsField = memo(function WordsField({
  path,
  label,
  hint,
  placeholder,
  wide = false,
  bare = false,
  needed = false,
  longest = 120,
}: {
  path: PlanPath
  label?: string
  hint?: string
  placeholder?: string
  wide?: boolean
  bare?: boolean
  needed?: boolean
  longest?: number
}) {
  const field = useField(path)
  const value = useHeld(path)
  if (!field) return null
  return (
    <TypedField
      path={path}
      label={label ?? field.label}
      hint={hint}
      placeholder={placeholder}
      wide={wide}
      bare={bare}
      printed={typeof value === 'string' ? value : ''}
      read={(text) => {
        const trimmed = text.trim()
        if (trimmed === '' && needed) return { ok: false, message: 'This needs a name.' }
        if (trimmed.length > longest)
          return { ok: false, message: `At most ${longest} letters; this has ${trimmed.length}.` }
        return { ok: true, value: [{ path, value: trimmed === '' ? undefined : trimmed }] }
      }}
    />
  )
})
