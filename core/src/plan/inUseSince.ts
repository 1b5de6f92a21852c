import type { Plan } from './plan'

/** The day from which a machine is in use: that of its last hold point, once it is called so. ISO 8601. */
export const inUseSince = ({ state, passed = {} }: Plan['runIn']): string | undefined =>
  state === 'in-use' || state === 'done' ? Object.values(passed).sort().at(-1) : undefined
