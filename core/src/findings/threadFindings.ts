import { planningValues } from '../data/planningValues'
import type { Facts } from '../facts/facts'
import { isKnown, numberOf } from '../facts/figure'
import { actingValue } from '../facts/settings/settingsFacts'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import { holderName } from '../facts/spindle/spindleLimits'
import { set, type Holder } from '../plan'
import { messageText, newtonMetres, rpm, message, seconds, type Message } from '../quantities'
import { threadSeat, unscrew } from '../workholding'
import { doesNotApply, ended, good, lacks } from './answer'
import { judgement, type Answer, type Remedy } from './finding'
import { isUsed } from './positions'

/** A ramp shorter than this on a thread of which nothing is known is a hard stop. */
const HARD_STOP_S = 5

/** Offered instead: as the plan derives it for a threaded nose. */
const PATIENT_STOP_S = planningValues.threadedRampS.value

/** Shares of the planned loosening torque: to the first a note, to the second a watch, over it a stop. */
const EASY = 0.25
const MOST = 0.5

/** A ramp that is rounded at both ends is twice as hard in its middle. */
const ROUNDED = 2

const why: Readonly<Record<'thread' | 'nut', string>> = {
  thread: 'The chuck runs on while the spindle stops, unscrews, and comes off turning.',
  nut: 'What spins runs on while the spindle stops, and turns its own nut loose.',
}

/** How a thing that spins is held: as it is said, else by the nose. */
function held({ survey }: Facts['plan'], { heldBy, kind }: Holder): Holder['heldBy'] | 'unknown' {
  if (heldBy !== undefined) return heldBy
  if (kind === 'collet') return 'taper'
  switch (survey.spindleNose) {
    case undefined:
      return 'unknown'
    case 'threaded':
      return 'thread'
    case 'none':
    case 'flange':
      if (kind === undefined) return 'unknown'
      return kind === 'wheel' || kind === 'cutter' ? 'nut' : 'bolted'
    case 'cam-lock':
    case 'long-taper-key':
      return 'bolted'
    default:
      return 'taper'
  }
}

const slower = (to: number): Remedy => ({
  label: message`Set deceleration to ${seconds(to)}`,
  patch: [set('settings.chosen.decelerationS', to), set('settings.inDrive.decelerationS', undefined)],
})

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
  const rounded = facts.plan.settings.inDrive.rampShape === 's-curve' ? ROUNDED : 1
  const pulls = positions.flatMap((position): Pull[] => {
    const topRpm = numberOf(position.unloadedTopRpm)
    if (topRpm === undefined || inertiaKgM2 === undefined || stopSeconds <= 0) return []
    const made = unscrew.run({ inertiaKgM2, speedRpm: topRpm, stopSeconds })
    return made.ok ? [{ position, topRpm, torqueNm: made.value.torqueNm * rounded }] : []
  })
  return pulls.reduce<Pull | undefined>((most, one) => (most && most.torqueNm >= one.torqueNm ? most : one), undefined)
}

/** A stop by a ramp against what holds one thing by its thread. */
function rampOn(facts: Facts, holder: Holder, index: number, stopSeconds: number): Answer {
  const about = holder.id
  const { plan, stop, speeds } = facts
  const { seatTorqueNm, noseThreadMm, noseSeat } = plan.survey
  const name = holderName(holder)
  const used = speeds.positions.filter((p) => isUsed(facts, p))
  const pull = hardest(facts, index, stopSeconds, used)
  const figures = pull ? [`position.${pull.position.position.id}.unloadedTopRpm` as const] : []
  const path = 'settings.chosen.decelerationS' as const
  if (!pull) {
    if (seatTorqueNm === undefined && stopSeconds < HARD_STOP_S)
      return unmeasured(stopSeconds, message` Its pull at the thread is not known: the chuck’s size is missing.`, about)
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
    if (pull.torqueNm <= seatTorqueNm * MOST)
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
      remedies: [slower(longer(seatTorqueNm * MOST)), coast],
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
      ? unmeasured(stopSeconds, torque, about)
      : { ...lacks('survey.noseThreadMm'), about }
  const seat = threadSeat.run({ threadMm: noseThreadMm })
  if (!seat.ok) return ended('The thread lies outside what the planning value is for', about)
  const planned = seat.value.seatNm
  const says = message`In ${seconds(stopSeconds)}${torque} Seated by hand it is planned to come loose at ${newtonMetres(planned)}, a planning value.`
  if (pull.torqueNm <= planned * EASY)
    return {
      severity: 'note',
      about,
      title: message`The thread holds this stop by a planning value`,
      says,
      why: 'Measured is better: by bar and spring balance, the lowest of three, seated by hand, before any cut.',
      figures,
      path: 'survey.seatTorqueNm',
    }
  const over = pull.torqueNm > planned * MOST
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
    remedies: [slower(longer(planned * EASY)), ...(over ? [coast] : [])],
    figures,
    path: over ? path : 'survey.seatTorqueNm',
  }
}

const unmeasured = (stopSeconds: number, torque: Message, about: string): Answer => ({
  severity: 'stop',
  about,
  title: message`A hard stop on a threaded nose`,
  says: message`The ramp is ${seconds(stopSeconds)} and the seating torque was never measured.${torque}`,
  why: why.thread,
  // With a patient ramp the thread is still to be measured, or its size told.
  remedies: [{ ...slower(PATIENT_STOP_S), step: true }, coast],
  path: 'settings.chosen.decelerationS',
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
  if (stopMode === 'coast') return good(message`It coasts to a stop.`, { about })
  if (stopMode === 'dc-brake') return braked(facts, holder, by)
  const stopSeconds = numberOf(settings.decelerationS)
  if (stopSeconds === undefined) return { ...lacks('settings.chosen.decelerationS'), about }
  if (by === 'thread') return rampOn(facts, holder, index, stopSeconds)
  return stopSeconds >= HARD_STOP_S
    ? good(message`A ramp of ${seconds(stopSeconds)}.`, { about })
    : {
        severity: 'stop',
        about,
        title: message`A hard stop on ${holderName(holder)}`,
        says: message`The ramp is ${seconds(stopSeconds)}, and what its nut or screw stands was never measured.`,
        why: why.nut,
        remedies: [slower(PATIENT_STOP_S), coast],
        path: 'settings.chosen.decelerationS',
      }
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

/** What holds without anything said to spin: the chuck that a threaded nose is for. */
const anyChuck: Holder = { id: 'chuck', kind: 'chuck' }

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
]
