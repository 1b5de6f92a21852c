import type { ReactNode } from 'react'
import { Link } from 'react-router'
import { api } from '../state/api'

/** The shops by name, the one that is open marked; what else stands beside them comes after. */
export function ShopsNav({ openId, children }: { openId?: string; children?: ReactNode }) {
  const { data: shops } = api.useShopsQuery(undefined)
  return (
    <nav aria-label="Shops" className="flex flex-1 flex-wrap gap-1">
      {shops?.map((s) => (
        <Link
          key={s.id}
          to={`/shops/${s.id}`}
          aria-current={s.id === openId ? 'page' : undefined}
          className={`flex min-h-11 items-center rounded-md px-3 font-medium ${s.id === openId ? 'bg-card font-semibold shadow-[inset_0_-3px_0_var(--blue)]' : 'text-ink-2'}`}
        >
          {s.name}
        </Link>
      ))}
      {children}
    </nav>
  )
}
