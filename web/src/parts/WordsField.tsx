import { fieldAt, set, type PlanPath } from '@zesty/core'
import { useHeld } from './fieldHost'
import { TypedField } from './TypedField'

/** Free words of the plan: names, frames, notes. */
export function WordsField({
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
  const value = useHeld(path)
  return (
    <TypedField
      path={path}
      label={label ?? fieldAt(path)?.label}
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
        return { ok: true, value: [set(path, trimmed === '' ? undefined : trimmed)] }
      }}
    />
  )
}
