import { moreAmps, beltSlips, fastPosition } from './commonCauses'
import { against, cause, type Causes } from './causes'
import { numberOf } from '../facts/figure'
import { hertz, message } from '../quantities'

/** Of a machine without pull or with another speed than was asked, hot or loud. */
export const pullCauses: Causes<'no-pull' | 'hot' | 'too-slow' | 'slows' | 'wobbles' | 'whistle'> = {
  'no-pull': ({ plan, motor, set, minHz }) => {
    return [
      cause(
        'vf',
        plan.drive.control === 'vector' ? 0.1 : 0.6,
        'Plain V/f has no pull at low hertz',
        'Boost up by 2 %, amps watched.',
        'Boost within its heat, or sensorless vector.',
        minHz === undefined ? undefined : message`It goes down to ${hertz(minHz)}.`,
      ),
      fastPosition,
      cause(
        'star',
        plan.motor.connection === 'star' ? 0.6 : 0.15,
        'The links stand in star',
        'Look into the box, dead and measured.',
        'Links as the Motor stage draws them.',
      ),
      cause(
        'poles',
        numberOf(motor.poles) === 2 ? 0.6 : 0.05,
        'A two-pole motor pulls half as much at the same power',
        'Its plate.',
        'A four-pole motor, or a larger ratio.',
      ),
      cause(
        'saver',
        set('energySaver') === 'on' ? 0.7 : 0.1,
        'An energy saver or a fan’s curve takes the volts away',
        'Read back energy saver and kind of load.',
        'Off; constant torque.',
      ),
    ]
  },
  hot: (numbers) => {
    const { plan, minHz, baseHz } = numbers
    return [
      cause(
        'fan',
        plan.motor.cooling === 'shaft-fan' && minHz !== undefined && baseHz !== undefined && minHz < baseHz / 2
          ? 0.8
          : 0.3,
        'Its fan turns with the shaft',
        'How many hertz does the work run at?',
        'A blower, a floor on the hertz, or a slower position.',
        minHz === undefined ? undefined : message`It goes down to ${hertz(minHz)}.`,
      ),
      cause(
        'boost',
        0.4,
        'Boost heats it at standstill and creep',
        'Amps at the lowest hertz, without a cut.',
        'Less boost, or vector.',
      ),
      moreAmps(numbers),
    ]
  },
  'too-slow': ({ plan, maxHz, baseHz, plateA, outputA }) => {
    return [
      cause(
        'maximum',
        maxHz !== undefined && baseHz !== undefined && maxHz > baseHz * 1.02 ? 0.6 : 0.3,
        'The highest hertz was never raised',
        'What hertz does the display show with the knob at its end?',
        'Highest hertz as the card has it; an upper limit may stand before it.',
        maxHz === undefined ? undefined : message`The plan has ${hertz(maxHz)}.`,
      ),
      cause(
        'knob',
        plan.controls.reference === 'knob' ? 0.5 : 0.2,
        'The knob does not reach its end',
        'Volts at its wiper at both ends.',
        'Gain of the speed input.',
      ),
      beltSlips,
      cause(
        'limit',
        outputA !== undefined && plateA !== undefined && outputA < plateA ? 0.6 : 0.25,
        'The current limit holds it',
        'Amps at the limit?',
        'A larger drive, a slower position, less cut.',
      ),
    ]
  },
  slows: ({ plan, plateA, worstAmps, overPlate }) => {
    return [
      cause(
        'joint',
        0.5,
        'A loose joint in the knob’s or enable’s leads',
        'Move each lead by hand, from outside the guard: does the speed jump?',
        'Dead and locked: land it again, tug.',
      ),
      cause(
        'knob',
        plan.controls.reference === 'knob' ? 0.5 : 0.15,
        'The knob is worn, or its lead unshielded',
        'Volts at the wiper while it slows.',
        'A new knob; a shielded lead, earthed at the drive.',
      ),
      cause(
        'overload',
        against(worstAmps, plateA),
        'Its overload is nearing, and it gives way',
        'Amps while it slows: at the plate’s or over?',
        'Less load, or a slower position.',
        overPlate,
      ),
      cause(
        'heat',
        0.25,
        'The drive is hot and lowers its carrier or amps',
        'Its heat sink; its display.',
        'Air: fan, filter, a larger box.',
      ),
    ]
  },
  wobbles: ({ plan }) => {
    return [
      cause('joint', 0.5, 'A loose joint', 'Move each control lead by hand.', 'Dead and locked: land it again.'),
      cause(
        'shield',
        0.4,
        'The knob’s lead picks up the motor’s',
        'Does it wobble with the knob’s lead short-circuited to a fixed speed?',
        'Shielded, away from the motor’s cable, earthed once.',
      ),
      cause(
        'hunt',
        plan.drive.control === 'vector' ? 0.35 : 0.3,
        'Its control hunts',
        'The motor tuned anew, belt off.',
        'Auto-tune; lower gain.',
      ),
    ]
  },
  whistle: ({ set, numberOfSetting }) => {
    return [
      cause(
        'carrier',
        (numberOfSetting('carrierHz') ?? 4000) < 8000 ? 0.7 : 0.2,
        'The carrier is where ears are',
        'A step higher: does it change its note?',
        'Carrier higher, as far as its amps allow.',
        typeof set('carrierHz') === 'number'
          ? message`It is set to ${hertz(numberOfSetting('carrierHz') ?? 0)}.`
          : undefined,
      ),
      cause('lamination', 0.15, 'A loose lamination or cover', 'Press the cover: gone?', 'Screws; varnish.'),
    ]
  },
}
