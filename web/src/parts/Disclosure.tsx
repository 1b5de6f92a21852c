import type { PlanPath } from '@zesty/core'
import { ChevronDown } from 'lucide-react'
import { useState, type ReactNode } from 'react'

/** What few want to see, opened by who wants it, and by whatever leads to a field within it. */
export function Disclosure({
  name,
  holds,
  begins = false,
  beside,
  className = '',
  children,
}: {
  name: string
  /** The part of the plan whose fields lie within it. */
  holds: PlanPath
  /** Whether it is open to begin with. */
  begins?: boolean
  /** What stands in its line, before its name. */
  beside?: ReactNode
  className?: string
  children: ReactNode
}) {
  const [open, setOpen] = useState(begins)
  return (
    <div className={`flex flex-col gap-1 ${className}`}>
      <div className="flex flex-wrap items-center gap-x-4 text-[15px]">
        {beside}
        <button
          type="button"
          className={`flex min-h-11 items-center gap-1.5 font-semibold text-blue ${beside === undefined ? '' : 'ml-auto px-1'}`}
          aria-expanded={open}
          data-holds={holds}
          onClick={() => setOpen(!open)}
        >
          <ChevronDown size={18} aria-hidden="true" className={open ? 'rotate-180' : ''} /> {name}
        </button>
      </div>
      {open && children}
    </div>
  )
}
