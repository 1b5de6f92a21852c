import type { JudgedLine } from '../findings/finding'
import { holderName } from '../facts/spindle/spindleLimits'
import { positionName, fieldAt, type Plan } from '../plan'
import { listed, message, type Message } from '../quantities'

/** How much was judged, and how it came out. */
export interface Tally {
  good: number
  found: number
  notJudged: number
  /** Of what is not judged yet, how much is due now. */
  due: number
  doesNotApply: number
}

/** How many answers there are of each kind, and how many of the missing ones are due. */
export function tally(judged: readonly JudgedLine[]): Tally {
  const count = (answer: JudgedLine['answer']) => judged.filter((line) => line.answer === answer).length
  return {
    good: count('good'),
    found: count('found'),
    notJudged: count('cannot-be-judged'),
    due: judged.filter((line) => line.answer === 'cannot-be-judged' && line.due).length,
    doesNotApply: count('does-not-apply'),
  }
}

/**
 * How much was judged, in a line.
 *
 * @example tallyWords({ good: 61, found: 6, notJudged: 9, due: 4, doesNotApply: 3 }) // '61 good, 6 found, 9 not judged yet, 4 of them due now'
 */
export const tallyWords = ({ good, found, notJudged, due }: Tally): string =>
  [
    `${good} good`,
    `${found} found`,
    ...(notJudged === 0 ? [] : [`${notJudged} not judged yet`]),
    ...(due === 0 ? [] : [notJudged === due ? 'all of them due now' : `${due} of them due now`]),
  ].join(', ')

/** What an answer says, with what it wants before it can be given. */
export function answerWords({ answer, says, missing }: JudgedLine): Message {
  if (answer !== 'cannot-be-judged' || missing.length === 0) return says
  const wants = listed([...new Set(missing.map((path) => fieldAt(path).label.toLowerCase()))])
  return says.length === 0 ? message`Not known yet: ${wants}` : message`Not known yet: ${wants}. ${says}`
}

/**
 * What was asked, and of which position, belt, job or thing that spins where there are several.
 */
export function askedOf({ survey }: Plan, { id, asks }: JudgedLine): string {
  const about = id.split('/')[1]?.replace(/-(elsewhere|ended)$/, '')
  if (about === undefined) return asks
  const position = survey.positions.findIndex(
    (p) => p.id === about || about.startsWith(`position-${p.id}-`) || about.startsWith(`${p.id}-`),
  )
  const at = survey.positions[position]
  if (at) return `${asks}: ${positionName(at, position)}`
  const holder = survey.holders.find((h) => h.id === about)
  if (holder) return `${asks}: ${holderName(holder)}`
  const job = survey.jobs.findIndex((j) => j.id === about)
  return job < 0 ? asks : `${asks}: ${survey.jobs[job]?.name?.trim() || `job ${job + 1}`}`
}
