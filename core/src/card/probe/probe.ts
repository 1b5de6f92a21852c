import { rampSeconds, countedRamps, type CountedRamp } from '../../drive'
import { set, setSetting, type Patch, type Plan } from '../../plan'
import { hertz, message, seconds, type Message } from '../../quantities'
import { rampMeanings } from '../../stages/rampMeanings'
import { remaining, type Answers, type Possibility } from './narrow'

/** One guided test of two minutes: what to do, and what is to be noted of it. */
export interface ProbeTest {
  id: string
  name: string
  do: string[]
  notes: ProbeNote[]
}

/** Something to note: one of a few answers, or a number with its unit. */
export interface ProbeNote {
  id: string
  asks: string
  answers?: Readonly<Record<string, string>>
  unit?: 'Hz' | 's' | 'as shown'
}

/** What follows from the tests: in words, and as a change of what is known. */
export interface Deduction {
  id: string
  says: Message
  patch: Patch
  /** Whether the plan says so already. */
  known: boolean
}

/** Before each of them: what must be so. */
export const PROBE_CAUTION =
  'Motor bare and clamped, belt off, nobody at its shaft. RUN open before each test; a hand on the isolator, for it may start at once and fast.'

/** The tests, in the order in which they tell most. */
export const probeTests: readonly ProbeTest[] = [
  {
    id: 'listens',
    name: 'What it listens to',
    do: [
      'Knob at its lower end. Give RUN by the switch for three seconds, open it.',
      'Press RUN on the keypad for three seconds, press STOP.',
    ],
    notes: [
      { id: 'switch', asks: 'By the switch', answers: { runs: 'It ran', nothing: 'Nothing' } },
      { id: 'key', asks: 'By the key', answers: { runs: 'It ran', nothing: 'Nothing' } },
    ],
  },
  {
    id: 'local',
    name: 'Whether a key holds it',
    do: [
      'RUN open. Press the key that changes between keypad and terminals, if it has one, once.',
      'Give RUN by the switch for three seconds, open it.',
    ],
    notes: [
      {
        id: 'local',
        asks: 'By the switch then',
        answers: { runs: 'It ran', nothing: 'Nothing', 'no-key': 'No such key' },
      },
    ],
  },
  {
    id: 'knob',
    name: 'The knob',
    do: [
      'Stopped. Turn the knob and watch the hertz that are set.',
      'Read the display with the knob at its lower end, in the middle by eye, at its upper end.',
    ],
    notes: [
      { id: 'knob', asks: 'The hertz that are set', answers: { follows: 'Follow it', stays: 'Stay' } },
      { id: 'knob-low', asks: 'Lower end', unit: 'Hz' },
      { id: 'knob-mid', asks: 'Middle', unit: 'Hz' },
      { id: 'knob-high', asks: 'Upper end', unit: 'Hz' },
    ],
  },
  {
    id: 'ramps',
    name: 'Two ramps',
    do: [
      'Read the ramp up as it is set, and note it as the drive shows it.',
      'Set some hertz, about half. From RUN to the moment the display stands, by a watch.',
      'The same to nearly the highest.',
    ],
    notes: [
      { id: 'ramp-set', asks: 'The ramp as it is set', unit: 'as shown' },
      { id: 'ramp-hz-1', asks: 'First, to', unit: 'Hz' },
      { id: 'ramp-s-1', asks: 'First, in', unit: 's' },
      { id: 'ramp-hz-2', asks: 'Second, to', unit: 'Hz' },
      { id: 'ramp-s-2', asks: 'Second, in', unit: 's' },
    ],
  },
]

interface Listening extends Possibility {
  source: 'terminals' | 'keypad' | 'serial'
  key: 'terminals' | 'keypad'
}

/** Every way in which a drive may listen, and what each test would show. */
const listenings: readonly Listening[] = (['terminals', 'keypad', 'serial'] as const).flatMap((source) =>
  (['terminals', 'keypad'] as const).map((key): Listening => ({
    id: `${source}/${key}`,
    source,
    key,
    weight: 1,
    allows: {
      switch: [source === 'terminals' && key === 'terminals' ? 'runs' : 'nothing'],
      key: [source === 'keypad' || key === 'keypad' ? 'runs' : 'nothing'],
      // Pressed once it changes sides; a drive without the key is held by none.
      local:
        source === 'terminals' && key === 'keypad' ? ['runs'] : key === 'keypad' ? ['nothing'] : ['nothing', 'no-key'],
    },
  })),
)

const numberIn = (answers: Answers, id: string): number | undefined => {
  const text = answers[id]?.trim().replace(',', '.')
  const value = text === undefined || text === '' ? NaN : Number(/^-?\d+(\.\d+)?/.exec(text)?.[0] ?? NaN)
  return Number.isFinite(value) && value >= 0 ? value : undefined
}

/** What two numbers read by eye and by watch may differ by and still be one. */
const BY_EYE = 0.08

const alike = (a: number, b: number): boolean => Math.abs(a - b) <= BY_EYE * Math.max(Math.abs(a), Math.abs(b))

function listening(answers: Answers): Deduction[] {
  const asked = Object.fromEntries(
    ['switch', 'key', 'local'].flatMap((id) => (answers[id] === undefined ? [] : [[id, answers[id]]])),
  )
  if (Object.keys(asked).length === 0) return []
  const left = remaining(listenings, asked)
  if (left.length === 0)
    return [
      {
        id: 'contradiction',
        says: ['These do not go together on any drive: try them once more, knob a little up, RUN open between.'],
        patch: [],
        known: true,
      },
    ]
  const made: Deduction[] = []
  const sources = new Set(left.map(({ source }) => source))
  const keys = new Set(left.map(({ key }) => key))
  const [source] = sources
  const [key] = keys
  if (sources.size === 1 && source !== undefined)
    made.push({
      id: 'source',
      says: [
        {
          terminals: 'It listens to its terminals.',
          keypad: 'It listens to its keypad.',
          serial: 'It listens to the serial bus, or its enable is open.',
        }[source],
      ],
      patch: [setSetting('inDrive', 'commandSource', source)],
      known: false,
    })
  if (keys.size === 1 && key !== undefined && asked['local'] !== 'no-key')
    made.push({
      id: 'key',
      says: [
        key === 'keypad' ? 'A key holds it at its keypad: that is no setting, press it once.' : 'No key holds it.',
      ],
      patch: [set('settings.keyState', key)],
      known: false,
    })
  if (asked['switch'] === 'nothing' && asked['key'] === 'nothing')
    made.push({
      id: 'neither',
      says: ['Neither starts it: go to "It does nothing on RUN" below.'],
      patch: [],
      known: true,
    })
  return made
}

function knob(plan: Plan, answers: Answers): Deduction[] {
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
  if (middle !== undefined && low > 0 && !alike((low + high) / 2, high / 2)) {
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
    alike(high, other) &&
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
  if (alike(printed, high) || (code.foundWith !== undefined && alike(Number(code.foundWith), high))) return []
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

function ramps(plan: Plan, answers: Answers): Deduction[] {
  const [shown, hz1, s1, hz2, s2] = ['ramp-set', 'ramp-hz-1', 'ramp-s-1', 'ramp-hz-2', 'ramp-s-2'].map((id) =>
    numberIn(answers, id),
  )
  if (!shown || !hz1 || !s1) return []
  const rates = [hz1 / s1, ...(hz2 && s2 ? [hz2 / s2] : [])]
  const [first = 0, second = first] = rates
  const made: Deduction[] = []
  if (!alike(first, second))
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

const holds = (plan: Plan, patch: Patch): boolean =>
  patch.every(({ path, value }) => {
    const at = path.split('.').reduce<unknown>((o, key) => (o as Record<string, unknown> | undefined)?.[key], plan)
    return JSON.stringify(at) === JSON.stringify(value)
  })

/** What the tests made so far tell of the drive. */
export const deductions = (plan: Plan, answers: Answers): Deduction[] =>
  [...listening(answers), ...knob(plan, answers), ...ramps(plan, answers)].map((made) => ({
    ...made,
    known: made.known || holds(plan, made.patch),
  }))

/** The first test of which something is still to be noted; the one about a key only where it matters. */
export function nextTest(answers: Answers): ProbeTest | undefined {
  return probeTests.find(({ id, notes }) =>
    id === 'local'
      ? answers['switch'] === 'nothing' && answers['key'] === 'runs' && answers['local'] === undefined
      : notes.some((note) => answers[note.id] === undefined && !(id === 'knob' && answers['knob'] === 'stays')),
  )
}
