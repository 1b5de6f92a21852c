import { z } from 'zod'
import { millimetresInput, rpmInput } from '../rules/inputs'
import { rule } from '../rules/rule'

/** How often a toothed belt’s teeth meet their pulley in a second, the note that it sings, and how fast it runs. */
export const toothMesh = rule({
  id: 'belt.tooth-mesh',
  input: z.strictObject({ teeth: z.number().min(1).max(3000), pitchMm: millimetresInput, speedRpm: rpmInput }),
  output: z.object({ meshHz: z.number(), speedMPerS: z.number() }),
  compute: ({ teeth, pitchMm, speedRpm }) => {
    const meshHz = (teeth * speedRpm) / 60
    return { meshHz, speedMPerS: (meshHz * pitchMm) / 1000 }
  },
})
