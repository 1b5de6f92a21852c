import { doesNotApply, good, lacks, need, isUnjudged, type DoesNotApply, type CannotBeJudged } from './answer'
import { numberOf } from '../facts/figure'
import type { Plan } from '../plan'
import { set } from '../plan'
import { amount, percent, message } from '../quantities'
import { judgement, type Answer, type Verdict } from './finding'

/** Under this no temperature of the winding makes it good. */
const LEAST_MOHM = 1

/** Why a motor that is not said to be second-hand is not tested. */
const untested = ({ checks }: Plan): DoesNotApply | CannotBeJudged =>
  checks.secondHand === undefined ? lacks('checks.secondHand') : doesNotApply('The motor is new')

/** A second-hand motor on the bench, drive disconnected. */
export const checkFindings = [
  judgement(
    {
      id: 'checks.insulation',
      asks: 'Insulation of a second-hand motor',
      stage: 'motor',
      chainLink: 'motor',
      by: 'first-power',
      danger: true,
    },
    ({ plan, checks }) => {
      if (!checks) return untested(plan)
      const { testMOhm, testC } = plan.checks
      if (testMOhm === undefined)
        return {
          severity: 'watch',
          about: 'untested',
          toDo: true,
          title: message`A second-hand motor that was not tested`,
          says: message`Winding to frame, a minute at 500 V direct, with the drive disconnected: 5 MΩ at 40 °C is good, under 1 MΩ is not.`,
          why: 'A damp or broken winding takes the new drive with it at the first start.',
          path: 'checks.testMOhm',
        }
      if (testC === undefined && testMOhm < LEAST_MOHM)
        return {
          severity: 'stop',
          about: 'reject',
          title: message`The insulation has failed`,
          says: message`It measured ${amount('insulation', testMOhm)}, which is under the floor of 1 MΩ at any temperature of a room.`,
          why: 'It goes to a rewinder or to scrap. On a drive it trips at best, and is live on the frame at worst.',
          path: 'checks.testMOhm',
        }
      const known = need(checks.insulation)
      if (isUnjudged(known)) return known
      const [at40] = known
      if (checks.insulationVerdict === undefined || checks.insulationVerdict === 'pass')
        return good(message`Brought to 40 °C it is ${amount('insulation', at40)}.`, { figures: ['checks.insulation'] })
      const bad = checks.insulationVerdict === 'reject'
      return {
        severity: bad ? 'stop' : 'watch',
        about: checks.insulationVerdict,
        title: bad ? message`The insulation has failed` : message`The winding wants drying`,
        says: message`Brought to 40 °C it is ${amount('insulation', at40)}; good is 5 MΩ and over, the floor 1 MΩ.`,
        why: bad
          ? 'It goes to a rewinder or to scrap. On a drive it trips at best, and is live on the frame at worst.'
          : 'A day in a warm place, or a lamp inside, often cures it. Test again before it sees a drive.',
        figures: ['checks.insulation'],
        path: 'checks.testMOhm',
      }
    },
  ),

  judgement(
    {
      id: 'checks.phases',
      asks: 'Phases of a second-hand motor',
      stage: 'motor',
      chainLink: 'motor',
      by: 'first-power',
      danger: true,
    },
    ({ plan, checks }) =>
      !checks
        ? untested(plan)
        : checks.alike === false
          ? {
              severity: 'stop',
              title: message`The three phases are not alike`,
              says: message`They differ by ${percent(numberOf(checks.spread) ?? 0)}; within 3 % is good. Measure again with the meter’s own leads taken off.`,
              why: 'Turns are shorted, or a joint is loose, or leads are mixed up. Under load it burns.',
              figures: ['checks.spread'],
              path: 'checks.phase1Ohm',
            }
          : checks.alike === true
            ? good(message`They differ by ${percent(numberOf(checks.spread) ?? 0)}; within 3 % is good.`, {
                figures: ['checks.spread'],
              })
            : lacks('checks.phase1Ohm', 'checks.phase2Ohm', 'checks.phase3Ohm'),
  ),

  judgement(
    {
      id: 'checks.bench',
      asks: 'A second-hand motor looked at',
      stage: 'motor',
      chainLink: 'motor',
      by: 'first-spin',
      danger: true,
    },
    ({ plan, checks }) => {
      if (!checks) return untested(plan)
      const { bearings, smell, spin, starPoint } = plan.checks
      const verdicts: Verdict[] = []
      const looked = (about: 'bearings' | 'smell' | 'spin'): Answer[] =>
        verdicts.some((v) => v.about === about)
          ? []
          : [
              plan.checks[about] === undefined
                ? { ...lacks(`checks.${about}`), about }
                : good(message`Found ${plan.checks[about] === 'new' ? 'new' : 'good'}.`, { about }),
            ]
      if (bearings !== undefined && bearings !== 'new')
        verdicts.push({
          severity: bearings === 'bad' ? 'stop' : 'watch',
          about: 'bearings',
          title: bearings === 'bad' ? message`The bearings are done` : message`New bearings first`,
          says: message`They were found ${bearings}. Two bearings cost less than an evening; the old grease is of another age.`,
          why: 'A drive runs the motor faster and longer than it ever ran, and its currents pit tired bearings.',
          remedies: [{ label: message`New ones are fitted`, patch: [set('checks.bearings', 'new')] }],
          path: 'checks.bearings',
        })
      if (smell === 'bad' || smell === 'doubtful')
        verdicts.push({
          severity: smell === 'bad' ? 'stop' : 'watch',
          about: 'smell',
          title: smell === 'bad' ? message`The winding was burnt` : message`The winding has been hot`,
          says: message`Good is clear or amber varnish without a smell; black, flaking or sharp-smelling is burnt.`,
          why: 'Burnt varnish may pass the meter cold and fail at the first hot hour.',
          path: 'checks.smell',
        })
      if (spin === 'bad' || spin === 'doubtful')
        verdicts.push({
          severity: spin === 'bad' ? 'stop' : 'watch',
          about: 'spin',
          title: message`It does not spin freely`,
          says: message`Good is a quiet, even run-out by hand, without rub or end play.`,
          why: 'A rubbing rotor, a bent shaft or a wrong bearing: find it before a belt pulls on it.',
          path: 'checks.spin',
        })
      if (starPoint === 'hidden')
        verdicts.push({
          severity: 'note',
          about: 'star-point',
          title: message`The star point is hidden inside`,
          says: message`Only three leads come out; it stays in star, at the volts of the star, unless the point is found in the winding’s end and its three wires are brought out.`,
          why: 'On a drive of the lower volts it has a third of its torque above the hertz where the volts run out.',
          path: 'checks.starPoint',
        })
      return [...verdicts, ...looked('bearings'), ...looked('smell'), ...looked('spin')]
    },
  ),
]
