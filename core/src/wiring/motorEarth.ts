import type { Plan } from '../plan'
import type { Draft } from './draft'
import type { DriveTerminals } from './driveTerminals'
import { endOf } from './model'

/** The earth of a motor's body, from the drive's own screw, or the bar where it has none. */
export function motorEarth(draft: Draft, { installation }: Plan, drive: DriveTerminals): void {
  const screw = drive.device.terminals.filter(({ does }) => does === 'earth').at(-1)
  draft.join({
    key: 'motor-earth',
    purpose: 'earth of the motor',
    group: 'earth',
    sheet: 'power',
    class: 'power',
    kind: 'earth',
    ends: [screw ? endOf('drive', screw.id) : endOf('bar', 'pe'), endOf('motor', 'pe')],
    areaMm2: installation.motorCableMm2,
    lengthM: installation.motorCableM,
    dead: 'under 0.1 ohm and the wire’s own, the motor’s body to the drive’s earth',
    live: 'nothing is measured here live',
  })
}
