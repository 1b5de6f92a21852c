import { countedRamps, rampSeconds, type CountedRamp } from '../../drive'
import { set, setSetting, type Plan } from '../../plan'
import { hertz, message, seconds } from '../../quantities'
import { rampMeanings } from '../../stages/rampMeanings'
import { BY_EYE, byEyeAlike, numberIn, type Deduction } from './deduction'
import type { Answers } from './narrow'

/** Base and highest hertz as the drive is likeliest to hold them now. */
function hertzNow(plan: Plan, answers: Answers): { baseHz: number | undefined; topHz: number | undefined } {
  const { inDrive } = plan.settings
  const printed = (id: 'baseFrequencyHz' | 'maximumHz'): number | undefined => {
    const code = plan.manual?.codes.find((c) => c.sets === id)
    const text = code?.foundWith ?? code?.comesWith
    return text === undefined || plan.settings.state === undefined ? undefined : Number(text)
  }
  return {
    baseHz: inDrive.baseFrequencyHz ?? printed('baseFrequencyHz'),
    topHz: inDrive.maximumHz ?? numberIn(answers, 'knob-high') ?? printed('maximumHz'),
  }
}

/** How much nearer the best reading must be than the next, to be called the one. */
const CLEARLY = 2

/** What the number of a ramp counts, from two that were timed. */
export function ramps(plan: Plan, answers: Answers): Deduction[] {
  const [shown, hz1, s1, hz2, s2] = ['ramp-set', 'ramp-hz-1', 'ramp-s-1', 'ramp-hz-2', 'ramp-s-2'].map((id) =>
    numberIn(answers, id),
  )
  if (!shown || !hz1 || !s1) return []
  const rates = [hz1 / s1, ...(hz2 && s2 ? [hz2 / s2] : [])]
  const [first = 0, second = first] = rates
  const made: Deduction[] = []
  if (!byEyeAlike(first, second))
    made.push({
      id: 'shape',
      says: message`Twice the hertz do not take twice the time: its ramps are rounded, or the watch was late. Once more, to be sure.`,
      patch: [setSetting('inDrive', 'rampShape', 's-curve')],
      known: false,
    })
  // The longer way is the better measure.
  const rate = rates.at(-1) ?? first
  const { baseHz, topHz } = hertzNow(plan, answers)
  const readings = countedRamps.flatMap((meaning): { meaning: CountedRamp; off: number }[] => {
    if ((meaning === 'to-base' && baseHz === undefined) || (meaning === 'to-maximum' && topHz === undefined)) return []
    const top = topHz ?? baseHz ?? hz2 ?? hz1
    const found = rampSeconds.run({ entered: shown, meaning, baseFrequencyHz: baseHz ?? top, maximumHz: top })
    return found.ok ? [{ meaning, off: Math.abs(Math.log(top / found.value.seconds / rate)) }] : []
  })
  const [best, next] = readings.sort((a, b) => a.off - b.off)
  if (!best || best.off > Math.log(1 + 2 * BY_EYE)) {
    made.push({
      id: 'ramp',
      says: message`${hertz(Math.round(rate * 10) / 10)} a second: that is none of the ways in which seconds are counted. It may be a grade without a unit.`,
      patch: [],
      known: true,
    })
    return made
  }
  // Two readings that come to one number here are not told apart by a watch.
  const doubtful =
    next !== undefined && next.off < best.off + Math.log(1 + BY_EYE) && next.off < CLEARLY * Math.max(best.off, 0.03)
  const whole = topHz ?? hz1
  made.push(
    doubtful
      ? {
          id: 'ramp',
          says: message`"${rampMeanings[best.meaning]}" and "${rampMeanings[next.meaning]}" come to the same at these hertz: change the highest hertz and time one more.`,
          patch: [],
          known: true,
        }
      : {
          id: 'ramp',
          says: message`Its ramp counts: ${rampMeanings[best.meaning].toLowerCase()}. To ${hertz(whole)} it takes ${seconds(Math.round((whole / rate) * 10) / 10)}.`,
          patch: [set('settings.rampMeans', best.meaning), setSetting('inDrive', 'accelerationS', shown)],
          known: false,
        },
  )
  return made
}
