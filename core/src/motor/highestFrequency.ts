import { z } from 'zod'
import { hertzInput, rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'
import { hertzAtRpm } from './frequencyAtSpeed'
import { PULL_OUT_MARGIN } from './torqueCapability'

/** Plate hertz over which a motor is built for more than mains and is not planned beyond its plate. */
const HIGH_FREQUENCY_HZ = 100

/** What arithmetic leaves under a whole hertz is that hertz. */
const ROUNDING = 1e-9

/** Two poles run near the limit of their rotor at mains hertz already. */
export const staysAtPlate = (poles: number, plateFrequencyHz: number): boolean =>
  poles === 2 || plateFrequencyHz > HIGH_FREQUENCY_HZ

/**
 * Hertz at which constant power ends: where pull-out has only the margin over the load left, at most so many times base.
 * Where the volts are more than the plate's for that base, the whole field lasts longer.
 */
export const constantPowerHz = ({
  baseFrequencyHz,
  fluxFraction,
  breakdownRatio,
  timesBase,
}: Record<'baseFrequencyHz' | 'fluxFraction' | 'breakdownRatio' | 'timesBase', number>): number =>
  baseFrequencyHz *
  Math.max(1, fluxFraction) *
  Math.max(1, Math.min(timesBase, (Math.min(1, fluxFraction) * breakdownRatio) / PULL_OUT_MARGIN))

/** Highest hertz worth proposing: the lowest of what pull-out, bearings, drive and spindle allow. */
export const highestFrequency = rule({
  id: 'motor.highest-frequency',
  input: z.strictObject({
    plateFrequencyHz: hertzInput,
    baseFrequencyHz: hertzInput.optional(),
    fluxFraction: z.number().gt(0).max(1000).default(1),
    breakdownRatio: z.number().gt(1).max(12).optional(),
    keptAtPlate: z.boolean().default(false),
    poles: z.number().min(2).max(1e6),
    timesBase: z.number().min(1).max(5),
    safeRpm: rpmInput.optional(),
    driveHz: z.number().gt(0).max(1e9).optional(),
    spindleHz: z.number().gt(0).max(1e9).optional(),
  }),
  output: z.object({
    frequencyHz: z.number(),
    limit: z.enum(['plate', 'pull-out', 'safe-speed', 'drive', 'spindle']),
  }),
  compute: ({
    plateFrequencyHz,
    baseFrequencyHz = plateFrequencyHz,
    fluxFraction,
    breakdownRatio = Infinity,
    keptAtPlate,
    poles,
    timesBase,
    safeRpm,
    driveHz,
    spindleHz,
  }) => {
    const kept = keptAtPlate || staysAtPlate(poles, plateFrequencyHz)
    const limits = [
      {
        limit: 'pull-out' as const,
        hz: constantPowerHz({ baseFrequencyHz, fluxFraction, breakdownRatio, timesBase }),
      },
      { limit: 'plate' as const, hz: kept ? plateFrequencyHz : Infinity },
      {
        limit: 'safe-speed' as const,
        hz: safeRpm === undefined ? Infinity : Math.max(plateFrequencyHz, hertzAtRpm(safeRpm, poles)),
      },
      { limit: 'drive' as const, hz: driveHz ?? Infinity },
      { limit: 'spindle' as const, hz: spindleHz ?? Infinity },
    ]
    const lowest = limits.reduce((a, b) => (b.hz <= a.hz ? b : a))
    return { frequencyHz: Math.floor(lowest.hz + ROUNDING), limit: lowest.limit }
  },
})
