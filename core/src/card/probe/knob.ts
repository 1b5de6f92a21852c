import { set, setSetting, type Plan } from '../../plan'
import { hertz, message } from '../../quantities'
import { byEyeAlike, numberIn, type Deduction } from './deduction'
import type { Answers } from './narrow'

/** Where the knob ends, how it is read, which half of the world, and a printed default that is false. */
export function knob(plan: Plan, answers: Answers): Deduction[] {
  const made: Deduction[] = []
  if (answers['knob'] === 'stays')
    made.push({
      id: 'reference',
      says: ['The speed comes from its keypad, not from the knob.'],
      patch: [setSetting('inDrive', 'referenceSource', 'keypad')],
      known: false,
    })
  if (answers['knob'] !== 'follows') return made
  made.push({
    id: 'reference',
    says: ['The speed comes from the knob.'],
    patch: [setSetting('inDrive', 'referenceSource', 'analogue-input')],
    known: false,
  })
  const [low, middle, high] = ['knob-low', 'knob-mid', 'knob-high'].map((id) => numberIn(answers, id))
  if (low === undefined || high === undefined) return made
  if (high < low) {
    made.push({
      id: 'backwards',
      says: message`More turn, less speed: ${hertz(low)} at the lower end, ${hertz(high)} at the upper. Its two outer wires are exchanged, or its input is inverted.`,
      patch: [],
      known: true,
    })
    return made
  }
  made.push({
    id: 'ends',
    says: message`The knob goes from ${hertz(low)} to ${hertz(high)}: these are its lowest and highest hertz, if it reaches its ends.`,
    patch: [setSetting('inDrive', 'minimumHz', low), setSetting('inDrive', 'maximumHz', high)],
    known: false,
  })
  if (middle !== undefined && low > 0 && !byEyeAlike((low + high) / 2, high / 2)) {
    const scaled = Math.abs(middle - (low + high) / 2)
    const clamped = Math.abs(middle - Math.max(low, high / 2))
    if (Math.abs(scaled - clamped) > 0.02 * high)
      made.push({
        id: 'mode',
        says: [
          scaled < clamped
            ? 'It spreads the knob over lowest to highest.'
            : 'It reads the knob from zero and holds it at the lowest.',
        ],
        patch: [setSetting('inDrive', 'knobMode', scaled < clamped ? 'scaled' : 'clamped')],
        known: false,
      })
  }
  const mains = plan.supply.frequencyHz
  const other = mains === undefined ? undefined : mains < 55 ? 60 : 50
  if (
    other !== undefined &&
    mains !== undefined &&
    byEyeAlike(high, other) &&
    Math.abs(high - other) < Math.abs(high - mains)
  )
    made.push({
      id: 'world',
      says: message`It ends at ${hertz(other)} where the mains have ${hertz(mains)}: it is likely set for the other half of the world.`,
      patch: [setSetting('inDrive', 'mainsHertz', String(other))],
      known: false,
    })
  made.push(...falseDefault(plan, high))
  return made
}

/** A highest hertz that is not what the manual prints, on a drive that was reset. */
function falseDefault({ manual, settings }: Plan, high: number): Deduction[] {
  const at = manual?.codes.findIndex((c) => c.sets === 'maximumHz') ?? -1
  const code = manual?.codes[at]
  const printed = code?.comesWith === undefined ? undefined : Number(code.comesWith)
  if (!manual || !code || settings.state !== 'reset' || printed === undefined || !Number.isFinite(printed)) return []
  if (byEyeAlike(printed, high) || (code.foundWith !== undefined && byEyeAlike(Number(code.foundWith), high))) return []
  const decimals = code.counts?.decimals ?? 0
  const codes = manual.codes.map((c, i) => (i === at ? { ...c, foundWith: high.toFixed(decimals) } : c))
  return [
    {
      id: 'default',
      says: message`Its manual prints ${hertz(printed)} for ${code.code} and it comes with ${hertz(high)}: the printed default is false. Trust none of the others unread.`,
      patch: [set('manual', { ...manual, codes })],
      known: false,
    },
  ]
}
