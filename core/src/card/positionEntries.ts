import { asDriveCounts } from '../facts/settings/rampOfDrive'
import { shareOfPlan } from '../facts/settings/shareOf'
import type { SettingLine } from '../facts/settings/settingLine'
import { codesFor, encode, type Value } from '../manual'
import type { Plan, SettingId } from '../plan'
import { settingNames } from '../stages/settingTable'
import type { ChangeOverLine } from '../speeds/changeOver'

/** A value to enter when the belt is put on a position. */
export interface PositionEntry {
  id: SettingId
  label: string
  /** Undefined where no manual tells the code. */
  code?: string
  /** As the drive writes it; else in base units. */
  value: string
  /** Whether it is another than on the position used most. */
  differs: boolean
}

/** Seconds of a stop are set to a tenth upward: less would trip or unscrew. */
const inTenths = (seconds: number): number => Math.ceil(seconds * 10) / 10

/**
 * What changes in the drive with each belt position: the display's scale, the highest hertz that what spins allows there,
 * and the stop; by this drive's codes. Empty where nothing of it is known, or there is one position only.
 */
export function positionEntries(
  plan: Plan,
  lines: readonly SettingLine[],
  positions: readonly ChangeOverLine[],
): Map<string, PositionEntry[]> {
  if (positions.length < 2) return new Map()
  const of = shareOfPlan(plan, lines)
  const valueOf = (id: SettingId): Value | undefined => lines.find((l) => l.id === id)?.value
  const topHz = valueOf('maximumHz')
  const setStopS = valueOf('decelerationS')
  const shows = valueOf('displayShows') === 'scaled'
  const wantedOn = (p: ChangeOverLine): [SettingId, number | undefined][] => {
    // On the position used most the card's own values stand: what is wrong with them is told as a finding.
    const maximumHz = typeof topHz === 'number' ? (p.main ? topHz : Math.min(topHz, p.limitHz ?? topHz)) : undefined
    return [
      ['displayScale', shows && p.rpmPerHz !== undefined ? Math.round(p.rpmPerHz * 1000) / 1000 : undefined],
      ['maximumHz', maximumHz === undefined || p.main ? maximumHz : Math.floor(maximumHz * 10) / 10],
      [
        'decelerationS',
        typeof setStopS !== 'number'
          ? undefined
          : p.main
            ? setStopS
            : p.stopS === undefined
              ? undefined
              : inTenths(Math.max(setStopS, p.stopS)),
      ],
    ]
  }
  const written = (id: SettingId, value: number, maximumHz: number | undefined): Omit<PositionEntry, 'differs'> => {
    const code = plan.manual && codesFor(plan.manual, id)[0]
    const counted = asDriveCounts(plan, id, value, { baseHz: of.baseHz, maximumHz })
    const text = code && counted !== undefined ? encode(code, { [id]: counted }, { ...of, maximumHz }) : undefined
    return {
      id,
      label: settingNames[id],
      value: typeof text === 'string' ? text : String(value),
      ...(code && typeof text === 'string' ? { code: code.code } : {}),
    }
  }
  const made = positions.map((p): [ChangeOverLine, Omit<PositionEntry, 'differs'>[]] => {
    const wanted = wantedOn(p)
    const maximumHz = wanted.find(([id]) => id === 'maximumHz')?.[1]
    return [p, wanted.flatMap(([id, value]) => (value === undefined ? [] : [written(id, value, maximumHz)]))]
  })
  const main = made.find(([p]) => p.main)?.[1] ?? []
  // What is the same everywhere is no matter of the belt.
  const changes = new Set(
    made.flatMap(([, entries]) =>
      entries.flatMap(({ id, value }) => (main.find((m) => m.id === id)?.value === value ? [] : [id])),
    ),
  )
  return new Map(
    made.map(([p, entries]) => [
      p.id,
      entries
        .filter(({ id }) => changes.has(id))
        .map((entry) => ({ ...entry, differs: main.find((m) => m.id === entry.id)?.value !== entry.value })),
    ]),
  )
}
