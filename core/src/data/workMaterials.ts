/** What a piece of work is made of: how hard it is to cut, and how fast to begin. */
export interface WorkMaterial {
  name: string
  /** Kienzle: N/mm2 at a chip of 1 mm by 1 mm, and its exponent. */
  kc11: number
  mc: number
  /** Surface speeds to begin with, turning with high-speed steel, m/min. */
  hssMPerMin: readonly [number, number]
  citation: string
}

const KIENZLE = 'Kienzle constants as in machining handbooks'
const SPEEDS = 'starting surface speeds for high-speed steel, planning values'
const typical = `${KIENZLE}, rounded; ${SPEEDS}`

export const workMaterials = {
  'mild-steel': {
    name: 'Mild steel',
    kc11: 1990,
    mc: 0.26,
    hssMPerMin: [25, 30],
    citation: `${KIENZLE} (St50); ${SPEEDS}`,
  },
  'carbon-steel': {
    name: 'Carbon steel',
    kc11: 2220,
    mc: 0.14,
    hssMPerMin: [20, 27],
    citation: `${KIENZLE} (C45); ${SPEEDS}`,
  },
  'alloy-steel': {
    name: 'Alloy steel',
    kc11: 2500,
    mc: 0.26,
    hssMPerMin: [14, 20],
    citation: `${KIENZLE} (42CrMo4); ${SPEEDS}`,
  },
  stainless: { name: 'Stainless steel', kc11: 2400, mc: 0.22, hssMPerMin: [12, 20], citation: typical },
  'cast-iron': {
    name: 'Cast iron',
    kc11: 1160,
    mc: 0.26,
    hssMPerMin: [18, 25],
    citation: `${KIENZLE} (GG26); ${SPEEDS}`,
  },
  brass: { name: 'Brass', kc11: 780, mc: 0.18, hssMPerMin: [60, 90], citation: typical },
  aluminium: { name: 'Aluminium', kc11: 700, mc: 0.25, hssMPerMin: [60, 90], citation: typical },
  plastic: { name: 'Plastic', kc11: 250, mc: 0.2, hssMPerMin: [60, 120], citation: typical },
} as const satisfies Record<string, WorkMaterial>

export type WorkMaterialId = keyof typeof workMaterials

/** How many times faster than high-speed steel a tool may begin. */
export const toolFactors = {
  citation: 'Planning values: carbide begins at about three times the speed of high-speed steel',
  hss: 1,
  carbide: 3,
} as const

/** Surface speed of a kind of work as a share of turning's. */
export const kindFactors = {
  citation: 'Planning values: drilling a little under turning, reaming half of drilling, tapping a third of it',
  turning: 1,
  facing: 1,
  boring: 0.8,
  drilling: 0.9,
  'hole-saw': 0.7,
  milling: 0.9,
  'fly-cutting': 0.9,
  reaming: 0.45,
  tapping: 0.3,
  threading: 0.3,
} as const

/** Surface speeds that do not go by the metal, m/min. */
export const rimSpeeds = {
  citation: 'Planning values; a marking on wheel, belt or blade rules',
  grinding: [1200, 1800],
  polishing: [1200, 2100],
  sawing: { metal: [20, 60], other: [600, 1200] },
  routing: [180, 450],
} as const
