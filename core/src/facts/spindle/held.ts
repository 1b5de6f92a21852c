import type { Holder, Plan } from '../../plan'
import { threadSeat } from '../../workholding'

/** How a thing that spins is held: as it is said, else by the nose. */
export function held({ survey }: Plan, { heldBy, kind }: Holder): Holder['heldBy'] | 'unknown' {
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

/** What holds without anything said to spin: the chuck that a threaded nose is for. */
export const anyChuck: Holder = { id: 'chuck', kind: 'chuck' }

/** How the things that may spin are held; the chuck of a threaded nose where none is told. */
export const allHeld = (plan: Plan): ReturnType<typeof held>[] =>
  plan.survey.holders.length > 0
    ? plan.survey.holders.map((holder) => held(plan, holder))
    : plan.survey.spindleNose === undefined
      ? ['unknown']
      : plan.survey.spindleNose === 'threaded'
        ? ['thread']
        : []

/** Whether something may unscrew when the spindle is stopped hard; undefined where how it is held is not known. */
export function mayUnscrew(plan: Plan): boolean | undefined {
  const all = allHeld(plan)
  if (all.includes('thread') || all.includes('nut')) return true
  return all.includes('unknown') ? undefined : false
}

/** Of what loosens a thread, how much a stop may pull: of a measured seat, and of a planned one before anything is told. */
export const MOST_OF_SEAT = 0.5
export const EASY_OF_SEAT = 0.25

/** What a stop may pull at the nose's thread, N m: half of what was measured, a quarter of what is planned. */
export function permittedAtThread({ survey }: Plan): number | undefined {
  if (survey.seatTorqueNm !== undefined) return survey.seatTorqueNm * MOST_OF_SEAT
  if (survey.noseThreadMm === undefined || survey.noseSeat === 'gap' || survey.noseSeat === 'washer') return undefined
  const seat = threadSeat.run({ threadMm: survey.noseThreadMm })
  return seat.ok ? seat.value.seatNm * EASY_OF_SEAT : undefined
}
