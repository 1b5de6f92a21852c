import { useId, type ReactNode } from 'react'

/** A label over a control that is no field of a document, joined to it by an id. */
export function Labelled({
  label,
  className = '',
  children,
}: {
  label: string
  className?: string
  children: (id: string) => ReactNode
}) {
  const id = useId()
  return (
    <div className={`flex min-w-0 flex-col gap-0.5 ${className}`}>
      <label className="label" htmlFor={id}>
        {label}
      </label>
      {children(id)}
    </div>
  )
}
