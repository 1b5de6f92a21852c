import type { HeldBy } from '../facts/settings/heldCodes'
import type { Entry } from '../manual/entryOrder'
import type { EntryRecord, PlanPath, SettingId } from '../plan'
import type { Message } from '../quantities'
import type { Basis } from '../facts/figure'

/** Why a line cannot be entered as it is planned. */
export interface Problem {
  says: Message
  /** The nearest that the drive takes, as it writes it. */
  nearest?: string
}

/** One line of the card: what to type, in the drive’s own words. */
export interface CardLine {
  /** The drive’s code, or the setting’s own name where no manual tells the code. */
  key: string
  /** Undefined where no manual tells it. */
  code?: string
  words: string
  /** What it decides under the product’s own names. */
  settings: SettingId[]
  /** As the drive writes it; in plain words where the manual does not say how. */
  value: string
  /** What that means, in plain words and units. */
  means: Message
  /** What it holds now, as the drive writes it, and how that is known. */
  from?: string
  fromBy?: HeldBy
  why: Message
  basis: Basis
  for: Entry['for']
  /** The line for whose sake it is there. */
  because?: string
  menu?: string
  keys?: string
  onlyStopped?: boolean
  onlyUnplugged?: boolean
  /** Some drives ask it at first power. */
  atFirstPower?: boolean
  /** To be right before a first spin. */
  first: boolean
  /** Changes with the belt position: it stands on the change-over card too. */
  byPosition?: boolean
  /** Changed by hand, against what the plan would have it. */
  chosen?: boolean
  caution?: string
  record?: EntryRecord
  /** What it was entered as is not what is wanted now. */
  stale?: boolean
  problem?: Problem
}

/** Under what is noted of a line: its code; a line that only serves another is noted of its code too. */
export const recordKey = ({ code, key }: Pick<CardLine, 'code' | 'key'>): string => code ?? key

/** A setting that this card does not touch, and why. */
export interface LeftAlone {
  id: SettingId
  label: string
  code?: string
  says: Message
}

/** What cannot be told yet, and for want of what. */
export interface Waiting {
  id: SettingId
  label: string
  says: Message
  missing: PlanPath[]
}

export interface Card {
  /** Whether it is the drive’s own codes, or neutral names. */
  coded: boolean
  /** To enter, in this order. */
  lines: CardLine[]
  /** How many of them come before a first spin. */
  first: number
  /** Codes that wait for each other: then the lines stand in the manual’s order. */
  cycle?: string[]
  /** Planned values that it holds already. */
  standing: CardLine[]
  leave: LeftAlone[]
  waiting: Waiting[]
  /** Nothing is known of what it holds: reset first, then read. */
  unknown: boolean
}
