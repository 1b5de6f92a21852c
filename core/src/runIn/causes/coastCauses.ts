import type { Facts } from '../../facts/facts'
import { holderName } from '../../facts/spindle/spindleLimits'
import { coastFrom, massOn } from '../massOn'
import type { RunInReading } from '../reading'
import type { RunInStage } from '../stage'
import { told, type Candidate } from './cause'

/** Of a coast that is off: what was on the spindle, the drive, friction. */
export function coastCauses(facts: Facts, stage: RunInStage, reading: RunInReading, high: boolean): Candidate[] {
  const { fromRpm, positionId } = reading.row
  const position = facts.speeds.positions.find((p) => p.position.id === positionId)
  const own = stage.holder?.index
  const withThing = (index: number | undefined): number | undefined => {
    if (!position || fromRpm === undefined) return undefined
    const made = coastFrom(facts, position, index, fromRpm)
    return 'seconds' in made ? made.seconds : undefined
  }
  const things = facts.plan.survey.holders.flatMap((holder, index): Candidate[] =>
    index === own || holder.alwaysTurns === true
      ? []
      : [
          told(
            {
              id: `with-${holder.id}`,
              says: `${holderName(holder)} was on the spindle`,
              test: 'What is on it now?',
              change: 'Time it again with what this stage says.',
            },
            withThing(index),
          ),
        ],
  )
  const mass = position && massOn(facts, position, own)
  const down = facts.settings.lines.find((l) => l.id === 'decelerationS')
  return [
    ...things,
    ...(own === undefined
      ? []
      : [
          told(
            {
              id: 'nothing-on',
              says: 'Nothing was on the spindle',
              test: 'What was on it?',
              change: 'Time it again with what this stage says.',
            },
            withThing(undefined),
          ),
        ]),
    ...(high
      ? [
          {
            id: 'light-friction',
            says: 'Its friction is less than planned',
            test: 'Time it twice more: alike?',
            change: 'Keep the coast: friction follows it everywhere.',
          },
        ]
      : [
          told(
            {
              id: 'ramped',
              says: 'The drive braked it',
              test: 'Let it go by the isolator, not by STOP.',
              change: 'Time it again.',
            },
            typeof down?.value === 'number' && typeof mass === 'number' ? down.value : undefined,
          ),
          {
            id: 'drag',
            says: 'Something drags: belt too tight, a bearing, oil that is cold',
            test: 'Off and locked: belt off, turn the spindle by hand.',
            change: 'Belt to its deflection; bearings to their play; warm oil.',
          },
        ]),
  ]
}
