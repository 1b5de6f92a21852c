import { set, type Patch, type Plan } from '../plan'

/** Sets the highest hertz, also where the drive was read to hold another. */
export const highestHertz = ({ settings }: Plan, hz: number): Patch => [
  set('settings.chosen.maximumHz', hz),
  ...(settings.inDrive.maximumHz === undefined ? [] : [set('settings.inDrive.maximumHz', hz)]),
]
