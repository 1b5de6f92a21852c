/** One conductor size with what it carries, by how it is laid. */
export interface CableSize {
  /** mm2, or the gauge number. */
  size: number
  areaMm2: number
  ampacityA: Partial<Record<Method, Loaded>>
}

export interface CableTable {
  citation: string
  methods: readonly Method[]
  /** Smallest first. */
  sizes: readonly CableSize[]
  /** Factor up to each ambient temperature, degrees C. */
  ambient: readonly { upToC: number; factor: number }[]
}

/** Amps with two and with three loaded conductors. */
type Loaded = readonly [two: number | undefined, three: number | undefined]

/** How cables are laid, as the tables call it. */
type Method = 'C' | 'B2' | 'A2' | 'conduit' | 'cord'

const size = (name: number, areaMm2: number, ampacityA: Partial<Record<Method, Loaded>>): CableSize => ({
  size: name,
  areaMm2,
  ampacityA,
})

/** One size in mm2, laid in each of the three ways. */
const metric = (mm2: number, c: Loaded, b2: Loaded, a2: Loaded, cord?: Loaded): CableSize =>
  size(mm2, mm2, { C: c, B2: b2, A2: a2, ...(cord ? { cord } : {}) })

const cordOnly = (mm2: number, two: number): CableSize => size(mm2, mm2, { cord: [two, undefined] })

/** What cables carry; PVC, and 60 degree copper by gauge. */
export const cableTables: Readonly<Record<'metric' | 'awg', CableTable>> = {
  metric: {
    citation:
      'IEC 60364-5-52 (PVC, two and three loaded conductors, methods C, B2 and A2, 30 C); cords: planning values after it, the cord’s maker rules',
    methods: ['C', 'B2', 'A2', 'cord'],
    sizes: [
      cordOnly(0.75, 6),
      cordOnly(1, 10),
      metric(1.5, [19.5, 17.5], [16.5, 15], [14, 13], [16, undefined]),
      metric(2.5, [27, 24], [23, 20], [18.5, 17.5], [25, 20]),
      metric(4, [36, 32], [30, 27], [25, 23], [32, 25]),
      metric(6, [46, 41], [38, 34], [32, 29]),
      metric(10, [63, 57], [52, 46], [43, 39]),
      metric(16, [85, 76], [69, 62], [57, 52]),
    ],
    ambient: [
      { upToC: 10, factor: 1.22 },
      { upToC: 15, factor: 1.17 },
      { upToC: 20, factor: 1.12 },
      { upToC: 25, factor: 1.06 },
      { upToC: 30, factor: 1 },
      { upToC: 35, factor: 0.94 },
      { upToC: 40, factor: 0.87 },
      { upToC: 45, factor: 0.79 },
      { upToC: 50, factor: 0.71 },
      { upToC: 55, factor: 0.61 },
      { upToC: 60, factor: 0.5 },
    ],
  },
  awg: {
    citation: 'NEC 310 and 240.4(D) (60 C copper), NEC 400.5 (cords)',
    methods: ['conduit', 'cord'],
    sizes: [
      size(16, 1.309, { cord: [13, 10] }),
      size(14, 2.081, { conduit: [15, 15], cord: [18, 15] }),
      size(12, 3.309, { conduit: [20, 20], cord: [25, 20] }),
      size(10, 5.261, { conduit: [30, 30], cord: [30, 25] }),
      size(8, 8.367, { conduit: [40, 40], cord: [undefined, 35] }),
      size(6, 13.3, { conduit: [55, 55] }),
      size(4, 21.15, { conduit: [70, 70] }),
    ],
    ambient: [
      { upToC: 30, factor: 1 },
      { upToC: 35, factor: 0.91 },
      { upToC: 40, factor: 0.82 },
      { upToC: 45, factor: 0.71 },
      { upToC: 50, factor: 0.58 },
      { upToC: 55, factor: 0.41 },
    ],
  },
}

/** Factor for circuits that lie together, by how many (IEC 60364-5-52, bunched). */
const groupedCircuits: readonly number[] = [1, 1, 0.8, 0.7, 0.65, 0.6, 0.57]

/** Factor for conductors that lie together, up to so many (NEC 310.15). */
const groupedConductors = [
  { upTo: 3, factor: 1 },
  { upTo: 6, factor: 0.8 },
  { upTo: 9, factor: 0.7 },
  { upTo: 20, factor: 0.5 },
] as const

/** Factor for circuits of so many loaded conductors that lie together. */
export const groupingFactor = (system: 'metric' | 'awg', circuits: number, loaded: 2 | 3): number =>
  system === 'metric'
    ? (groupedCircuits[circuits] ?? 0)
    : (groupedConductors.find((g) => circuits * loaded <= g.upTo)?.factor ?? 0)

/** Resistivity of copper, ohm mm2/m: at 20 degrees, and hot under load. */
export const copper = { cold: 0.0175, hot: 0.0225 }
