import type { ReactNode } from 'react'

/** A stamped plate with four rivets. */
export function PlateFrame({ children }: { children: ReactNode }) {
  return (
    <section id="plate" tabIndex={-1} aria-label="Nameplate" className="plate relative px-5 py-4">
      {['top-2 left-2', 'top-2 right-2', 'bottom-2 left-2', 'bottom-2 right-2'].map((corner) => (
        <span
          key={corner}
          aria-hidden="true"
          className={`absolute size-2.5 rounded-full bg-[#7f868d] shadow-[inset_0_1px_1px_#fff8] ${corner}`}
        />
      ))}
      {children}
    </section>
  )
}

export function PlateLine({ label, children }: { label: string; children: ReactNode }) {
  return (
    <div className="grid grid-cols-[80px_minmax(0,1fr)] items-center gap-2">
      <span className="label" aria-hidden="true">
        {label}
      </span>
      {children}
    </div>
  )
}
