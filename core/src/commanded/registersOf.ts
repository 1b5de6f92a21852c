import type { Plan } from '../plan'

/** What a bus writes into a drive and reads from it. */
export type Registers = Pick<
  Plan['commanded'],
  'speedRegister' | 'commandRegister' | 'stateRegister' | 'registerScale' | 'registerMost'
>

/** As typed for this machine, and what is not typed as the drive's own manual has it. */
export function registersOf({ commanded, manual }: Plan): Registers {
  const { speed, command, state, scale, most } = manual?.registers ?? {}
  return {
    speedRegister: commanded.speedRegister ?? speed,
    commandRegister: commanded.commandRegister ?? command,
    stateRegister: commanded.stateRegister ?? state,
    registerScale: commanded.registerScale ?? scale,
    registerMost: commanded.registerMost ?? most,
  }
}
