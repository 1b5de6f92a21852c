import { frameSize } from '../data/frameSizes'
import type { Plan } from '../plan'

/** Holes of a motor's feet and its shaft over them, mm; what neither measured nor frame tells is left out. */
export interface Feet {
  acrossMm?: number | undefined
  alongMm?: number | undefined
  heightMm?: number | undefined
}

/** The feet of the motor that was there and of the new one: as measured, else by their frames. */
export function feetOf({ mount, oldMotor, motor }: Plan): { old: Feet; next: Feet } {
  const by = (frame: string | undefined) => (frame === undefined ? undefined : frameSize(frame))
  const [was, is] = [by(oldMotor.frame), by(motor.frame)]
  return {
    old: {
      acrossMm: mount.oldAcrossMm ?? was?.footAcrossMm,
      alongMm: mount.oldAlongMm ?? was?.footAlongMm,
      heightMm: mount.oldHeightMm ?? was?.centreHeightMm,
    },
    next: {
      acrossMm: mount.acrossMm ?? is?.footAcrossMm,
      alongMm: mount.alongMm ?? is?.footAlongMm,
      heightMm: mount.heightMm ?? is?.centreHeightMm,
    },
  }
}

/** The four holes of some feet; undefined while either distance is not known. */
export const plateHoles = ({ acrossMm, alongMm }: Feet): { acrossMm: number; alongMm: number } | undefined =>
  acrossMm === undefined || alongMm === undefined ? undefined : { acrossMm, alongMm }
