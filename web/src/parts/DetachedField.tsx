import { parseQuantity, printQuantity, type Dimension, type Parsed } from '@zesty/core'
import { useState } from 'react'
import { useUnits } from '../state/units'
import { Labelled } from './Labelled'

/** A text that is no part of a plan, read as it is typed; what does not read is said here and handed on as nothing. */
export function DetachedField<T>({
  label,
  placeholder,
  initial = '',
  className = '',
  read,
  onRead,
}: {
  label: string
  placeholder: string
  initial?: string
  className?: string
  read: (text: string) => Parsed<T>
  onRead: (value: T | undefined) => void
}) {
  const [text, setText] = useState(initial)
  const parsed = text.trim() === '' ? undefined : read(text)
  const message = parsed && !parsed.ok ? parsed.message : undefined
  return (
    <Labelled label={label} className={className}>
      {(id) => (
        <>
          <input
            id={id}
            className="field"
            value={text}
            placeholder={placeholder}
            autoComplete="off"
            spellCheck={false}
            aria-invalid={message !== undefined}
            aria-describedby={message === undefined ? undefined : `${id}-why`}
            onChange={(e) => {
              setText(e.target.value)
              const typed = e.target.value.trim() === '' ? undefined : read(e.target.value)
              onRead(typed?.ok ? typed.value : undefined)
            }}
          />
          {message !== undefined && (
            <p id={`${id}-why`} role="alert" className="text-[14px] leading-tight font-medium text-oxide">
              {message}
            </p>
          )}
        </>
      )}
    </Labelled>
  )
}

/** An amount of one dimension, not below nothing. */
export function AmountField({
  dimension,
  value,
  ...rest
}: {
  label: string
  placeholder: string
  dimension: Dimension
  /** To begin with. */
  value?: number | undefined
  className?: string
  onRead: (value: number | undefined) => void
}) {
  const units = useUnits()
  return (
    <DetachedField
      {...rest}
      initial={value === undefined ? '' : printQuantity({ value, dimension }, units)}
      read={(text) => {
        const parsed = parseQuantity(text, dimension, units)
        return parsed.ok && parsed.value < 0 ? { ok: false, message: 'Not below nothing.' } : parsed
      }}
    />
  )
}
