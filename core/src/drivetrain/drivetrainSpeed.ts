import { z } from 'zod'
import { evenPolesInput, hertzFromZeroInput, slipInput } from '../rules/inputs'
import { Refusal, rule } from '../rules/rule'
import { trainRatio, trainStages } from './drivetrainRatio'

/** Spindle speed at a motor frequency, through any chain of stages. */
export const drivetrainSpeed = rule({
  id: 'drivetrain.speed',
  input: z.strictObject({
    frequencyHz: hertzFromZeroInput,
    poles: evenPolesInput,
    slip: slipInput.default(0),
    stages: trainStages,
  }),
  output: z.object({
    spindleRpm: z.number(),
    speedRatio: z.number(),
    reversed: z.boolean(),
  }),
  compute: ({ frequencyHz, poles, slip: motorSlip, stages }) => {
    const train = trainRatio(stages)
    if (train instanceof Refusal) return train
    return { spindleRpm: ((120 * frequencyHz) / poles) * (1 - motorSlip) * train.speedRatio, ...train }
  },
})
