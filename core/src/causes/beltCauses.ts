import { against, cause, type Causes } from './causes'
import { numberOf } from '../facts/figure'
import { amount, message } from '../quantities'

/** Of belts that squeal, walk or whine. */
export const beltCauses: Causes<'belt-start' | 'belt-walks' | 'belt-whine'> = {
  'belt-start': ({ up, quickest, slips, start, rampNumbers }) => {
    return [
      cause(
        'ramp',
        against(quickest, up),
        'The ramp is too short for what turns',
        'Twice the ramp: is it quiet?',
        'Acceleration longer, or an S-curve.',
        rampNumbers(up, quickest, 'rated torque brings it up in'),
      ),
      cause(
        'tension',
        slips === undefined ? 0.4 : against(start, slips),
        'The belt is too slack for a start',
        'Press the span, or hear its hum, dead and locked.',
        'Tension as the Survey has it.',
        slips === undefined || start === undefined
          ? undefined
          : message`It holds ${amount('torque', slips)}; a start can ask ${amount('torque', start)}.`,
      ),
      cause(
        'align',
        0.35,
        'The pulleys do not stand in one plane',
        'A straight edge over both, dead and locked.',
        'Within half a millimetre for each 100 mm of distance.',
      ),
      cause(
        'flanks',
        0.2,
        'Polished flanks or oil in the grooves',
        'Look, dead and locked.',
        'Clean with spirit; a glazed belt is changed.',
      ),
    ]
  },
  'belt-walks': ({ plan, set }) => {
    return [
      cause(
        'align',
        0.6,
        'The pulleys do not stand in one plane',
        'A straight edge over both, dead and locked; turn by hand and watch.',
        'Motor by its slots until the edge lies on four places.',
      ),
      cause(
        'crown',
        plan.survey.positions.some((p) =>
          p.transmission.some((s) => s.kind === 'flat-belt' || s.kind === 'crossed-belt'),
        )
          ? 0.55
          : 0.15,
        'A flat pulley has no crown, or a worn one',
        'A rule across the face: light under its ends?',
        'A crown of 0.3 to 0.5 mm on the larger one.',
      ),
      cause(
        'rounded',
        set('rampShape') === 's-curve' ? 0.1 : 0.4,
        'The ramp begins with a jerk',
        'Does it walk in the first second only?',
        'S-curve ramps; the thread then bears half.',
      ),
      cause(
        'keeper',
        plan.mount.keeper === 'fitted' ? 0.1 : 0.3,
        'Nothing keeps it on',
        'Where does it leave: at the start or under a cut?',
        'A keeper beside the slack span, a finger’s breadth off.',
      ),
    ]
  },
  'belt-whine': ({ facts }) => {
    return [
      cause(
        'tight',
        0.6,
        'The belt is too tight',
        'Slacken by a turn of the screw: does it fall silent?',
        'Tension as the Survey has it; feel the bearings after.',
      ),
      cause(
        'align',
        0.4,
        'The pulleys do not stand in one plane',
        'A straight edge over both, dead and locked.',
        'Align by the motor’s slots.',
      ),
      cause(
        'fast',
        against(
          Math.max(...facts.speeds.positions.flatMap((p) => p.belts.map((b) => numberOf(b.speedMPerS) ?? 0)), 0),
          30,
        ) * 0.8,
        'The belt runs fast',
        'Does it whine above some speed only?',
        'Less speed on that position.',
      ),
    ]
  },
}
