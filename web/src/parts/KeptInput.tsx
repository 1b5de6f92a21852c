import { useState, type ComponentProps } from 'react'

interface Props extends Omit<ComponentProps<'input'>, 'value' | 'onChange' | 'onBlur' | 'onKeyDown'> {
  /** What is kept. */
  held: string
  /** What was typed, trimmed, where it is another than what is kept. */
  onKeep: (text: string) => void
}

/** A text that is kept when the field is left, or at Enter; until then it is only typed. */
export function KeptInput({ held, onKeep, className = 'field', ...rest }: Props) {
  const [typed, setTyped] = useState<string>()
  const keep = () => {
    const text = typed?.trim()
    setTyped(undefined)
    if (text !== undefined && text !== held) onKeep(text)
  }
  return (
    <input
      {...rest}
      className={className}
      value={typed ?? held}
      onChange={(e) => setTyped(e.target.value)}
      onBlur={keep}
      onKeyDown={(e) => e.key === 'Enter' && keep()}
    />
  )
}
