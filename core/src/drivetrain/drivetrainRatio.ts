import { z } from 'zod'
import { gives } from '../rules/inputs'
import { Refusal, refuse, rule } from '../rules/rule'

/** Kinds of stage between two shafts, in the trade's words. */
export const stageKinds = {
  'v-belt': 'V-belt',
  'poly-v': 'Poly-V belt',
  'timing-belt': 'Timing belt',
  'flat-belt': 'Flat belt',
  'crossed-belt': 'Crossed flat belt',
  'variable-sheave': 'Variable sheaves',
  'gear-pair': 'Gear pair',
  worm: 'Worm and wheel',
  direct: 'Direct, coupled',
} as const

export type StageKind = keyof typeof stageKinds

/** Crossed belts and external gear pairs turn the driven shaft the other way; a worm’s wheel turns across it, by its hand. */
const reverses = (kind: StageKind): boolean => kind === 'crossed-belt' || kind === 'gear-pair'

/** Belts on two pulleys that turn smoothly by their diameters, not by teeth or by a moving sheave. */
export const isPlainBelt = (kind: StageKind | undefined): boolean =>
  kind === 'v-belt' || kind === 'poly-v' || kind === 'flat-belt' || kind === 'crossed-belt'

/** Belts that wrap two pulleys of fixed size, with teeth or without. */
export const isBelt = (kind: StageKind | undefined): boolean => isPlainBelt(kind) || kind === 'timing-belt'

const size = (which: string) =>
  z.number().gt(0).max(1e5).describe(`mm pitch diameter of the ${which} pulley, or its teeth`)

export const trainStage = z.strictObject({
  kind: z.enum(Object.keys(stageKinds) as [StageKind, ...StageKind[]]),
  driverMm: size('driving').optional(),
  drivenMm: size('driven').optional(),
  slip: z.number().min(0).max(0.5).default(0).describe('0 to 0.5, belt slip and creep in this stage'),
})

export const trainStages = z.array(trainStage).max(12).describe('from the motor shaft to the spindle')

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
  title: 'Ratio of the drive train',
  input: z.strictObject({ stages: trainStages }),
  output: z.object({
    speedRatio: gives('ratio', 'spindle rpm over motor rpm'),
    reversed: z.boolean().describe('true where the spindle turns against the motor, both seen from the same end'),
  }),
  formula:
    'product over the stages of driver/driven x (1 - stage slip); crossed belts and external gear pairs flip the sense',
  source: 'Kinematics of belt and gear trains; pitch diameters or teeth',
  example: { stages: [{ kind: 'v-belt', driverMm: 90, drivenMm: 224 }] },
  compute: ({ stages }) => trainRatio(stages),
})
