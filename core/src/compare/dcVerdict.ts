import { isKnown, numberOf, type FigureState } from '../facts/figure'
import { hasFedField, heartOf, type Plan } from '../plan'
import { amount, message, newtonMetres, percent, rpm, type Message } from '../quantities'
import type { DcMotor } from './dcMotor'
import type { DcWay, WayVerdict } from './dcWay'
import { ownSystemWants, wantsConverter } from './routeCosts'

/** What a way is held against. */
export interface Beside {
  kept: FigureState | undefined
  /** Jobs that say a speed. */
  wanted: number
  /** True where no belt position is left for it. */
  isNone: boolean
  motor: DcMotor
}

const stop = (says: Message): WayVerdict => ({ answer: 'stop', says })
const watch = (says: Message): WayVerdict => ({ answer: 'watch', says })
const unknown = (says: Message): WayVerdict => ({ answer: 'unknown', says })

/** Share of the DC motor's torque at the slowest job under which an AC motor is told to fall short. */
const ENOUGH = 0.95

/** What is first against a way, or what it gives. */
export function verdictOf(plan: Plan, way: Omit<DcWay, 'verdict'>, beside: Beside): WayVerdict {
  const { wanted, isNone } = beside
  const unfit = way.route === 'drive-each' ? undefined : unfitDc(plan, way)
  if (unfit) return unfit
  if (isNone) return stop(message`Every belt position here goes through gears: without them there is none.`)
  if (wanted === 0) return unknown(message`No job says its speed yet.`)
  if (!isKnown(way.slowNm))
    return way.slowNm.refusal === undefined
      ? unknown(message`What it gives is not known yet.`)
      : watch(message`${way.slowNm.refusal}.${wouldEqual(way)}`)
  const missed = wanted - way.jobs
  const allBut = message`${missed} of ${wanted} jobs ${missed === 1 ? 'is' : 'are'} out of its reach`
  return way.route === 'drive-each'
    ? acVerdict(way, beside, missed, allBut)
    : dcVerdict(plan, way, beside, missed, allBut)
}

/** What stands now and may not run, for the ways that would run it. */
function unfitDc(plan: Plan, way: Pick<DcWay, 'id'>): WayVerdict | undefined {
  if (heartOf(plan) !== 'dc') return undefined
  const { source, fieldLossTrip, brushes, commutator } = plan.dcDrive
  if (brushes === 'sparking' || commutator === 'burnt')
    return stop(message`Brushes or commutator are not fit to run: a winder first, whatever drives it.`)
  // A new drive gets its own relay, as its work says.
  const isKept = way.id === 'keep-dc' || source === 'modern'
  return isKept && hasFedField(plan) && fieldLossTrip === false
    ? stop(message`Nothing trips when the field is lost: not before that relay is in.`)
    : undefined
}

function dcVerdict(
  plan: Plan,
  way: Omit<DcWay, 'verdict'>,
  { motor }: Beside,
  missed: number,
  allBut: Message,
): WayVerdict {
  const [base, top] = [numberOf(motor.baseRpm) ?? 0, numberOf(motor.topRpm) ?? 0]
  if (wantsConverter(plan, way.route))
    return watch(message`It wants three phases and the wall has one: a converter is bought and fed with it.`)
  if (missed > 0)
    return watch(
      way.id === 'fixed-dc'
        ? message`${allBut}: it ends at base speed, ${rpm(base)} at the motor.`
        : message`${allBut}.`,
    )
  if (way.id === 'keep-dc' && heartOf(plan) === 'dc' && hasFedField(plan) && plan.dcDrive.fieldLossTrip === undefined)
    return unknown(message`Whether a lost field trips it is not known.`)
  if (way.id === 'keep-dc' && ownSystemWants(plan) === undefined)
    return unknown(message`Whether its own system wants one phase or three is not known.`)
  if (way.id === 'small-dc' && top > base)
    return watch(
      message`All speeds, by two knobs: at ${rpm(top)} the field leaves ${percent(base / top)} of its torque; back to full field before each start.`,
    )
  return { answer: 'good', says: message`The speeds of all jobs are within its reach.` }
}

function acVerdict(way: Omit<DcWay, 'verdict'>, { kept }: Beside, missed: number, allBut: Message): WayVerdict {
  const [has, had] = [numberOf(way.slowNm) ?? 0, numberOf(kept)]
  const short = had !== undefined && has < had * ENOUGH
  const falls = short
    ? message`${percent(has / had)} of the DC motor’s ${newtonMetres(had)} at the slowest job.${wouldEqual(way)}`
    : []
  if (missed > 0) return watch(message`${allBut}.${short ? message` ${falls}` : ''}`)
  if (had === undefined) return unknown(message`What the DC motor gives there is not known.`)
  return short
    ? watch(falls)
    : { answer: 'good', says: message`As strong at the slowest job, and the speeds of all jobs within its reach.` }
}

function wouldEqual(way: Pick<DcWay, 'equalW'>): Message {
  const equal = numberOf(way.equalW)
  return equal === undefined ? [] : message` ${amount('power', equal)} with a blower would equal the DC motor there.`
}
