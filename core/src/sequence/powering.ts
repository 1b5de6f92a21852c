import type { Plan } from '../plan'
import type { Wire, WireGroup, Wiring } from '../wiring/model'
import { DRIVE_OFF, MAGNET, type Add } from './adding'
import { stepReading } from './step'

/** Wires that carry power. */
export function powering(
  plan: Plan,
  wiring: Wiring,
  step: Add,
  wires: (of: (w: Wire) => boolean) => string[],
  group: (...g: WireGroup[]) => string[],
): void {
  if (wiring.jumpers.length > 0)
    step({
      id: 'jumpers',
      part: 'power',
      title: 'Jumpers before anything has power',
      do: wiring.jumpers.map(({ prints, position, why }) => `${prints} to ${position}: ${why}.`),
      sees: ['Looked at once more with the lid off.'],
      caution: DRIVE_OFF,
    })
  step({
    id: 'motor',
    part: 'power',
    title: 'Motor box and motor cable',
    do: [
      'Links as the lid’s picture shows them; it is the authority.',
      'Cores through the gland, shield clamped all round, ends ferruled or ringed, tugged.',
      `At the drive: each as it is printed${torqueOf(plan, 'motor')}.`,
    ],
    wires: group('motor'),
    readings: [
      stepReading('insulation', 'Cable with motor, core to earth, before the drive is on', 'insulation', { least: 1 }),
    ],
    sees: ['A megohm or more before the cores are landed on the drive.'],
    caution: `${DRIVE_OFF}${plan.motor.kind === 'brushless' || plan.motor.kind === 'servo' ? MAGNET : ''}`,
    looseEnd: { what: 'The motor cable is not finished', stop: true },
  })
  const isolator = plan.wiring.isolator
  if (isolator !== 'none')
    step({
      id: 'isolator',
      part: 'power',
      title: isolator === 'plug' ? 'The plug, in reach' : 'The isolator, in reach',
      do: [
        'Stand where you work: it is in reach, and seen.',
        ...(isolator === 'plug' ? [] : ['A padlock goes through it.']),
        'It opens every live conductor: measured dead, in and out, off and on.',
      ],
      sees: ['Off, no conductor goes through.'],
      looseEnd: { what: 'The isolator is not proved', stop: true },
    })
  step({
    id: 'supply',
    part: 'power',
    title: 'Wall to drive',
    do: [`Every conductor under its own screw${torqueOf(plan, 'mains')}, tugged.`],
    wires: wires((w) => w.group === 'supply'),
    sees: [
      'Line is where the manual wants the line, neutral where it wants the neutral; nothing of it is near U, V, W.',
    ],
    caution: 'Never the supply on the motor terminals or on the bus.',
    licensed: true,
    looseEnd: { what: 'The supply is not finished', stop: true },
  })
}

/** How tight the manual wants the screws of a group. */
function torqueOf({ manual }: Plan, group: 'mains' | 'motor'): string {
  const torque = manual?.clamps.find((c) => c.group === group)?.torqueNm
  return torque === undefined ? ', tightened as the manual says' : `, tightened to ${torque} N m`
}
