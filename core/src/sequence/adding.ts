import { deviceOf, type Wiring } from '../wiring/model'
import type { BuildStep } from './step'

export const DRIVE_OFF =
  'The drive’s box stays shut while there is power. Dead is: off, locked, waited ten minutes or as its manual says, and under 50 V direct, measured.'
export const MAGNET = ' A motor with magnets must also stand still: turned, it gives volts.'
/** Of a bond, and of a way through the machine, ohms. */
export const EARTH_OHM = 0.1
export const OWN_OHM = 0.5

/** Adds a step; what it does not say, it has not got. */
export type Add = (made: Partial<BuildStep> & Pick<BuildStep, 'id' | 'part' | 'title' | 'do'>) => void

/** The wires of the first two motor leads where they begin, at the drive, whatever stands between it and the motor. */
export function firstLeads({ wires }: Wiring): readonly [string, string] {
  const [first, second] = wires
    .filter(
      (w) =>
        (w.purpose.startsWith('motor lead') || w.purpose.startsWith('armature lead')) && deviceOf(w.from) === 'drive',
    )
    .map((w) => w.key)
    .sort()
  return [first ?? 'motor-u/1', second ?? 'motor-v/1']
}
