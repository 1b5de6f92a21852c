import { Trash2 } from 'lucide-react'

/** Takes an item out of a list; named, because a bin alone says not what goes. */
export function RemoveButton({
  what,
  className = '',
  onClick,
}: {
  what: string
  className?: string
  onClick: () => void
}) {
  return (
    <button
      type="button"
      className={`btn btn-quiet w-11 px-0 ${className}`}
      aria-label={`Take ${what} away`}
      onClick={onClick}
    >
      <Trash2 size={18} aria-hidden="true" />
    </button>
  )
}
