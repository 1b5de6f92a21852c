import type { SettingLine } from '../facts/settings/settingLine'
import type { Manual } from '../manual'
import { heartOf, type Plan, type SettingId } from '../plan'
import { amount, amps, hertz, message, rpm, seconds, volts, type Message } from '../quantities'
import type { Heart } from '../stages/hearts'
import { BEHIND, rpmTrimSteps } from './rpmTrimSteps'

type Trim = Manual['trims'][number]

/** Where a trim's slot is to point, how it is found with a meter, and what it stands at. */
export interface TrimSlot {
  trim: Trim
  /** What the plan wants of it, in words. */
  wants: Message
  /** Hours of the clock; undefined where the manual does not say what its ends are. */
  hour?: number
  /** Share of its turn, from the least: 0 to 1. */
  share?: number
  /** Wanted outside what it can do: which end it goes to. */
  beyond?: 'least' | 'most'
  steps: string[]
}

const DEFAULT_FROM = 7
const DEFAULT_TO = 5

/** The setting that each trim makes on a drive for hertz. */
const ofHertz: Readonly<Partial<Record<Trim['sets'], SettingId>>> = {
  'least-speed': 'minimumHz',
  'most-speed': 'maximumHz',
  'current-limit': 'currentLimitA',
  acceleration: 'accelerationS',
  deceleration: 'decelerationS',
  boost: 'boostV',
}

/** What is another setting on a drive without hertz: the top of a DC drive is its armature's volts. */
const without: Readonly<Record<Exclude<Heart, 'inverter'>, { readonly [K in Trim['sets']]?: SettingId | undefined }>> =
  {
    dc: {
      'least-speed': 'leastSpeedRpm',
      'most-speed': 'armatureV',
      'slip-compensation': 'irCompensation',
      'field-loss': 'fieldLossA',
      boost: undefined,
    },
    driver: { 'least-speed': 'leastSpeedRpm', 'most-speed': 'mostSpeedRpm', boost: undefined },
  }

/** The setting that a trim makes, by what turns the machine. */
export const settingOfTrim = (sets: Trim['sets'], heart: Heart): SettingId | undefined =>
  heart !== 'inverter' && sets in without[heart] ? without[heart][sets] : ofHertz[sets]

const wantsOf = (id: SettingId, value: number): Message => {
  switch (id) {
    case 'minimumHz':
    case 'maximumHz':
      return message`${hertz(value)}`
    case 'currentLimitA':
      return message`${amps(value)}`
    case 'boostV':
      return message`about ${Math.round(value)} V`
    case 'leastSpeedRpm':
    case 'mostSpeedRpm':
      return message`${rpm(value)} of the motor`
    case 'armatureV':
      return message`${volts(value)} at the armature`
    case 'fieldLossA':
      return message`${amount('current', value)} of the field`
    default:
      return message`${seconds(value)}`
  }
}

/** How each is found with a meter, a tachometer or a watch, from its slot on. */
function stepsFor(sets: Trim['sets'], numbers: Readonly<Partial<Record<SettingId, number>>>): string[] {
  const { minimumHz: low, maximumHz: top, currentLimitA: limit, accelerationS: up, decelerationS: down } = numbers
  switch (sets) {
    case 'least-speed':
      return [
        BEHIND,
        'Motor bare, knob at its lower end, RUN.',
        `Turn until its tachometer reads what ${low ?? '?'} Hz make: a meter’s hertz on one motor lead does as well, if it can read a drive.`,
        'It still turns steadily: that is the least.',
      ]
    case 'most-speed':
      return [
        BEHIND,
        'Motor bare, least-speed trim done first: each moves the other a little.',
        `Knob at its upper end; turn until it makes ${top ?? '?'} Hz, never past it.`,
        'Knob down and up once more; both ends again.',
      ]
    case 'current-limit':
      return [
        BEHIND,
        'Its jumper in the position for this motor first; then the slot at the plate’s amps.',
        `On the machine, a clamp on one motor lead that reads true at low hertz: load it until it slows; the clamp reads ${limit === undefined ? 'the limit' : `${limit} A`}.`,
        'It slows and hums, and does not trip: back it off a little where it trips.',
      ]
    case 'slip-compensation':
      return [
        BEHIND,
        'Slot at its least. Half speed, no load: note the rpm.',
        'Load it as a usual cut does; turn slowly until the rpm are what they were.',
        'It surges or hunts: too far; go back until it runs steady.',
      ]
    case 'acceleration':
      return [
        BEHIND,
        `From standstill to the knob’s end by a watch: ${up ?? '?'} s. Shorter only step by step on the machine.`,
      ]
    case 'deceleration':
      return [BEHIND, `From the knob’s end to standstill by a watch: ${down ?? '?'} s. It trips on the way: longer.`]
    case 'boost':
      return [
        BEHIND,
        'Slot at its least, lowest speed, motor bare; a clamp on one lead.',
        'Turn until it starts without cogging; the clamp stays under the plate’s amps.',
        'Ten minutes at the lowest speed: a hand stays on the motor.',
      ]
    default:
      return [BEHIND, 'Its manual says what it does; leave it where it came.']
  }
}

/** The hour to which a share of its turn points. */
export function hourOf({ fromHour = DEFAULT_FROM, toHour = DEFAULT_TO, moreIs }: Trim, share: number): number {
  const sweep = (toHour - fromHour + 12) % 12 || 12
  const turned = moreIs === 'counter-clockwise' ? 1 - share : share
  const hour = (fromHour + turned * sweep) % 12
  return hour === 0 ? 12 : hour
}

/** The share of its turn at which a slot points to an hour; undefined where its turn does not reach. */
export function shareOfHour(
  { fromHour = DEFAULT_FROM, toHour = DEFAULT_TO, moreIs }: Trim,
  hour: number,
): number | undefined {
  const sweep = (toHour - fromHour + 12) % 12 || 12
  const turned = ((((hour - fromHour) % 12) + 12) % 12) / sweep
  if (turned > 1 + 1e-9) return undefined
  return moreIs === 'counter-clockwise' ? 1 - turned : turned
}

/** What the amps of a limit are a share of: what the jumper that chooses the motor names. */
function jumperAmps({ jumpers }: Manual, plate: number | undefined): number | undefined {
  const choosing = jumpers.find(({ chooses }) => chooses === 'motor-power')
  const sizes = (choosing?.positions ?? [])
    .flatMap(({ means }) => {
      const found = /(\d+(?:[.,]\d+)?)\s*A\b/.exec(means)?.[1]
      return found === undefined ? [] : [Number(found.replace(',', '.'))]
    })
    .sort((a, b) => a - b)
  return sizes.find((size) => plate === undefined || size >= plate) ?? sizes.at(-1)
}

/** Every trim of a drive that is set by screwdriver: where its slot begins, and how it is tuned with a meter. */
export function trimSlots(plan: Plan, lines: readonly SettingLine[]): TrimSlot[] {
  const { manual } = plan
  if (manual === undefined) return []
  const heart = heartOf(plan)
  const numbers: Partial<Record<SettingId, number>> = {}
  // Field amps are tenths and less.
  for (const { id, value } of lines)
    if (typeof value === 'number') numbers[id] = id === 'fieldLossA' ? value : Math.round(value * 10) / 10
  return manual.trims.map((trim): TrimSlot => {
    const id = settingOfTrim(trim.sets, heart)
    const wanted = id === undefined ? undefined : numbers[id]
    const steps = heart === 'inverter' ? stepsFor(trim.sets, numbers) : rpmTrimSteps(trim.sets, numbers, heart)
    if (id === undefined || wanted === undefined) return { trim, wants: ['Left as it came.'], steps }
    const { leastValue: least, mostValue: most } = trim
    const unit = trim.sets === 'current-limit' ? jumperAmps(manual, numbers.ratedCurrentA ?? plan.motor.lowVoltageA) : 1
    const wants = wantsOf(id, wanted)
    if (least === undefined || most === undefined || most <= least || unit === undefined) return { trim, wants, steps }
    const share = (wanted / unit - least) / (most - least)
    const inside = Math.min(1, Math.max(0, share))
    return {
      trim,
      wants,
      hour: hourOf(trim, inside),
      share: inside,
      ...(share < -0.001 ? { beyond: 'least' as const } : share > 1.001 ? { beyond: 'most' as const } : {}),
      steps,
    }
  })
}
