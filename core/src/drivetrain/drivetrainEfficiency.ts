import { z } from 'zod'
import { planningValues } from '../data/planningValues'
import { gives } from '../rules/inputs'
import { rule } from '../rules/rule'
import { stageKinds, type StageKind } from './drivetrainRatio'

const typical: Record<StageKind, number> = {
  'v-belt': planningValues.vBeltEfficiency.value,
  'poly-v': planningValues.vBeltEfficiency.value,
  'flat-belt': planningValues.vBeltEfficiency.value,
  'crossed-belt': planningValues.vBeltEfficiency.value,
  'timing-belt': planningValues.timingBeltEfficiency.value,
  'variable-sheave': planningValues.variableSheaveEfficiency.value,
  worm: planningValues.wormEfficiency.value,
  'gear-pair': planningValues.gearMeshEfficiency.value,
  direct: 1,
}

const stage = z.strictObject({
  kind: z.enum(Object.keys(stageKinds) as [StageKind, ...StageKind[]]),
  efficiency: z.number().gt(0).max(1).optional().describe('0 to 1, this stage’s own where measured'),
})

/** Share of motor power that reaches the spindle. */
export const drivetrainEfficiency = rule({
  id: 'drivetrain.efficiency',
  title: 'Efficiency of the drive train',
  input: z.strictObject({ stages: z.array(stage).max(12).describe('from the motor shaft to the spindle') }),
  output: z.object({ efficiency: gives('0 to 1', 'spindle power over motor power') }),
  formula:
    'product over the stages: belt 0.95, variable sheaves 0.9, timing belt 0.97, gear mesh 0.97, worm 0.7, direct 1',
  source: 'Planning values; an old geared head is 0.75 to 0.85',
  example: { stages: [{ kind: 'v-belt' }] },
  compute: ({ stages }) => ({
    efficiency: stages.reduce((product, s) => product * (s.efficiency ?? typical[s.kind]), 1),
  }),
})
