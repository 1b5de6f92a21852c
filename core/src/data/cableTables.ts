/** One conductor size with what it carries, by how it is laid. */
export interface CableSize {
  /** mm2, or the gauge number. */
  size: number
  areaMm2: number
  ampacityA: Readonly<Record<string, number>>
}

export interface CableTable {
  citation: string
  methods: readonly string[]
  /** Smallest first. */
  sizes: readonly CableSize[]
  /** Factor up to each ambient temperature, degrees C. */
  ambient: readonly { upToC: number; factor: number }[]
}

const metric = (areaMm2: number, c: number, b2: number): CableSize => ({
  size: areaMm2,
  areaMm2,
  ampacityA: { C: c, B2: b2 },
})

/** What cables carry; PVC, two loaded conductors, and 60 degree copper by gauge. */
export const cableTables: Readonly<Record<'metric' | 'awg', CableTable>> = {
  metric: {
    citation: 'IEC 60364-5-52 (PVC, two loaded conductors, methods C and B2, 30 C)',
    methods: ['C', 'B2'],
    sizes: [metric(1.5, 19.5, 16.5), metric(2.5, 27, 23), metric(4, 36, 30), metric(6, 46, 38)],
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
      { size: 16, areaMm2: 1.309, ampacityA: { cord: 13 } },
      { size: 14, areaMm2: 2.081, ampacityA: { conduit: 15, cord: 18 } },
      { size: 12, areaMm2: 3.309, ampacityA: { conduit: 20, cord: 25 } },
      { size: 10, areaMm2: 5.261, ampacityA: { conduit: 30 } },
      { size: 8, areaMm2: 8.367, ampacityA: { conduit: 40 } },
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

/** Factor for circuits that lie together (IEC 60364-5-52, bunched; NEC 310.15 is no stricter up to three). */
export const groupingFactors: readonly number[] = [1, 1, 0.8, 0.7, 0.65, 0.6, 0.57]

/** Resistivity of copper, ohm mm2/m: at 20 degrees, and hot under load. */
export const copper = { cold: 0.0175, hot: 0.0225 }
