import { numberOf } from '../facts/figure'
import type { MeasurementKind } from '../readings/measurement'
import { messageText, message, rpm, type Message } from '../quantities'
import { looseInPlan, refusedStates } from '../plan'
import { isExpected, judgeRunIn, offBy } from '../runIn/reading'
import type { JudgedReading, JudgedStage } from '../runIn/runInSheet'
import { seenKey } from '../runIn/seenKey'
import { doesNotApply, good } from './answer'
import { judgement, type Answer, type Judged } from './finding'

/** The sheet is looked at only where something of it was read or seen. */
const hasBegun = ({ measured, plan }: Judged): boolean => measured.taken !== undefined || plan.runIn.seen !== undefined
const sheetOf = (facts: Judged): readonly JudgedStage[] => (hasBegun(facts) ? facts.runInSheet : [])

const NOT_YET = 'Nothing of it was read at the run-in yet'
const amountOf = (reading: JudgedReading, value: number) => ({ dimension: reading.dimension, value })

/** What was read at a stage, against what was computed for it. */
function against(facts: Judged, kinds: readonly MeasurementKind[], why: string): Answer | Answer[] {
  const all = sheetOf(facts).flatMap((stage) =>
    stage.readings.flatMap((reading) =>
      reading.value !== undefined && kinds.includes(reading.row.kind) ? [{ stage, reading, value: reading.value }] : [],
    ),
  )
  if (all.length === 0) return doesNotApply(NOT_YET)
  const off = all.filter(({ reading }) => reading.verdict === 'look' || reading.verdict === 'stop')
  const unjudged = all.flatMap(({ reading }) => (isExpected(reading.expected) ? [] : reading.expected.missing))
  if (off.length === 0) {
    const judged = all.filter(({ reading }) => reading.verdict === 'good').length
    if (judged === 0) return { missing: [...new Set(unjudged)] }
    return good(message`${judged} ${judged === 1 ? 'reading' : 'readings'} as expected.`)
  }
  return off.map(({ stage, reading, value }): Answer => {
    const { expected } = reading
    const [cause] = reading.causes
    const likely: Message = cause ? message` Likely: ${cause.says} ${cause.test}` : message``
    const band = isExpected(expected)
      ? message`${amountOf(reading, expected.least)} to ${amountOf(reading, expected.most)} was expected, ${offBy(value, expected)}.`
      : message``
    return {
      severity: reading.verdict === 'stop' ? 'stop' : 'watch',
      about: `${stage.id}-${reading.id}`,
      title: message`${stage.name}: ${reading.label.charAt(0).toLowerCase()}${reading.label.slice(1)} off`,
      says: message`${amountOf(reading, value)} was read; ${band}${likely}`,
      why,
      path: 'runIn.passed',
    }
  })
}

const question = { stage: 'run-in', by: 'on-machine' } as const

/** What the run-in found on the machine. */
export const runInFindings = [
  judgement(
    { id: 'run-in.amps', asks: 'Amps and volts at the run-in', chainLink: 'motor', danger: true, ...question },
    (facts) =>
      against(
        facts,
        ['amps', 'volts'],
        'Amps say what links, base and bearings are, before anything is hot. Find it at this stage: at the next there is more that it may be.',
      ),
  ),
  judgement(
    { id: 'run-in.warmth', asks: 'Temperatures at the run-in', chainLink: 'motor', danger: true, ...question },
    (facts) => against(facts, ['temperature'], 'Ten kelvin more halve the life of a winding and of its grease.'),
  ),
  judgement({ id: 'run-in.times', asks: 'Ramps and coasts at the run-in', chainLink: 'drive', ...question }, (facts) =>
    against(
      facts,
      ['run-up', 'run-down', 'coast'],
      'A ramp that takes another time than it was entered for counts otherwise than was thought, and every limit that rests on it is wrong.',
    ),
  ),
  judgement(
    { id: 'run-in.speed', asks: 'Speeds at the run-in', chainLink: 'spindle', danger: true, ...question },
    (facts) =>
      against(
        facts,
        ['spindle-speed'],
        'Every limit of chuck, wheel and belt is held against computed speeds: they must be the true ones.',
      ),
  ),
  judgement(
    { id: 'run-in.seen', asks: 'What was seen at the run-in', chainLink: 'spindle', danger: true, ...question },
    (facts) => {
      const { seen } = facts.plan.runIn
      if (seen === undefined || Object.keys(seen).length === 0) return doesNotApply('Nothing was looked at yet')
      const bad = sheetOf(facts).flatMap((stage) =>
        stage.seen.flatMap((item) => (seen[seenKey(stage, item)] === 'bad' ? [{ stage, item }] : [])),
      )
      if (bad.length === 0) return good(message`${Object.keys(seen).length} looked at, all as they should be.`)
      return bad.map(({ stage, item }): Answer => ({
        severity: item.stops ? 'stop' : 'watch',
        about: seenKey(stage, item).replace('.', '-'),
        title: message`${stage.name}: not as it should be`,
        says: message`${item.ask}: no. ${item.ifBad}`,
        why: 'Nothing goes on to the next stage with this.',
        path: 'runIn.seen',
      }))
    },
  ),
  judgement(
    { id: 'run-in.stop', asks: 'Emergency stops timed', chainLink: 'drive', danger: true, ...question },
    (facts) => {
      const { plan, measured } = facts
      const moved = Object.entries(plan.runIn.witness ?? {}).filter(([, answer]) => answer === 'moved')
      if (moved.length > 0)
        return {
          severity: 'stop',
          title: message`Something moved on its thread in a stop`,
          says: message`The marks across chuck and nose no longer met, ${moved.length} ${moved.length === 1 ? 'time' : 'times'}.`,
          why: 'The next stop may unscrew it while it turns. A longer ramp or coast; seat it again; then the marks anew.',
          path: 'runIn.witness',
        }
      if ((measured.stops ?? []).length === 0) return doesNotApply('No emergency stop was timed yet')
      const steps = facts.stopPlan.steps.filter((step) => step.read !== undefined)
      if (steps.length === 0) return doesNotApply('No stop that was timed is of what the plan has now')
      const off = steps.filter((step) => judgeRunIn({ expected: step.seconds }, step.read?.seconds) === 'look')
      if (off.length === 0) return good(message`${steps.length} timed, as expected.`)
      return off.map((step): Answer => {
        const { seconds } = step
        return {
          severity: 'watch',
          about: step.id.replace(/\./g, '-'),
          title: message`${step.of} stops otherwise than computed`,
          says: message`${{ dimension: 'time', value: step.read?.seconds ?? 0 }} from ${rpm(step.fromRpm)} on ${step.positionName}; ${isExpected(seconds) ? message`${{ dimension: 'time', value: seconds.least }} to ${{ dimension: 'time', value: seconds.most }} was expected` : ''}.`,
          why: 'Longer: the drive tripped and let it coast, or what turns is heavier. Shorter: it pulls harder at its thread than was judged.',
          path: 'runIn.witness',
        }
      })
    },
  ),
  judgement(
    { id: 'run-in.done', asks: 'Whether it may be called done', chainLink: 'spindle', stage: 'run-in', by: 'in-use' },
    (facts) => {
      const { state } = facts.plan.runIn
      if (state === undefined || state === 'building') return doesNotApply('Nobody calls it done or in use yet')
      // Steps of the build have their loose ends on the screen; a guard that is not made is a stop of its own.
      const { typed, notMade } = looseInPlan(facts.plan)
      const loose = [...typed, ...notMade.filter(({ stop }) => !stop)]
      const named = loose.map(({ what }) => what).join('; ')
      const open = sheetOf(facts).filter((stage) => stage.state === 'stop')
      const [first] = open
      const refusal = refusedStates(open.length, loose)[state]
      if (refusal === 'stop' || refusal === 'loose-stop')
        return {
          severity: 'stop',
          title: message`It is called ${state === 'done' ? 'done' : 'in use'} with a stop open`,
          says: first
            ? message`${first.name} is not as it should be.`
            : message`Not to be used until undone: ${named}.`,
          why: 'Whoever works at it next trusts the word.',
          remedies: [{ label: message`It is still being made`, patch: [{ path: 'runIn.state', value: 'building' }] }],
          path: 'runIn.state',
        }
      if (refusal === 'loose')
        return {
          severity: 'watch',
          title: message`It is called done with loose ends`,
          says: message`${named}.`,
          why: 'Temporary measures are forgotten first, and found by whoever is hurt.',
          remedies: [{ label: message`In use, with loose ends`, patch: [{ path: 'runIn.state', value: 'in-use' }] }],
          path: 'runIn.state',
        }
      return good(loose.length === 0 ? message`No loose end is left.` : message`In use with these open: ${named}.`)
    },
  ),
  judgement(
    { id: 'dial.reads', asks: 'Dial against settings and pulleys', chainLink: 'spindle', stage: 'dial', by: 'in-use' },
    (facts) => {
      const { measured, speeds } = facts
      const read = speeds.positions.flatMap((position) => {
        const fit =
          measured.positions[position.position.id]?.dial ??
          (speeds.positions.length === 1 ? measured.anywhere.dial : undefined)
        return fit ? [{ position, fit }] : []
      })
      if (read.length === 0) return doesNotApply('The dial was not read yet')
      return read.map(({ position, fit }): Answer => {
        const about = position.position.id
        const top = numberOf(position.unloadedTopRpm)
        const end = fit.straight
          ? fit.intercept + fit.slope * (facts.plan.dial.toMark ?? 10)
          : Math.max(...fit.table.map((t) => t.rpm))
        if (top !== undefined && facts.plan.controls.knobTopHz === undefined && Math.abs(end / top - 1) > 0.07)
          return {
            severity: 'watch',
            about,
            title: message`The dial was read on other hertz or another pulley`,
            says: message`On ${position.name} its last mark gives ${rpm(end)} by the readings; settings and pulleys make it ${rpm(top)}.`,
            why: 'A plate of the old readings lies. Read the dial again, or put hertz and pulley back.',
            path: 'dial.plate',
          }
        if (fit.outliers.length > 0)
          return {
            severity: 'note',
            about,
            title: message`${fit.outliers.length === 1 ? 'A reading' : `${fit.outliers.length} readings`} of the dial left out`,
            says: message`On ${position.name}: ${fit.outliers.map(({ dial, rpm: n }) => messageText(message`mark ${dial} with ${rpm(n)}`)).join('; ')}. The others lie within ${rpm(fit.maxErrorRpm)}.`,
            why: 'The plate does not rest on them. Read those marks again, and take the wrong ones away.',
            path: 'dial.plate',
          }
        return good(message`${fit.count} readings on ${position.name}, within ${rpm(fit.maxErrorRpm)}.`, { about })
      })
    },
  ),
]
