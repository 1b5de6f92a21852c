// What comes between motor and machine: list, fit of the pulley, tension of the belt, and the plate drawn.
export { pitchOf } from '../mount/pitchOf'
export type { Hum } from '../mount/mountFit'
export type { Mount, MountTask } from '../mount/mountOf'
