import type { LucideIcon } from 'lucide-react'

/** A picture to press, large enough for a thumb; its words are for those who cannot see it, and for who asks. */
export function IconButton({
  label,
  title = label,
  icon: Icon,
  className = '',
  onClick,
}: {
  label: string
  title?: string
  icon: LucideIcon
  className?: string
  onClick: () => void
}) {
  return (
    <button
      type="button"
      className={`inline-flex size-11 items-center justify-center rounded ${className}`}
      aria-label={label}
      title={title}
      onClick={onClick}
    >
      <Icon size={18} aria-hidden="true" />
    </button>
  )
}
