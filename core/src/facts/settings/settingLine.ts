import type { Basis, FigureState } from '../figure'
import type { Naming } from '../ledger'
import type { PlanPath, SettingId } from '../../plan'
import type { Message } from '../../quantities'

export type SettingValue = number | string

/** One setting: what the plan wants of it, and what the drive was read to hold. Ramps in seconds to the highest hertz. */
export interface SettingLine {
  id: SettingId
  label: string
  /** What to enter; undefined while what it rests on is unknown, or where the plan leaves it alone. */
  value?: SettingValue
  /** How the value came about; `given` where the person chose it. */
  basis: Basis
  reason: Message
  /** What the drive was read to hold, where it was. */
  inDrive?: SettingValue
  /** Plan fields that are missing before a value can be told. */
  missing: PlanPath[]
  /** This plan does not touch it. */
  leave?: true
}

/** A derived value with its reason, before choices and readings are laid over it. */
export interface Derived {
  value?: SettingValue
  basis: Basis
  reason: Message
  from: readonly FigureState[]
  /** This plan does not touch it. */
  leave?: boolean
  /** Books it under a name, where a rule gives it. */
  book?: (naming: Naming) => FigureState
}
