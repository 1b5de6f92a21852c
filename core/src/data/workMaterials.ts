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
  /** By the blade's band, by what is sawn. */
  sawing: {
    'mild-steel': [25, 60],
    'carbon-steel': [25, 60],
    'alloy-steel': [15, 35],
    stainless: [15, 35],
    'cast-iron': [25, 40],
    brass: [60, 120],
    aluminium: [80, 300],
    wood: [600, 1800],
  },
  routing: { wood: [300, 3000], aluminium: [150, 500] },
} as const

/** Feeds that a person need not type, mm a turn, of high-speed steel. */
export const drillFeeds = {
  citation: 'Planning values: twist drill of high-speed steel in steel, fed by power; by hand half of it',
  /** By diameter, mm. */
  inSteel: [
    [2, 0.04],
    [3, 0.06],
    [5, 0.1],
    [8, 0.15],
    [10, 0.18],
    [12, 0.2],
    [16, 0.25],
    [20, 0.28],
    [25, 0.32],
  ],
  /** Times that of steel. */
  factors: { 'cast-iron': 1.4, brass: 1.4, aluminium: 1.4, stainless: 0.7 },
} as const

/** Feed of a twist drill to plan with, mm a turn: straight lines between the table's sizes, its ends outside. */
export function drillFeed(diameterMm: number, material: WorkMaterialId): number {
  const { inSteel, factors } = drillFeeds
  const above = inSteel.findIndex(([d]) => d >= diameterMm)
  const upper = inSteel[above] ?? inSteel[inSteel.length - 1]
  const lower = inSteel[above - 1] ?? upper
  const factor = material in factors ? factors[material as keyof typeof factors] : 1
  if (!upper || !lower) return NaN
  const share = upper[0] === lower[0] ? 0 : (diameterMm - lower[0]) / (upper[0] - lower[0])
  return factor * (above <= 0 && upper === lower ? upper[1] : lower[1] + share * (upper[1] - lower[1]))
}

/** Of a hole saw: kerf by its diameter, feed a turn, and how often the formula its drag asks. */
export const holeSaws = {
  citation: 'Planning values for bimetal hole saws: kerf by size, 0.05 mm a turn, drag as much again as the cut',
  kerfMm: [
    { upToMm: 40, kerfMm: 1.8 },
    { upToMm: 76, kerfMm: 2 },
    { upToMm: Infinity, kerfMm: 2.3 },
  ],
  feedMm: 0.05,
  times: 2,
} as const

/** Of a tap: how often the formula it asks, sharp. Blunt it is three times. */
export const taps = { citation: 'Planning value: twice the formula; three times when blunt', times: 2 } as const
