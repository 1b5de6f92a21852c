import { planningValues } from '../data/planningValues'
import { rampPeak } from '../facts/drive/rampPeak'
import type { Facts } from '../facts/facts'
import { isKnown, numberOf } from '../facts/figure'
import { actingValue } from '../facts/settings/settingsFacts'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import { holderName } from '../facts/spindle/spindleLimits'
import { rampsAtMushroom, set, type Holder } from '../plan'
import { messageText, newtonMetres, rpm, message, seconds, type Message } from '../quantities'
import { threadSeat, unscrew } from '../workholding'
import { doesNotApply, ended, good, lacks } from './answer'
import { forSeconds } from './coasting'
import { judgement, type Answer, type Remedy } from './finding'
import { anyChuck, EASY_OF_SEAT, held, MOST_OF_SEAT } from '../facts/spindle/held'
import { isUsed } from './positions'

/** A ramp shorter than this on a thread of which nothing is known is a hard stop. */
const HARD_STOP_S = 5

/** Offered instead: as the plan derives it for a threaded nose. */
const PATIENT_STOP_S = planningValues.threadedRampS.value

const why: Readonly<Record<'thread' | 'nut', string>> = {
  thread: 'The chuck runs on while the spindle stops, unscrews, and comes off turning.',
  nut: 'What spins runs on while the spindle stops, and turns its own nut loose.',
}

/** One way in which the drive brakes to a stand, and where it is told. */
interface RampStop {
  seconds: number
  path: 'settings.chosen.decelerationS' | 'controls.quickRampS' | 'settings.inDrive.jogStopS'
}

const slower = (to: number, path: RampStop['path'] = 'settings.chosen.decelerationS'): Remedy =>
  path === 'settings.chosen.decelerationS'
    ? {
        label: message`Set deceleration to ${seconds(to)}`,
        patch: [set(path, to), set('settings.inDrive.decelerationS', undefined)],
      }
    : {
        label:
          path === 'controls.quickRampS'
            ? message`Set the quick ramp to ${seconds(to)}`
            : message`Set the ramp of the jog to ${seconds(to)}`,
        patch: [set(path, to)],
      }

/** What else may be done with each: STOP and mushroom can let it coast. */
const instead = (path: RampStop['path']): Remedy[] =>
  path === 'settings.chosen.decelerationS'
    ? [coast]
    : path === 'controls.quickRampS'
      ? [{ label: message`Let the mushroom coast`, patch: [set('controls.emergencyStop', 'coast-input')] }]
      : []

const coast: Remedy = {
  label: message`Let it coast instead`,
  patch: [set('settings.chosen.stopMode', 'coast'), set('settings.inDrive.stopMode', undefined)],
}

interface Pull {
  position: PositionFacts
  torqueNm: number
  topRpm: number
}

/** The hardest pull at the thread on some positions, at the drive's ramp rate: the same hertz a second on all of them. */
function hardest(
  facts: Facts,
  index: number,
  stopSeconds: number,
  positions: readonly PositionFacts[],
): Pull | undefined {
  const inertiaKgM2 = numberOf(facts.stop.holders[index])
  const rounded = rampPeak(facts.plan)
  const pulls = positions.flatMap((position): Pull[] => {
    const topRpm = numberOf(position.unloadedTopRpm)
    if (topRpm === undefined || inertiaKgM2 === undefined || stopSeconds <= 0) return []
    const made = unscrew.run({ inertiaKgM2, speedRpm: topRpm, stopSeconds })
    return made.ok ? [{ position, topRpm, torqueNm: made.value.torqueNm * rounded }] : []
  })
  return pulls.reduce<Pull | undefined>((most, one) => (most && most.torqueNm >= one.torqueNm ? most : one), undefined)
}

/** A stop by a ramp against what holds one thing by its thread. */
function rampOn(facts: Facts, holder: Holder, index: number, stop: RampStop): Answer {
  const used = facts.speeds.positions.filter((p) => isUsed(facts, p))
  const answer = rampOnSome(facts, holder, index, stop, used)
  if (!('good' in answer)) return answer
  // The hertz stay in the drive when the belt is moved.
  const spare = facts.speeds.positions.filter((p) => !used.includes(p))
  const there = rampOnSome(facts, holder, index, stop, spare)
  if (!('severity' in there) || there.severity === 'note') return answer
  return {
    ...there,
    severity: 'watch',
    title: message`The stop is too hard on a position that no job uses`,
  }
}

function rampOnSome(
  facts: Facts,
  holder: Holder,
  index: number,
  { seconds: stopSeconds, path }: RampStop,
  positions: readonly PositionFacts[],
): Answer {
  const about = holder.id
  const { plan, stop } = facts
  const { seatTorqueNm, noseThreadMm, noseSeat } = plan.survey
  const name = holderName(holder)
  const pull = hardest(facts, index, stopSeconds, positions)
  const figures = pull ? [`position.${pull.position.position.id}.unloadedTopRpm` as const] : []
  if (!pull) {
    if (seatTorqueNm === undefined && stopSeconds < HARD_STOP_S)
      return unmeasured(
        stopSeconds,
        message` Its pull at the thread is not known: the chuck’s size is missing.`,
        about,
        path,
      )
    const inertia = stop.holders[index]
    const missing = inertia && !isKnown(inertia) ? inertia.missing : []
    return missing.length > 0
      ? { ...lacks(...missing), about }
      : inertia && !isKnown(inertia) && inertia.refusal !== undefined
        ? ended(inertia.refusal, about)
        : { ...lacks('survey.mainPositionId'), about }
  }
  const torque = message` ${name} at ${rpm(pull.topRpm)} pulls at its thread with ${newtonMetres(pull.torqueNm)}.`
  const longer = (permittedNm: number) => Math.ceil((stopSeconds * pull.torqueNm) / permittedNm)
  if (seatTorqueNm !== undefined) {
    if (pull.torqueNm <= seatTorqueNm * MOST_OF_SEAT)
      return good(
        message`${name} pulls with ${newtonMetres(pull.torqueNm)}; half the measured ${newtonMetres(seatTorqueNm)} is the most.`,
        { about, figures },
      )
    return {
      severity: 'stop',
      about,
      title: message`The stop is too hard for the thread`,
      says: message`In ${seconds(stopSeconds)}${torque} Half the measured ${newtonMetres(seatTorqueNm)} is the most.`,
      why: why.thread,
      remedies: [slower(longer(seatTorqueNm * MOST_OF_SEAT), path), ...instead(path)],
      figures,
      path,
    }
  }
  if (noseSeat === 'gap' || noseSeat === 'washer')
    return ended(
      noseSeat === 'gap'
        ? 'Without the shoulder no planning value says what loosens it: measure it by bar and spring balance'
        : 'With a washer between no planning value says what loosens it: measure it by bar and spring balance',
      about,
    )
  if (noseThreadMm === undefined)
    return stopSeconds < HARD_STOP_S
      ? unmeasured(stopSeconds, torque, about, path)
      : { ...lacks('survey.noseThreadMm'), about }
  const seat = threadSeat.run({ threadMm: noseThreadMm })
  if (!seat.ok) return ended('The thread lies outside what the planning value is for', about)
  const planned = seat.value.seatNm
  const says = message`In ${seconds(stopSeconds)}${torque} Seated by hand it is planned to come loose at ${newtonMetres(planned)}, a planning value.`
  if (pull.torqueNm <= planned * EASY_OF_SEAT)
    return {
      severity: 'note',
      about,
      title: message`The thread holds this stop by a planning value`,
      says,
      why: 'Measured is better: by bar and spring balance, the lowest of three, seated by hand, before any cut.',
      figures,
      path: 'survey.seatTorqueNm',
    }
  const over = pull.torqueNm > planned * MOST_OF_SEAT
  return {
    severity: over ? 'stop' : 'watch',
    about,
    title: over
      ? message`The stop is too hard for an unmeasured thread`
      : message`Seat the chuck and measure what loosens it`,
    says,
    why: over
      ? why.thread
      : 'Less than half of it is permitted, and nobody knows yet how this one seats: the lowest of three, by bar and spring balance, seated by hand, before any cut.',
    remedies: [slower(longer(planned * EASY_OF_SEAT), path), ...(over ? instead(path) : [])],
    figures,
    path: over ? path : 'survey.seatTorqueNm',
  }
}

const unmeasured = (stopSeconds: number, torque: Message, about: string, path: RampStop['path']): Answer => ({
  severity: 'stop',
  about,
  title: message`A hard stop on a threaded nose`,
  says: message`The ramp is ${seconds(stopSeconds)} and the seating torque was never measured.${torque}`,
  why: why.thread,
  // With a patient ramp the thread is still to be measured, or its size told.
  remedies: [{ ...slower(PATIENT_STOP_S, path), step: true }, ...instead(path)],
  path,
})

/** A stop that brakes as hard as it can. */
const braked = ({ plan, plan: { settings } }: Facts, holder: Holder | undefined, by: 'thread' | 'nut'): Answer => ({
  severity: 'stop',
  about: holder?.id ?? 'dc',
  title:
    by === 'thread'
      ? message`A hard brake on a threaded nose`
      : message`A hard brake on ${holder ? holderName(holder) : 'a nut'}`,
  says: message`DC injection stops the spindle as hard as it can; what the ${by === 'thread' ? 'chuck’s thread' : 'nut'} stands is ${by === 'nut' || plan.survey.seatTorqueNm === undefined ? 'not known' : message`${newtonMetres(plan.survey.seatTorqueNm)}`}.`,
  why: why[by],
  remedies: [
    {
      label: message`Ramp down instead`,
      // A soft stop with a hard ramp is none.
      patch: [
        set('settings.chosen.stopMode', 'ramp'),
        set('settings.inDrive.stopMode', undefined),
        ...((settings.inDrive.decelerationS ?? settings.chosen.decelerationS ?? Infinity) < HARD_STOP_S
          ? slower(PATIENT_STOP_S).patch
          : []),
      ],
      step: true,
    },
    coast,
  ],
  path: 'settings.chosen.stopMode',
})

function stopOf(facts: Facts, holder: Holder, index: number): Answer {
  const { plan, settings } = facts
  const about = holder.id
  const by = held(plan, holder)
  if (by === 'unknown') return { ...lacks('survey.spindleNose', `survey.holders.${index}.heldBy`), about }
  if (by !== 'thread' && by !== 'nut') return doesNotApply('It is held by no thread that a stop could loosen', about)
  const stopMode = actingValue(settings.lines, 'stopMode')
  if (stopMode === undefined) return { ...lacks('settings.chosen.stopMode'), about }
  if (stopMode === 'coast') return good(message`It coasts to a stop${forSeconds(plan)}.`, { about })
  if (stopMode === 'dc-brake') return braked(facts, holder, by)
  const stopSeconds = numberOf(settings.decelerationS)
  if (stopSeconds === undefined) return { ...lacks('settings.chosen.decelerationS'), about }
  return byRamp(facts, holder, index, by, { seconds: stopSeconds, path: 'settings.chosen.decelerationS' })
}

/** A ramp against what holds one thing by a thread or a nut. */
function byRamp(facts: Facts, holder: Holder, index: number, by: 'thread' | 'nut', stop: RampStop): Answer {
  const about = holder.id
  if (by === 'thread') return rampOn(facts, holder, index, stop)
  return stop.seconds >= HARD_STOP_S
    ? good(message`A ramp of ${seconds(stop.seconds)}.`, { about })
    : {
        severity: 'stop',
        about,
        title: message`A hard stop on ${holderName(holder)}`,
        says: message`The ramp is ${seconds(stop.seconds)}, and what its nut or screw stands was never measured.`,
        why: why.nut,
        remedies: [slower(PATIENT_STOP_S, stop.path), ...instead(stop.path)],
        path: stop.path,
      }
}

/** A further stop that is told in a field of its own, against threads and nuts. */
function furtherStop(facts: Facts, path: 'controls.quickRampS' | 'settings.inDrive.jogStopS'): Answer | Answer[] {
  const { plan } = facts
  const stopSeconds = path === 'controls.quickRampS' ? plan.controls.quickRampS : plan.settings.inDrive.jogStopS
  return ofEachHolder(facts, (holder, index) => {
    const about = holder.id
    const by = held(plan, holder)
    if (by === 'unknown') return { ...lacks('survey.spindleNose', `survey.holders.${index}.heldBy`), about }
    if (by !== 'thread' && by !== 'nut') return doesNotApply('It is held by no thread that a stop could loosen', about)
    return stopSeconds === undefined
      ? { ...lacks(path), about }
      : byRamp(facts, holder, index, by, { seconds: stopSeconds, path })
  })
}

function reverseOf({ plan }: Facts, holder: Holder, index: number): Answer {
  const about = holder.id
  const by = held(plan, holder)
  if (by === 'unknown') return { ...lacks('survey.spindleNose', `survey.holders.${index}.heldBy`), about }
  if (by !== 'thread' && by !== 'nut') return good(message`${holderName(holder)} is not screwed on.`, { about })
  if (by === 'thread' && plan.controls.reverseLocked === true)
    return good(message`${holderName(holder)} is locked.`, { about })
  return {
    severity: 'stop',
    about,
    title:
      by === 'thread'
        ? message`Reverse on a threaded nose without a lock`
        : message`Reverse with ${holderName(holder)} on a nut`,
    says:
      by === 'thread'
        ? message`In reverse the cut itself unscrews the chuck.`
        : message`In reverse the cut itself turns the nut loose.`,
    why:
      by === 'thread'
        ? 'Only a clamp or key made for it holds a threaded chuck in reverse.'
        : 'Only a nut that is pinned or locked holds what spins in reverse.',
    remedies: [
      { label: message`Leave reverse out`, patch: [set('controls.reverseWanted', false)] },
      by === 'thread'
        ? { label: message`The chuck is locked`, patch: [set('controls.reverseLocked', true)] }
        : { label: message`It is locked on`, patch: [set(`survey.holders.${index}.heldBy`, 'locked')] },
    ],
    path: by === 'thread' ? 'controls.reverseLocked' : `survey.holders.${index}.heldBy`,
  }
}

/** Each thing that spins, or the chuck of a threaded nose where none is told. */
function ofEachHolder(facts: Facts, ask: (holder: Holder, index: number) => Answer): Answer | Answer[] {
  const { holders, spindleNose } = facts.plan.survey
  if (holders.length > 0)
    return once(
      holders
        .map((holder, index) => ({ holder, index, inertia: numberOf(facts.stop.holders[index]) ?? 0 }))
        .sort((a, b) => b.inertia - a.inertia)
        .map(({ holder, index }) => ask(holder, index)),
    )
  if (spindleNose === undefined) return lacks('survey.spindleNose')
  return spindleNose === 'threaded'
    ? ask(anyChuck, -1)
    : doesNotApply('No threaded nose, and nothing that spins is told')
}

/** One mistake is told once: of the heaviest thing that has it. */
function once(answers: readonly Answer[]): Answer[] {
  const told = new Set<string>()
  return answers.map((answer) => {
    if (!('severity' in answer)) return answer
    const title = messageText(answer.title)
    if (told.has(title)) return doesNotApply('It is told of what is heavier', answer.about)
    told.add(title)
    return answer
  })
}

/** What a stop or reverse does to what is screwed on. */
export const threadFindings = [
  judgement(
    {
      id: 'controls.threaded-nose-stop',
      asks: 'Stop against threads and nuts',
      stage: 'settings',
      chainLink: 'spindle',
      by: 'on-machine',
      danger: true,
    },
    (facts) => ofEachHolder(facts, (holder, index) => stopOf(facts, holder, index)),
  ),

  judgement(
    {
      id: 'controls.threaded-nose-reverse',
      asks: 'Reverse against threads and nuts',
      stage: 'settings',
      chainLink: 'spindle',
      by: 'on-machine',
      danger: true,
    },
    (facts) => {
      const { reverseWanted } = facts.plan.controls
      if (reverseWanted === undefined) return lacks('controls.reverseWanted')
      if (!reverseWanted) return good(message`It does not run in reverse.`)
      return ofEachHolder(facts, (holder, index) => reverseOf(facts, holder, index))
    },
  ),

  judgement(
    {
      id: 'controls.quick-ramp-thread',
      asks: 'Quick emergency ramp against threads and nuts',
      stage: 'settings',
      chainLink: 'spindle',
      by: 'first-spin',
      danger: true,
    },
    (facts) =>
      facts.plan.controls.emergencyStop === undefined
        ? lacks('controls.emergencyStop')
        : rampsAtMushroom(facts.plan.controls.emergencyStop)
          ? furtherStop(facts, 'controls.quickRampS')
          : doesNotApply('The mushroom does not make the drive ramp'),
  ),

  judgement(
    {
      id: 'controls.jog-thread',
      asks: 'Stop of a jog against threads and nuts',
      stage: 'settings',
      chainLink: 'spindle',
      by: 'on-machine',
      danger: true,
    },
    (facts) => furtherStop(facts, 'settings.inDrive.jogStopS'),
  ),
]
