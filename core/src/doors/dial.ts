// The speed dial: what its marks give on each belt position, and the plate that says so at true size.
export { dial, type DialAdvice, type DialPosition } from '../dial/dialOf'
export { dialPlate, type DialPlate } from '../dial/dialPlate'
export { ringsOf } from '../dial/ringsOf'
export { dialScale, degAt, type DialScale } from '../dial/dialScale'
export { dialChart } from '../dial/dialChart'
export { dialPlates, MOST_RINGS, ringKinds, turns, type DialRing } from '../plan/dial'
export { layers, toDrawing, type Layer, type WorkDrawing } from '../drawing/primitives'
