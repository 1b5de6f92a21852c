import { z } from 'zod'
import { millimetresInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** What a pulley may be made of, for a fit on a shaft of steel. */
export const hubMaterials = ['steel', 'iron', 'aluminium'] as const
export type HubMaterial = (typeof hubMaterials)[number]

/** Growth with heat, 1/K; stiffness, N/mm2; Poisson's ratio; and how hot it may become. */
const of: Record<HubMaterial, { alpha: number; stiffness: number; poisson: number; hottestC: number }> = {
  steel: { alpha: 11.5e-6, stiffness: 210_000, poisson: 0.3, hottestC: 250 },
  iron: { alpha: 10.5e-6, stiffness: 110_000, poisson: 0.25, hottestC: 250 },
  aluminium: { alpha: 23e-6, stiffness: 70_000, poisson: 0.33, hottestC: 180 },
}
const SEALED_BEARING_C = 110
/** Grey iron bears little pull round its bore. */
const IRON_SHARE = 1 / 2000
/** Play that it must have to slide on: two hundredths, or a thousandth of the bore. */
const LEAST_PLAY_MM = 0.02
/** Planning value for dry steel pressed on dry iron or steel. */
const FRICTION = 0.12

const interferenceMm = z.number().gt(0).max(2)
const material = z.enum(hubMaterials)

const tooTightForIron = (iron: boolean, boreMm: number, interference: number) =>
  iron && interference > boreMm * IRON_SHARE
    ? refuse(
        'interferenceMm',
        `must be at most ${(boreMm * IRON_SHARE).toFixed(3)} in grey iron, a two-thousandth of the bore`,
      )
    : undefined

/** How hot a pulley must be to slide on to a shaft that is too large for it when both are cold. */
export const shrinkHeat = rule({
  id: 'fit.shrink-heat',
  input: z.strictObject({
    boreMm: millimetresInput,
    interferenceMm,
    material,
    roomC: z.number().min(-20).max(50).default(20),
    sealedBearing: z.boolean().default(false),
  }),
  output: z.object({ temperatureC: z.number(), hottestC: z.number() }),
  compute: ({ boreMm, interferenceMm: tight, material: hub, roomC, sealedBearing }) => {
    const iron = tooTightForIron(hub === 'iron', boreMm, tight)
    if (iron) return iron
    const { alpha, hottestC } = of[hub]
    const limit = sealedBearing ? Math.min(hottestC, SEALED_BEARING_C) : hottestC
    const temperatureC = roomC + (tight + Math.max(LEAST_PLAY_MM, boreMm / 1000)) / (alpha * boreMm)
    return temperatureC > limit
      ? refuse(
          'interferenceMm',
          `would want ${Math.ceil(temperatureC)} °C; ${limit} °C is the most here: a looser fit, or a press`,
        )
      : { temperatureC, hottestC: limit }
  },
})

/** What presses a pulley on to a shaft of steel, and what torque the fit then holds. */
export const pressFit = rule({
  id: 'fit.press',
  input: z.strictObject({
    boreMm: millimetresInput,
    hubMm: millimetresInput,
    lengthMm: millimetresInput,
    interferenceMm,
    material,
  }),
  output: z.object({ pressureNPerMm2: z.number(), forceN: z.number(), torqueNm: z.number() }),
  compute: ({ boreMm, hubMm, lengthMm, interferenceMm: tight, material: hub }) => {
    if (hubMm <= boreMm) return refuse('hubMm', `must be over boreMm, ${boreMm}`)
    const iron = tooTightForIron(hub === 'iron', boreMm, tight)
    if (iron) return iron
    const { stiffness, poisson } = of[hub]
    const ring = (hubMm ** 2 + boreMm ** 2) / (hubMm ** 2 - boreMm ** 2)
    const gives = (ring + poisson) / stiffness + (1 - of.steel.poisson) / of.steel.stiffness
    const pressureNPerMm2 = tight / (boreMm * gives)
    const forceN = FRICTION * pressureNPerMm2 * Math.PI * boreMm * lengthMm
    return { pressureNPerMm2, forceN, torqueNm: (forceN * boreMm) / 2000 }
  },
})
