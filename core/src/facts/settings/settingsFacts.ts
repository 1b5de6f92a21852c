import { rampSeconds } from '../../drive'
import { fieldAt, heartOf, type Plan, type SettingId } from '../../plan'
import { messageText } from '../../quantities'
import { settingHearts, settingIds, settingNames } from '../../stages/settingTable'
import { NO_HERTZ } from '../hearts/motorWithoutHertz'
import { rpmDerivations, type RpmInputs, type RpmSetting } from '../hearts/rpmSettings'
import { copied } from './derived'
import { actingSettings, derivations, type ActingSetting, type SettingInputs } from './deriveSettings'
import { asPlanCounts, isCounted, isRamp, rampMeaningOf, type RampHertz } from './rampOfDrive'
import type { Derived, SettingLine, SettingValue } from './settingLine'
import { isKnown, numberOf, type FigureState } from '../figure'
import { fluxFacts, type FluxFacts } from '../motor/fluxFacts'
import { choice, named, type Ledger, type Naming } from '../ledger'

export interface SettingsFacts {
  lines: SettingLine[]
  /** Numeric settings as they will act: what the drive holds, else what is chosen, else what is derived. */
  minimumHz: FigureState
  maximumHz: FigureState
  baseFrequencyHz: FigureState
  overloadA: FigureState
  /** From the highest hertz to standstill, whatever the drive’s own number counts. */
  decelerationS: FigureState
  /** What its volts and base make of the motor's field. */
  flux: FluxFacts
  /** Of a motor without hertz the rpm between which it is run. */
  leastSpeedRpm?: FigureState
  mostSpeedRpm?: FigureState
}

type Before = Omit<SettingInputs, 'baseFrequencyHz' | 'flux'> & Pick<RpmInputs, 'dc' | 'driver'>

/** The settings on which figures rest, and the numbers among them. */
export function settingsFacts(before: Before): SettingsFacts {
  const { plan, ledger, tables, measured, motor, drive, main } = before
  if (heartOf(plan) !== 'inverter') return settingsWithoutHertz(before)
  const acting = (id: FigureSetting, derived: Derived, hertz?: ActingHertz): FigureState =>
    actingFigure(plan, ledger, settingLine(id, plan, derived, numbersOf(hertz)), derived, hertz)
  // The base comes first: what the highest hertz may be rests on the field that it leaves.
  const base = derivations.baseFrequencyHz(before)
  const baseFrequencyHz = acting('baseFrequencyHz', base)
  const known = { plan, ledger, tables, measured, motor, drive, main, baseFrequencyHz }
  const flux = fluxFacts(known)
  const inputs: SettingInputs = { ...known, flux }
  const top = derivations.maximumHz(inputs)
  const maximumHz = acting('maximumHz', top)
  // A ramp may count to either.
  const hertz: ActingHertz = { baseFrequencyHz, maximumHz }
  const derived = (id: ActingSetting): Derived =>
    id === 'baseFrequencyHz' ? base : id === 'maximumHz' ? top : derivations[id](inputs)
  const made = actingSettings.map((id): [ActingSetting, Derived] => [id, derived(id)])
  const figure = (id: FigureSetting): FigureState => {
    const found = made.find(([other]) => other === id)
    return found ? acting(id, found[1], hertz) : ledger.block(actingName(id), [])
  }
  return {
    lines: made.map(([id, one]) => settingLine(id, plan, one, numbersOf(hertz))),
    minimumHz: figure('minimumHz'),
    maximumHz,
    baseFrequencyHz,
    overloadA: figure('overloadA'),
    decelerationS: figure('decelerationS'),
    flux,
  }
}

const isRpmSetting = (id: SettingId): id is RpmSetting => Object.hasOwn(rpmDerivations, id)
const isActing = (id: SettingId): id is ActingSetting => (actingSettings as readonly SettingId[]).includes(id)

/** The same for a motor that is run by its rpm: what leans on hertz is not known, and asked of nobody. */
function settingsWithoutHertz(before: Before): SettingsFacts {
  const { plan, ledger, tables, measured, motor, drive, main, dc } = before
  const heart = heartOf(plan)
  const none = (id: FigureSetting): FigureState => ledger.block(actingName(id), [], NO_HERTZ)
  const hertz = { baseFrequencyHz: none('baseFrequencyHz'), maximumHz: none('maximumHz') }
  const flux: FluxFacts = {
    setVoltageV: ledger.block({ id: 'drive.setVoltageV', label: 'Volts at base hertz' }, [], NO_HERTZ),
    fluxFraction: ledger.block({ id: 'motor.fluxFraction', label: 'Flux against the plate' }, [], NO_HERTZ),
  }
  const { baseFrequencyHz } = hertz
  const inputs: SettingInputs = { plan, ledger, tables, measured, motor, drive, main, baseFrequencyHz, flux }
  const made = settingIds.flatMap((id): [SettingId, Derived][] => {
    if (!settingHearts(id).includes(heart)) return []
    if (isRpmSetting(id)) return [[id, rpmDerivations[id](before)]]
    if (id === 'overloadA' && dc)
      return [
        [id, copied(dc.continuousA, 'The plate’s armature amps over the form factor: ripple heats and turns nothing.')],
      ]
    return isActing(id) && id !== 'baseFrequencyHz' ? [[id, derivations[id](inputs)]] : []
  })
  const figure = (id: FigureSetting): FigureState => {
    const found = made.find(([other]) => other === id)
    return found
      ? actingFigure(plan, ledger, settingLine(id, plan, found[1], numbersOf(hertz)), found[1], hertz)
      : none(id)
  }
  return {
    lines: made.map(([id, one]) => settingLine(id, plan, one, numbersOf(hertz))),
    minimumHz: none('minimumHz'),
    ...hertz,
    overloadA: figure('overloadA'),
    decelerationS: figure('decelerationS'),
    flux,
    leastSpeedRpm: figure('leastSpeedRpm'),
    mostSpeedRpm: figure('mostSpeedRpm'),
  }
}

/** Settings that figures rest on. */
type FigureSetting =
  'minimumHz' | 'maximumHz' | 'baseFrequencyHz' | 'overloadA' | 'decelerationS' | 'leastSpeedRpm' | 'mostSpeedRpm'

interface ActingHertz {
  baseFrequencyHz: FigureState
  maximumHz: FigureState
}

const numbersOf = (hertz: ActingHertz | undefined): RampHertz => ({
  baseHz: numberOf(hertz?.baseFrequencyHz),
  maximumHz: numberOf(hertz?.maximumHz),
})

/** One line of the card: what was chosen or derived, and what was read, ramps in seconds to the highest hertz. */
export function settingLine(id: SettingId, plan: Plan, derived: Derived, hertz: RampHertz): SettingLine {
  const { chosen, inDrive } = plan.settings
  const own: SettingValue | undefined = chosen[id]
  const held = asPlanCounts(plan, id, inDrive[id], hertz)
  const value = own ?? derived.value
  return {
    id,
    label: settingNames[id],
    basis: own === undefined ? derived.basis : 'given',
    reason: own === undefined ? derived.reason : ['Chosen by you.'],
    missing:
      value === undefined && derived.leave !== true
        ? [...new Set(derived.from.flatMap((f) => (isKnown(f) ? [] : f.missing)))]
        : [],
    ...(value === undefined ? {} : { value }),
    ...(held === undefined ? {} : { inDrive: held }),
    ...(derived.leave === true && own === undefined ? { leave: true } : {}),
  }
}

/** What a setting does in fact: the drive's own value counts before the card's. */
export const actingValue = (lines: readonly SettingLine[], id: SettingId): SettingValue | undefined => {
  const line = lines.find((l) => l.id === id)
  return line?.inDrive ?? line?.value
}

function actingName(id: FigureSetting): Naming {
  const { label, dimension = 'number' } = fieldAt(`settings.chosen.${id}`)
  return named(`settings.${id}`, label, dimension)
}

function actingFigure(
  plan: Plan,
  ledger: Ledger,
  line: SettingLine,
  derived: Derived,
  hertz: ActingHertz | undefined,
): FigureState {
  const id = line.id as FigureSetting
  const naming = actingName(id)
  const value = line.inDrive ?? line.value
  if (typeof value !== 'number') return ledger.block(naming, derived.from)
  if (line.inDrive !== undefined) {
    const meaning = rampMeaningOf(plan)
    if (isRamp(id) && hertz && meaning !== undefined && meaning !== 'to-maximum' && isCounted(meaning) && value > 0)
      return ledger.derive(rampSeconds, 'seconds', naming, {
        entered: ledger.given(`settings.inDrive.${id}`),
        meaning: choice(meaning, 'Its ramps count'),
        ...hertz,
      })
    return ledger.stated(naming, value, 'measured', [], 'Read from the drive')
  }
  if (plan.settings.chosen[id] !== undefined) return ledger.stated(naming, value, line.basis, [], 'Chosen by you')
  return derived.book
    ? derived.book(naming)
    : ledger.stated(naming, value, line.basis, derived.from, messageText(line.reason))
}
