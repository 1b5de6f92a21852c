import { z } from 'zod'
import { Refusal, refuse, rule } from '../rules/rule'
import { reverses, transmissionKinds, type TransmissionKind } from './transmissionKinds'

const size = z.number().gt(0).max(1e5)

export const trainStage = z.strictObject({
  kind: z.enum(Object.keys(transmissionKinds) as [TransmissionKind, ...TransmissionKind[]]),
  driverMm: size.optional(),
  drivenMm: size.optional(),
  slip: z.number().min(0).max(0.5).default(0),
})

export const trainStages = z.array(trainStage).max(12)

/** Ratio and sense of a chain of stages; refuses a stage whose sizes are not both there. */
export function trainRatio(stages: z.output<typeof trainStages>): { speedRatio: number; reversed: boolean } | Refusal {
  let speedRatio = 1
  let reversed = false
  for (const [i, { kind, driverMm, drivenMm, slip }] of stages.entries()) {
    const coupled = kind === 'direct' && driverMm === undefined && drivenMm === undefined
    if (!coupled && driverMm === undefined)
      return refuse(`stages[${i}].driverMm`, 'is missing; it takes a number above 0')
    if (!coupled && drivenMm === undefined)
      return refuse(`stages[${i}].drivenMm`, 'is missing; it takes a number above 0')
    speedRatio *= ((driverMm ?? 1) / (drivenMm ?? 1)) * (1 - slip)
    if (reverses(kind)) reversed = !reversed
  }
  return { speedRatio, reversed }
}

/** Spindle speed per motor speed, whatever the motor does. */
export const drivetrainRatio = rule({
  id: 'drivetrain.ratio',
  input: z.strictObject({ stages: trainStages }),
  output: z.object({
    speedRatio: z.number(),
    reversed: z.boolean(),
  }),
  compute: ({ stages }) => trainRatio(stages),
})
