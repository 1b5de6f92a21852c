import { codes } from './codes'
import { frame } from './frame'
import { housing } from './housing'
import { insulation } from './insulation'
import { others } from './otherThings'
import { phases } from './phases'
import { constantTorque, twoP } from './ratios'
import type { Reader } from './saying'

/** In the order in which they are asked at each piece. */
export const wordReaders: readonly Reader[] = [phases, twoP, constantTorque, housing, frame, insulation, codes, others]
