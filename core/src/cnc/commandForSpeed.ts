import { z } from 'zod'
import { rpmInput } from '../rules/inputs'
import { refuse, rule } from '../rules/rule'

/** What to command for a true speed: the fit of the readings turned round. */
export const commandForSpeed = rule({
  id: 'cnc.command-for-speed',
  input: z.strictObject({
    wantedRpm: rpmInput,
    gain: z.number().gt(0).max(1000),
    offsetRpm: z.number().min(-1e5).max(1e5),
  }),
  output: z.object({ commandedRpm: z.number() }),
  compute: ({ wantedRpm, gain, offsetRpm }) => {
    const commandedRpm = (wantedRpm - offsetRpm) / gain
    return commandedRpm < 0
      ? refuse('wantedRpm', `must be at least ${offsetRpm}: it turns so fast at command 0`)
      : { commandedRpm }
  },
})
