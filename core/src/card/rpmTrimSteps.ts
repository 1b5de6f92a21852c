import type { Manual } from '../manual'
import type { SettingId } from '../plan'
import type { Heart } from '../stages/hearts'

type Sets = Manual['trims'][number]['sets']

/** How a trim is turned at all, on any drive. */
export const BEHIND =
  'Behind a barrier, one hand, an insulated screwdriver; the meter by clips that went on while it was dead, locked and measured.'
const PROVED = 'Field and its trip proved before: one field lead lifted dead, then power: the armature must stay dead.'

/** How a trim of a drive without hertz is found with a meter, a tachometer or a watch, from its slot on. */
export function rpmTrimSteps(
  sets: Sets,
  numbers: Readonly<Partial<Record<SettingId, number>>>,
  heart: Exclude<Heart, 'inverter'>,
): string[] {
  const { leastSpeedRpm: least, mostSpeedRpm: most, armatureV, currentLimitA, accelerationS, decelerationS } = numbers
  const first = heart === 'dc' ? [BEHIND, PROVED] : [BEHIND]
  switch (sets) {
    case 'least-speed':
      return [
        ...first,
        'Motor bare and clamped, knob at its lower end, RUN.',
        `Turn until a tachometer on the shaft reads ${least ?? '?'} rpm; it still turns evenly: that is the least.`,
      ]
    case 'most-speed':
      return heart === 'dc'
        ? [
            ...first,
            'Field full. Least speed first: each moves the other a little.',
            `Knob at its upper end, slowly: the armature’s volts rise to ${armatureV ?? '?'} V and never over; the tachometer says what they make.`,
            'Knob down and up once more; both ends again.',
          ]
        : [
            ...first,
            'Least speed first: each moves the other a little.',
            `Knob at its upper end: turn until the tachometer reads ${most ?? '?'} rpm, never over it.`,
          ]
    case 'current-limit':
      return [
        ...first,
        'Its jumper in the position for this motor; the slot at its least.',
        heart === 'dc'
          ? 'Armature held by a bar that cannot fly, seconds only: a meter for direct current in the armature’s lead that went in dead.'
          : 'The shaft held by the belt and a shut chuck, seconds only; a clamp for the motor’s amps.',
        `Turn until it reads ${currentLimitA ?? '?'} A, then off at once: what stands still burns under one spot.`,
      ]
    case 'slip-compensation':
      return [
        ...first,
        'Slot at its least. Half speed, no load: note the rpm.',
        'Load it as a usual cut does; turn slowly until the rpm are what they were.',
        'It surges or hunts: too far; go back until it runs steady.',
      ]
    case 'field-loss':
      return [
        ...first,
        `The slot so that it drops out under ${numbers.fieldLossA ?? '?'} A of the field, by a meter in the field’s lead that went in dead.`,
        'At least speed, belt off: the field weakened to its weakest must not trip; a lead lifted by a switch must.',
      ]
    case 'acceleration':
      return [...first, `From standstill to the knob’s end by a watch: ${accelerationS ?? '?'} s.`]
    case 'deceleration':
      return [
        ...first,
        `From the knob’s end to standstill by a watch: ${decelerationS ?? '?'} s. What does not brake only coasts.`,
      ]
    default:
      return [BEHIND, 'Its manual says what it does; leave it where it came.']
  }
}
