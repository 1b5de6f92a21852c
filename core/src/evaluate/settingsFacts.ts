import { fieldAt, settingIds, type Plan, type SettingId } from '../plan'
import { sayText } from '../quantities'
import { derivations, type SettingSources } from '../settings/deriveSettings'
import type { Derived, SettingLine, SettingValue } from '../settings/settingLine'
import { isKnown, type Reading } from './figure'
import type { Ledger } from './ledger'

export interface SettingsFacts {
  lines: SettingLine[]
  /** Numeric settings as they will act: what the drive holds, else what is chosen, else what is derived. */
  minimumHz: Reading
  maximumHz: Reading
  baseFrequencyHz: Reading
  overloadA: Reading
  decelerationS: Reading
}

/** The settings card, and the numbers among it that other figures rest on. */
export function settingsFacts(sources: SettingSources, ledger: Ledger): SettingsFacts {
  const { plan } = sources
  const rests = new Map<SettingId, readonly Reading[]>()
  const lines = settingIds.map((id) => {
    const derived = derivations[id](sources)
    rests.set(id, derived.from)
    return settingLine(id, plan, derived)
  })
  const acting = (id: SettingId): Reading => actingReading(plan, ledger, lines, id, rests.get(id) ?? [])
  return {
    lines,
    minimumHz: acting('minimumHz'),
    maximumHz: acting('maximumHz'),
    baseFrequencyHz: acting('baseFrequencyHz'),
    overloadA: acting('overloadA'),
    decelerationS: acting('decelerationS'),
  }
}

function settingLine(id: SettingId, { settings }: Plan, derived: Derived): SettingLine {
  const { chosen, inDrive } = settings
  const own: SettingValue | undefined = chosen[id]
  const held: SettingValue | undefined = inDrive[id]
  const value = own ?? derived.value
  return {
    id,
    label: fieldAt(`settings.chosen.${id}`)?.label ?? id,
    basis: own === undefined ? derived.basis : 'given',
    reason: own === undefined ? derived.reason : ['Chosen by you.'],
    missing: value === undefined ? [...new Set(derived.from.flatMap((f) => (isKnown(f) ? [] : f.missing)))] : [],
    ...(value === undefined ? {} : { value }),
    ...(held === undefined ? {} : { inDrive: held }),
  }
}

/** What a setting does in fact: the drive's own value counts before the card's. */
export const actingValue = (lines: readonly SettingLine[], id: SettingId): SettingValue | undefined => {
  const line = lines.find((l) => l.id === id)
  return line?.inDrive ?? line?.value
}

function actingReading(
  plan: Plan,
  ledger: Ledger,
  lines: readonly SettingLine[],
  id: SettingId,
  from: readonly Reading[],
): Reading {
  const field = fieldAt(`settings.chosen.${id}`)
  const naming = { id: `settings.${id}`, label: field?.label ?? id, dimension: field?.dimension ?? 'number' }
  const line = lines.find((l) => l.id === id)
  const value = actingValue(lines, id)
  if (typeof value !== 'number' || !line) return ledger.block(naming, from)
  if (plan.settings.inDrive[id] !== undefined)
    return ledger.stated(naming, value, 'measured', [], 'Read from the drive')
  const derived = plan.settings.chosen[id] === undefined
  return ledger.stated(naming, value, line.basis, derived ? from : [], derived ? sayText(line.reason) : 'Chosen by you')
}
