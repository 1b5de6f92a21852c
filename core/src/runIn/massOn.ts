import { stopByTorque } from '../drivetrain'
import type { Facts } from '../facts/facts'
import { isKnown, numberOf } from '../facts/figure'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import { spindleInertia } from '../workholding'
import { missingOf } from './motorAt'
import type { Message } from '../quantities'
import { within, type Expected, type NotExpected } from './reading'
import { line, lines, type Working } from './working'

/** All that turns with one thing on the spindle, or with nothing on it, kg m2 at the spindle of a position. */
export function massOn(
  { plan, stop }: Facts,
  position: PositionFacts,
  holder: number | undefined,
): number | NotExpected {
  const on = plan.survey.holders.flatMap(({ alwaysTurns }, i) =>
    i === holder || alwaysTurns === true ? [stop.holders[i]] : [],
  )
  const known = [stop.rotor, position.speedRatio, ...on] as const
  if (known.some((f) => f === undefined || !isKnown(f))) return missingOf(...known)
  const made = spindleInertia.run({
    loadKgM2: on.reduce((sum, f) => sum + (numberOf(f) ?? 0), 0),
    rotorKgM2: numberOf(stop.rotor),
    pulleysKgM2: numberOf(stop.pulleys) ?? 0,
    speedRatio: numberOf(position.speedRatio),
  })
  return made.ok ? made.value.inertiaKgM2 : { missing: [], because: made.faults[0]?.message ?? 'No inertia' }
}

export interface Coast {
  seconds: number
  turns: number
  working: Working
  /** Of the friction, which is a planning value until a coast was timed. */
  typical: boolean
}

/** How long it runs on by itself from a speed. */
export function coastFrom(
  facts: Facts,
  position: PositionFacts,
  holder: number | undefined,
  rpm: number,
): Coast | NotExpected {
  const mass = massOn(facts, position, holder)
  if (typeof mass !== 'number') return mass
  const { frictionNm } = facts.stop
  const torqueNm = numberOf(frictionNm)
  if (torqueNm === undefined || !isKnown(frictionNm)) return missingOf(frictionNm)
  const made = stopByTorque.run({ inertiaKgM2: mass, speedRpm: rpm, torqueNm })
  return made.ok
    ? {
        ...made.value,
        working: {
          ruleId: 'drivetrain.stop-by-torque',
          from: lines({
            inertiaKgM2: line('All that turns, at the spindle', mass, 'inertia'),
            speedRpm: line('From', rpm, 'speed'),
            torqueNm: frictionNm,
          }),
        },
        typical: facts.plan.survey.coastS === undefined,
      }
    : { missing: [], because: made.faults[0]?.message ?? 'No coast' }
}

/** Shares by which a coast may be off: where the friction is a planning value, and once a coast was timed. */
const UNTIMED = [0.6, 1.5] as const
const TIMED = [0.25, 0.3] as const

/** What a coast should take, by whoever tells how it was had. */
export const coastExpected = (made: Coast | NotExpected, by: (typical: boolean) => Message): Expected | NotExpected =>
  'seconds' in made
    ? within(made.seconds, made.typical ? UNTIMED : TIMED, by(made.typical), made.working, { typical: made.typical })
    : made
