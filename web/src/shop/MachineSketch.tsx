import type { MachineKind } from '@zesty/core'
import { machineStrokes } from '../drawings/machineStrokes'

export function MachineSketch({ kind, size = 72 }: { kind: MachineKind; size?: number }) {
  return (
    <svg
      width={size}
      height={(size * 54) / 72}
      viewBox="0 0 72 54"
      fill="none"
      stroke="currentColor"
      strokeWidth="2.2"
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      <path d={machineStrokes[kind]} />
    </svg>
  )
}
