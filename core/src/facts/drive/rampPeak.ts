import type { Plan } from '../../plan'

/** In the middle of a full S-curve the speed changes twice as fast as on a straight ramp of the same seconds. */
const S_CURVE_PEAK = 2

/** How much harder a ramp pulls at its steepest than its seconds alone say: by the shape that the drive holds. */
export const rampPeak = ({ settings }: Plan): number => (settings.inDrive.rampShape === 's-curve' ? S_CURVE_PEAK : 1)
