import { z } from 'zod'
import { planningValues } from '../data/planningValues'
import { rule } from '../rules/rule'
import { transmissionKinds, type TransmissionKind } from './transmissionKinds'

const typical: Record<TransmissionKind, number> = {
  'v-belt': planningValues.vBeltEfficiency.value,
  'poly-v': planningValues.vBeltEfficiency.value,
  'flat-belt': planningValues.vBeltEfficiency.value,
  'crossed-belt': planningValues.vBeltEfficiency.value,
  'timing-belt': planningValues.timingBeltEfficiency.value,
  'variable-sheave': planningValues.variableSheaveEfficiency.value,
  worm: planningValues.wormEfficiency.value,
  'gear-pair': planningValues.gearMeshEfficiency.value,
  gearbox: planningValues.gearboxEfficiency.value,
  variator: planningValues.variatorEfficiency.value,
  direct: 1,
}

const stage = z.strictObject({
  kind: z.enum(Object.keys(transmissionKinds) as [TransmissionKind, ...TransmissionKind[]]),
  efficiency: z.number().gt(0).max(1).optional(),
})

/** Share of motor power that reaches the spindle. */
export const drivetrainEfficiency = rule({
  id: 'drivetrain.efficiency',
  input: z.strictObject({ stages: z.array(stage).max(12) }),
  output: z.object({ efficiency: z.number() }),
  compute: ({ stages }) => ({
    efficiency: stages.reduce((product, s) => product * (s.efficiency ?? typical[s.kind]), 1),
  }),
})
