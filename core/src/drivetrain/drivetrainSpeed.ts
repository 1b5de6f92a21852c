import { z } from 'zod'
import { evenPoles, gives, hertzFromZero, slip } from '../rules/inputs'
import { Refusal, rule } from '../rules/rule'
import { trainRatio, trainStages } from './drivetrainRatio'

/** Spindle speed at a motor frequency, through any chain of stages. */
export const drivetrainSpeed = rule({
  id: 'drivetrain.speed',
  title: 'Spindle speed through the drive train',
  input: z.strictObject({
    frequencyHz: hertzFromZero('at the motor'),
    poles: evenPoles,
    slip: slip('motor slip at that frequency and load').default(0),
    stages: trainStages,
  }),
  output: z.object({
    spindleRpm: gives('rpm', 'spindle speed'),
    speedRatio: gives('ratio', 'spindle rpm over motor rpm'),
    reversed: z.boolean().describe('true where the spindle turns against the motor, both seen from the same end'),
  }),
  formula:
    'n = (120 f / p)(1 - s) x product of driver/driven x (1 - stage slip); crossed belts and external gear pairs flip the sense',
  source: 'Kinematics of belt and gear trains; pitch diameters or teeth',
  example: { frequencyHz: 50, poles: 4, slip: 0.05, stages: [{ kind: 'v-belt', driverMm: 90, drivenMm: 224 }] },
  compute: ({ frequencyHz, poles, slip: motorSlip, stages }) => {
    const train = trainRatio(stages)
    if (train instanceof Refusal) return train
    return { spindleRpm: ((120 * frequencyHz) / poles) * (1 - motorSlip) * train.speedRatio, ...train }
  },
})
