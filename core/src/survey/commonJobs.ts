import type { MachineKind } from '../plan'

/** Work that each kind of machine is asked for, in words that `readJob` reads; pressed to add. */
export const commonJobs: Readonly<Record<MachineKind, readonly string[]>> = {
  lathe: [
    'turn 25 mm mild steel',
    'face 100 mm aluminium',
    'drill 12 mm mild steel',
    'part off 25 mm mild steel',
    'thread M20 mild steel',
    'turn 150 mm cast iron carbide',
  ],
  mill: [
    'mill 12 mm mild steel 4 flutes',
    'mill 6 mm aluminium 2 flutes',
    'fly-cut 60 mm aluminium',
    'drill 8 mm mild steel',
    'tap M8 mild steel',
  ],
  'pillar-drill': [
    'drill 6 mm mild steel',
    'drill 16 mm mild steel',
    'hole saw 60 mm mild steel',
    'tap M8 mild steel',
    'ream 10 mm mild steel',
  ],
  'surface-grinder': ['grind 200 mm'],
  'tool-grinder': ['grind 125 mm'],
  bandsaw: ['saw mild steel', 'saw aluminium', 'saw stainless'],
  'belt-grinder': ['polish mild steel'],
  router: ['route 6 mm plywood', 'route 3 mm aluminium'],
  shaper: [],
  'bare-motor': [],
  other: [],
}
