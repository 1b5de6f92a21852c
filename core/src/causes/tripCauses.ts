import { heavyWork, drags } from './commonCauses'
import { against, cause, type Causes } from './causes'
import { amps, hertz, message } from '../quantities'

/** Of a drive that trips. */
export const tripCauses: Causes<'over-voltage' | 'over-current' | 'overload' | 'under-voltage'> = {
  'over-voltage': ({ plan, stop, down, shortest, rampNumbers }) => {
    return [
      cause(
        'ramp',
        against(shortest, down),
        'The stop is shorter than the drive can swallow',
        'Twice the deceleration: does it still trip?',
        'A longer deceleration, coast, or a brake resistor.',
        rampNumbers(down, shortest, 'without a resistor it swallows no stop under'),
      ),
      cause(
        'resistor',
        plan.drive.resistor === undefined ? 0.1 : 0.5,
        'The resistor is open, or the chopper is off',
        'Dead, waited, measured: its ohms. Does it get warm after five stops?',
        'Replace it; chopper on.',
      ),
      cause(
        'chuck',
        0.3,
        'Something heavier was on the spindle',
        'What was on it?',
        'A ramp for the heaviest thing.',
        stop.heaviest ? message`The heaviest known is ${stop.heaviest.name}.` : undefined,
      ),
      cause('wall', 0.2, 'The mains are high', 'Volts at the wall, at night.', 'Another tapping, or a longer ramp.'),
    ]
  },
  'over-current': ({ plan, up, quickest, rampNumbers }) => {
    return [
      cause(
        'ramp',
        against(quickest, up),
        'The ramp asks more than the drive gives',
        'Twice the ramp.',
        'Acceleration longer.',
        rampNumbers(up, quickest, 'rated torque brings it up in'),
      ),
      cause(
        'links',
        plan.motor.connection === undefined ? 0.5 : 0.25,
        'The links are for other volts',
        'Look into the box against its lid, dead and measured.',
        'Links as the Motor stage draws them.',
      ),
      cause(
        'winding',
        0.3,
        'A lead or winding touches earth',
        'Drive taken off: 500 V direct, winding to frame.',
        'The pinched cable, or a new winding.',
        plan.checks.testMOhm === undefined ? message`Its insulation was never measured.` : undefined,
      ),
      cause('brake', 0.15, 'It starts against something that is held', 'Turn by hand, locked off.', 'Free it.'),
    ]
  },
  overload: (numbers) => {
    const { minHz, baseHz, plateA, numberOfSetting } = numbers
    const overload = numberOfSetting('overloadA')
    return [
      heavyWork(numbers),
      cause(
        'setting',
        overload !== undefined && plateA !== undefined && overload < plateA * 0.97 ? 0.8 : 0.15,
        'Overload amps are set under the plate',
        'Read them back.',
        'The plate’s amps for these links.',
        overload !== undefined && plateA !== undefined
          ? message`Set to ${amps(overload)}, the plate has ${amps(plateA)}.`
          : undefined,
      ),
      cause(
        'low',
        minHz !== undefined && baseHz !== undefined && minHz < baseHz / 4 ? 0.5 : 0.2,
        'It works long at low hertz, and its model counts the fan out',
        'At how many hertz did it trip?',
        'A slower belt position and more hertz, or a blower.',
        minHz === undefined ? undefined : message`It goes down to ${hertz(minHz)}.`,
      ),
      drags,
    ]
  },
  'under-voltage': ({ plan }) => {
    return [
      cause(
        'lead',
        0.5,
        'The supply lead or an extension is too thin',
        'Volts at the drive while it starts.',
        'The cable that the Drive stage names; never an extension.',
      ),
      cause(
        'shared',
        plan.supply.breakerA === undefined ? 0.3 : 0.4,
        'Another machine starts on the same circuit',
        'Which?',
        'Not both at once, or a circuit of its own.',
      ),
      cause('loose', 0.35, 'A loose supply terminal', 'Dead and locked: tug each.', 'Torque as its manual has it.'),
      cause(
        'often',
        0.2,
        'It was switched on again too soon',
        'How long between off and on?',
        'Two minutes between power-ups.',
      ),
    ]
  },
}
