/**
 * Conductor colours with their letters, by the regions' rules.
 *
 * Source: IEC 60757 (letter codes), IEC 60445 and IEC 60204-1 13.2 (mains brown, black, grey, neutral blue, earth
 * green-yellow, control DC blue, control AC red, excepted circuits orange); NFPA 79 and NEC 200.6, 250.119 (power black,
 * control DC blue, control AC red, grounded white, ground green, excepted orange).
 */
export const conductorColours = {
  BN: { words: 'brown', paint: '#7a4a1d' },
  BK: { words: 'black', paint: '#26282b' },
  GY: { words: 'grey', paint: '#8f959c' },
  BU: { words: 'blue', paint: '#2a6fbe' },
  DB: { words: 'dark blue', paint: '#1d3f7d' },
  GNYE: { words: 'green-yellow', paint: '#4f9a3c' },
  GN: { words: 'green', paint: '#3c8a3a' },
  WH: { words: 'white', paint: '#f4f2ec' },
  RD: { words: 'red', paint: '#bd2f2a' },
  OG: { words: 'orange', paint: '#d9781c' },
  YE: { words: 'yellow', paint: '#d9b91c' },
  PK: { words: 'pink', paint: '#d58aa0' },
  VT: { words: 'violet', paint: '#7b539c' },
  SH: { words: 'shield', paint: '#5d646b' },
  LK: { words: 'bare link', paint: '#b08a3c' },
} as const
export type ConductorColour = keyof typeof conductorColours

export type Region = 'iec' | 'nec'

const byRegion = {
  iec: { L1: 'BN', L2: 'BK', L3: 'GY', N: 'BU', PE: 'GNYE', U: 'BN', V: 'BK', W: 'GY', dc: 'DB', ac: 'RD' },
  nec: { L1: 'BK', L2: 'RD', L3: 'BU', N: 'WH', PE: 'GN', U: 'BK', V: 'RD', W: 'BU', dc: 'BU', ac: 'RD' },
} as const satisfies Record<Region, Record<string, ConductorColour>>

export type ConductorTask = keyof (typeof byRegion)['iec']

/** The colour that a task has in a region. */
export const colourFor = (region: Region, task: ConductorTask): ConductorColour => byRegion[region][task]

/** Cores of a control cable, in the order they are used: told apart within their cable, never by the mains' colours. */
export const coresOf = (region: Region): readonly ConductorColour[] =>
  region === 'iec'
    ? ['WH', 'BN', 'GY', 'PK', 'DB', 'RD', 'YE', 'VT', 'BK', 'OG']
    : ['WH', 'BN', 'GY', 'PK', 'BU', 'YE', 'VT', 'RD', 'BK', 'OG']

const isKnown = (colour: string): colour is ConductorColour => colour in conductorColours

/** What a conductor's colour is called; a word of somebody's own stays. */
export const colourWords = (colour: string): string => (isKnown(colour) ? conductorColours[colour].words : colour)

/** How a conductor is painted; grey where its colour is a word of somebody's own. */
export const conductorPaint = (colour: string): `#${string}` =>
  isKnown(colour) ? conductorColours[colour].paint : '#5d646b'
