import { otherGears, threeFeet } from './commonCauses'
import { against, cause, type Causes } from './causes'
import { pullAt } from '../runIn/stopSteps'
import { permittedAtThread } from '../facts/spindle/held'
import { numberOf } from '../facts/figure'
import { amount, hertz, message } from '../quantities'

/** Of a spindle that lets go, shakes, runs on or runs the wrong way. */
export const spindleCauses: Causes<'unscrews' | 'shakes' | 'stops-late' | 'wrong-way'> = {
  unscrews: ({ plan, stop, speeds, set, down, facts }) => {
    const top = numberOf(speeds.main?.unloadedTopRpm)
    const heaviest = stop.heaviest?.index
    const torqueNm = top === undefined || down === undefined ? undefined : pullAt(facts, heaviest, top, down)
    const permittedNm = permittedAtThread(plan)
    return [
      cause(
        'ramp',
        against(torqueNm, permittedNm),
        'The stop is harder than the thread bears',
        'Marks across chuck and nose; the same stop from half the speed.',
        'A longer deceleration, or coast.',
        torqueNm !== undefined && permittedNm !== undefined
          ? message`It pulls with ${amount('torque', torqueNm)}; ${amount('torque', permittedNm)} is the most.`
          : undefined,
      ),
      cause(
        'seat',
        plan.survey.noseSeat === 'shoulder' ? 0.25 : 0.6,
        'The chuck does not seat against its shoulder',
        'A paper strip between: does it hold all round?',
        'Clean thread and register; no washer.',
      ),
      cause(
        'reverse',
        plan.controls.reverseWanted === true && plan.controls.reverseLocked !== true ? 0.7 : 0.1,
        'It is run in reverse without a lock',
        'Did it loosen in reverse?',
        'Reverse locked out in the drive, or a lock on the chuck.',
      ),
      cause(
        'curve',
        set('rampShape') === 's-curve' ? 0.5 : 0.05,
        'A rounded ramp pulls twice as hard in its middle',
        'Read back the shape.',
        'Straight ramps.',
      ),
    ]
  },
  shakes: ({ plan, facts }) => {
    const near = facts.resonances[0]
    return [
      cause(
        'vf',
        plan.drive.control === 'vector' ? 0.1 : 0.6,
        'Plain V/f lets the motor hunt at light load',
        'Does it calm under a cut?',
        'Sensorless vector, or skip that band.',
      ),
      cause(
        'resonance',
        near ? 0.6 : 0.35,
        'Belt and masses swing together',
        'At which hertz, with the belt off too?',
        'Skip that band; another belt.',
        near ? message`This train shakes near ${hertz(near.hz)}.` : undefined,
      ),
      cause(
        'balance',
        0.35,
        'Pulley, chuck or work out of balance',
        'Without the chuck: gone?',
        'Balance it, or less speed.',
      ),
      threeFeet,
    ]
  },
  'stops-late': ({ plan, down, shortest, rampNumbers }) => {
    return [
      cause(
        'trips',
        against(shortest, plan.controls.quickRampS ?? down),
        'The braked stop trips the drive, which then lets it coast',
        'Does the display show a trip after the stop?',
        'A longer ramp, a resistor, or count with the coast.',
        rampNumbers(plan.controls.quickRampS ?? down, shortest, 'without a resistor it swallows no stop under'),
      ),
      cause(
        'coasts',
        plan.controls.emergencyStop === 'safe-torque-off' || plan.controls.emergencyStop === 'contactor' ? 0.6 : 0.2,
        'Its torque is taken away, and it coasts',
        'Time it: Run-in, emergency stop.',
        'A ramp before the torque goes; a guard that keeps hands out so long.',
      ),
      cause(
        'input',
        plan.controls.emergencyStop === 'stop-input' ? 0.5 : 0.15,
        'The mushroom only asks for STOP',
        'What happens with the drive hung?',
        'Safe torque off or a contactor.',
      ),
    ]
  },
  'wrong-way': () => {
    return [
      cause(
        'leads',
        0.7,
        'Two motor leads stand the other way',
        'Look at the shaft, then at the spindle.',
        'Off, locked, waited, measured: change two leads at the drive. Never the supply’s.',
      ),
      otherGears,
      cause('command', 0.25, 'Reverse is commanded', 'What does the display say?', 'Switch or code.'),
    ]
  },
}
