import { fieldAt, settingIds, type Plan, type SettingId } from '../../plan'
import { messageText } from '../../quantities'
import { derivations, type SettingInputs } from './deriveSettings'
import type { Derived, SettingLine, SettingValue } from './settingLine'
import { isKnown, type FigureState } from '../figure'
import { fluxFacts, type FluxFacts } from '../motor/fluxFacts'
import { named, type Ledger, type Naming } from '../ledger'

export interface SettingsFacts {
  lines: SettingLine[]
  /** Numeric settings as they will act: what the drive holds, else what is chosen, else what is derived. */
  minimumHz: FigureState
  maximumHz: FigureState
  baseFrequencyHz: FigureState
  overloadA: FigureState
  decelerationS: FigureState
  /** What its volts and base make of the motor's field. */
  flux: FluxFacts
}

/** The settings card, and the numbers among it that other figures rest on. */
export function settingsFacts(before: Omit<SettingInputs, 'baseFrequencyHz' | 'flux'>): SettingsFacts {
  const { plan, ledger } = before
  // The base comes first: what the highest hertz may be rests on the field that it leaves.
  const base = derivations.baseFrequencyHz(before)
  const baseFrequencyHz = actingFigure(
    plan,
    ledger,
    [settingLine('baseFrequencyHz', plan, base)],
    'baseFrequencyHz',
    base,
  )
  const flux = fluxFacts({ ...before, baseFrequencyHz })
  const inputs: SettingInputs = { ...before, baseFrequencyHz, flux }
  const derived = new Map(settingIds.map((id) => [id, derivations[id](inputs)]))
  const lines = [...derived].map(([id, made]) => settingLine(id, plan, made))
  const acting = (id: ActingId): FigureState => {
    const made = derived.get(id)
    return made ? actingFigure(plan, ledger, lines, id, made) : ledger.block(actingName(id), [])
  }
  return {
    lines,
    minimumHz: acting('minimumHz'),
    maximumHz: acting('maximumHz'),
    baseFrequencyHz,
    overloadA: acting('overloadA'),
    decelerationS: acting('decelerationS'),
    flux,
  }
}

/** Settings that figures rest on. */
type ActingId = 'minimumHz' | 'maximumHz' | 'baseFrequencyHz' | 'overloadA' | 'decelerationS'

function settingLine(id: SettingId, { settings }: Plan, derived: Derived): SettingLine {
  const { chosen, inDrive } = settings
  const own: SettingValue | undefined = chosen[id]
  const held: SettingValue | undefined = inDrive[id]
  const value = own ?? derived.value
  return {
    id,
    label: fieldAt(`settings.chosen.${id}`).label,
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

function actingName(id: ActingId): Naming {
  const { label, dimension = 'number' } = fieldAt(`settings.chosen.${id}`)
  return named(`settings.${id}`, label, dimension)
}

function actingFigure(
  plan: Plan,
  ledger: Ledger,
  lines: readonly SettingLine[],
  id: ActingId,
  derived: Derived,
): FigureState {
  const naming = actingName(id)
  const line = lines.find((l) => l.id === id)
  const value = actingValue(lines, id)
  if (typeof value !== 'number' || !line) return ledger.block(naming, derived.from)
  if (plan.settings.inDrive[id] !== undefined)
    return ledger.stated(naming, value, 'measured', [], 'Read from the drive')
  if (plan.settings.chosen[id] !== undefined) return ledger.stated(naming, value, line.basis, [], 'Chosen by you')
  return derived.book
    ? derived.book(naming)
    : ledger.stated(naming, value, line.basis, derived.from, messageText(line.reason))
}
