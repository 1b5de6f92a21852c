import type { PlanPath } from '@zesty/core'
import { ToggleGroup } from 'radix-ui'
import { memo, type ReactNode, useId, useRef } from 'react'
import { Field } from './Field'
import { useField, useHeld, useSetField } from './fieldDocument'

interface Props {
  path: PlanPath
  label?: string
  wide?: boolean
}

/** A few values side by side; pressing the one in force again makes it unknown. */
export const ChoiceField = memo(function ChoiceField({
  path,
  label,
  wide = false,
  pictures,
}: Props & { pictures?: Partial<Record<string, ReactNode>> }) {
  const field = useField(path)
  if (!field) return null
  return (
    <Choices
      path={path}
      label={label ?? field.label}
      help={field.help}
      wide={wide}
      options={Object.entries(field.options ?? {}).map(([value, words]) => ({
        value,
        words,
        picture: pictures?.[value],
      }))}
    />
  )
})

/** Yes, no, or not known. */
export const YesNoField = memo(function YesNoField({ path, label, wide = false }: Props) {
  const field = useField(path)
  if (!field) return null
  return (
    <Choices
      path={path}
      label={label ?? field.label}
      help={field.help}
      wide={wide}
      options={[
        { value: 'yes', words: 'Yes', holds: true },
        { value: 'no', words: 'No', holds: false },
      ]}
    />
  )
})

interface Option {
  value: string
  words: string
  picture?: ReactNode
  /** What the plan holds for it, where that is not the value itself. */
  holds?: unknown
}

export function Choices({
  path,
  label,
  help,
  options,
  wide = false,
}: {
  path: PlanPath
  label: string
  help?: string | undefined
  options: readonly Option[]
  wide?: boolean
}) {
  const held = useHeld(path)
  const setHeld = useSetField(path)
  const id = useId()
  const current = options.find((o) => (o.holds ?? o.value) === held)?.value ?? ''
  const choose = (value: string) => {
    const option = options.find((o) => o.value === value)
    setHeld(label, option ? (option.holds ?? option.value) : undefined)
  }
  const byArrow = useRef(false)
  return (
    <div className={`flex min-w-0 flex-col gap-0.5 ${wide ? 'col-span-full' : ''}`} data-path={path}>
      <span className="label" id={id}>
        {label}
      </span>
      <ToggleGroup.Root
        type="single"
        value={current}
        aria-labelledby={id}
        className="flex flex-wrap gap-1.5"
        onValueChange={choose}
        // An arrow moves the focus; where it comes to by an arrow is chosen, as in any group of choices.
        onKeyDownCapture={(event) => {
          byArrow.current = event.key.startsWith('Arrow')
        }}
        onPointerDownCapture={() => {
          byArrow.current = false
        }}
        onFocus={(event) => {
          const { value } = (event.target as HTMLElement).dataset
          if (byArrow.current && value !== undefined) choose(value)
          byArrow.current = false
        }}
      >
        {options.map(({ value, words, picture }) => (
          <ToggleGroup.Item
            key={value}
            value={value}
            data-value={value}
            className="flex min-h-11 min-w-11 flex-col items-center justify-center gap-1 rounded-md border border-edge bg-card px-3 py-1 text-[15px] leading-tight font-medium text-ink data-[state=on]:border-blue data-[state=on]:bg-blue data-[state=on]:text-card"
          >
            {picture}
            {words}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      {help && <p className="text-[14px] leading-tight text-ink-2">{help}</p>}
    </div>
  )
}

/** A value out of a longer list. */
export const SelectField = memo(function SelectField({
  path,
  label,
  options,
  bare = false,
  wide = false,
  none = 'Not known',
  hint,
}: Props & { hint?: string; options?: Readonly<Record<string, string>>; bare?: boolean; none?: string }) {
  const field = useField(path)
  const held = useHeld(path)
  const setHeld = useSetField(path)
  if (!field) return null
  const name = label ?? field.label
  const select = (id?: string, describedBy?: string) => (
    <select
      id={id}
      aria-describedby={describedBy}
      aria-label={bare ? name : undefined}
      data-path={path}
      className="field"
      value={typeof held === 'string' ? held : ''}
      onChange={(e) => setHeld(name, e.target.value === '' ? undefined : e.target.value)}
    >
      <option value="">{none}</option>
      {Object.entries(options ?? field.options ?? {}).map(([value, words]) => (
        <option key={value} value={value}>
          {words}
        </option>
      ))}
    </select>
  )
  if (bare) return select()
  return (
    <Field path={path} label={label} wide={wide} hint={hint}>
      {({ id, describedBy }) => select(id, describedBy)}
    </Field>
  )
})
