import { z } from 'zod'

/** Thinnest chip for which the power law holds, mm. */
export const THINNEST_MM = 0.05

/** N/mm2 at a chip thickness, after Kienzle. */
export const specificForce = (kc11: number, mc: number, chipMm: number): number => kc11 * chipMm ** -mc

export const kc11 = z.number().gt(0).max(2e4)
export const mc = z.number().min(0).max(0.9)
export const feedPerTurn = z.number().gt(0).max(50)
