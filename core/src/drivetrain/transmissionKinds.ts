/** Kinds of stage between two shafts, in the trade's words. */
export const transmissionKinds = {
  'v-belt': 'V-belt',
  'poly-v': 'Poly-V belt',
  'timing-belt': 'Timing belt',
  'flat-belt': 'Flat belt',
  'crossed-belt': 'Crossed flat belt',
  'variable-sheave': 'Variable sheaves',
  'gear-pair': 'Gear pair',
  worm: 'Worm and wheel',
  gearbox: 'Sealed gearbox',
  variator: 'Variator',
  direct: 'Direct, coupled',
} as const

export type TransmissionKind = keyof typeof transmissionKinds

type Kind = TransmissionKind | undefined

/** Belts on two pulleys that turn smoothly by their diameters, not by teeth or by a moving sheave. */
export const isPlainBelt = (kind: Kind): boolean =>
  kind === 'v-belt' || kind === 'poly-v' || kind === 'flat-belt' || kind === 'crossed-belt'

/**
 * Belts that wrap two pulleys of fixed size, with teeth or without.
 *
 * @example isBelt('timing-belt') // true
 */
export const isBelt = (kind: Kind): boolean => isPlainBelt(kind) || kind === 'timing-belt'

/** Belts with a rim that bursts at speed: all but those with teeth, the moving sheaves too. */
export const isRimBelt = (kind: Kind): boolean => isPlainBelt(kind) || kind === 'variable-sheave'

/** Sizes are counted in teeth. */
export const isToothed = (kind: Kind): boolean => kind === 'gear-pair' || kind === 'timing-belt' || kind === 'worm'

/** Wheels that touch, without a belt between. */
export const isMeshed = (kind: Kind): boolean => kind === 'gear-pair' || kind === 'worm'

/** Crossed belts and external gear pairs turn the driven shaft the other way. */
export const reverses = (kind: Kind): boolean => kind === 'crossed-belt' || kind === 'gear-pair'

/** A worm’s wheel turns across it, by the hand of its thread, and nobody sees into a sealed gearbox: the way is not told by the kind. */
export const hidesRotation = (kind: Kind): boolean => kind === 'worm' || isSealed(kind)

/** Told by its ratio alone: nobody sees its sizes. */
export const isSealed = (kind: Kind): boolean => kind === 'gearbox' || kind === 'variator'

/** Made to be shifted while it turns. */
export const isShifted = (kind: Kind): boolean => kind === 'variable-sheave' || kind === 'variator'
