import type { Place } from '@zesty/core'
import type { ReactNode } from 'react'

/** A machine with its motor and chuck, and the drive where each choice puts it. */
function Picture({ children }: { children: ReactNode }) {
  return (
    <svg
      width="148"
      height="62"
      viewBox="0 0 148 62"
      fill="none"
      stroke="currentColor"
      strokeWidth="2"
      aria-hidden="true"
    >
      <path d="M62 58h80M70 58V40h66v18" />
      <path d="M74 40V24h22v16M96 28h8v8h-8M124 40v-8h10v8" />
      {children}
    </svg>
  )
}

const Lead = ({ d }: { d: string }) => <path d={d} strokeDasharray="4 3" />

export const placePictures: Readonly<Record<Place, ReactNode>> = {
  // Sealed, on the headstock, its own keypad within reach.
  'at-machine': (
    <Picture>
      <rect x="76" y="4" width="18" height="18" rx="3" fill="currentColor" fillOpacity="0.18" />
      <path d="M80 9h10M80 14h10" />
    </Picture>
  ),
  // Open, on a far wall; only the controls stand at the machine.
  apart: (
    <Picture>
      <path d="M4 4v54M26 4v54" strokeOpacity="0.35" />
      <rect x="8" y="12" width="14" height="24" />
      <path d="M11 17h8M11 22h8M11 27h8" />
      <Lead d="M15 36v16h55" />
      <rect x="112" y="12" width="10" height="14" rx="2" />
      <Lead d="M22 16h90" />
    </Picture>
  ),
  // Open, in a closed box of its own.
  'in-box': (
    <Picture>
      <rect x="6" y="6" width="40" height="46" rx="3" />
      <rect x="18" y="16" width="16" height="26" fill="currentColor" fillOpacity="0.18" />
      <path d="M22 21h8M22 26h8M22 31h8" />
      <Lead d="M46 46h24" />
    </Picture>
  ),
}
