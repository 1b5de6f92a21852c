import type { MachineKind } from '@zesty/core'

/** A few strokes for each kind of machine, seen from where one stands at it; in a field of 72 by 54. */
export const machineStrokes: Record<MachineKind, string> = {
  lathe: 'M6 40h60M10 40v-16h14v16M24 30h6M30 24v12M30 30h10M56 40v-12h-8l-2 4M6 40l-2 8M66 40l2 8',
  mill: 'M46 48V8H26v8h20M26 16v8M23 24h6M26 24v8M14 38h34M20 34h18v4M30 38v10M20 48h34',
  'pillar-drill': 'M44 48V6M24 8h22v10H24zM30 18v8M30 26l-2 6M20 38h24M26 34h10v4M32 48h24',
  'surface-grinder': 'M14 42h44M18 36h36v6M44 8h10v34M28 22a8 8 0 1 0 16 0a8 8 0 1 0-16 0M36 22h8M22 42v6M50 42v6',
  'tool-grinder':
    'M36 48V28M26 28h20v-8H26zM14 24a7 7 0 1 0 14 0a7 7 0 1 0-14 0M44 24a7 7 0 1 0 14 0a7 7 0 1 0-14 0M28 48h16',
  shaper: 'M20 46V18h34v28M8 24h40M10 24v8M6 32h8M6 38h12M48 46h12M14 46h46',
  bandsaw:
    'M26 12a8 8 0 1 0 16 0a8 8 0 1 0-16 0M26 38a8 8 0 1 0 16 0a8 8 0 1 0-16 0M26 12v26M42 12v26M14 26h18M50 48V6',
  'belt-grinder':
    'M14 24a6 6 0 1 0 12 0a6 6 0 1 0-12 0M46 16a4 4 0 1 0 8 0a4 4 0 1 0-8 0M46 34a4 4 0 1 0 8 0a4 4 0 1 0-8 0M18 18l31-6M18 30l31 8M54 16v18M20 30v18M12 48h40',
  router: 'M8 46h56M12 46V18h48v28M12 22h48M32 16h10v14H32zM37 30v8M20 42h34',
  'bare-motor':
    'M8 46h56M14 40h38v-22h-38zM20 18v22M26 18v22M32 18v22M38 18v22M44 18v22M24 18v-7h14v7M52 29h12M18 40v6M46 40v6',
  other: 'M14 46h44M18 46V20h36v26M27 32a9 9 0 1 0 18 0a9 9 0 1 0-18 0M36 23v-9M36 32l6-5',
}

/** Where on those strokes the spindle, wheel or shaft turns; none where nothing does. */
export const spindleAt: Record<MachineKind, readonly [number, number] | undefined> = {
  lathe: [24, 30],
  mill: [26, 26],
  'pillar-drill': [30, 24],
  'surface-grinder': [36, 22],
  'tool-grinder': [21, 24],
  shaper: undefined,
  bandsaw: [34, 12],
  'belt-grinder': [20, 24],
  router: [37, 24],
  'bare-motor': [58, 29],
  other: [36, 32],
}
