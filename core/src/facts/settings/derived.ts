import { isKnown, type FigureState } from '../figure'
import type { FieldFigureId } from '../figureId'
import { unknownField } from '../ledger'
import type { Derived } from './settingLine'

/** Decided by a choice of the plan, or by what a machine must have. */
export const decided = (value: string, reason: string): Derived => ({
  value,
  basis: 'computed',
  reason: [reason],
  from: [],
})

/** A number that follows, as it stands. */
export const followed = (value: number, reason: Derived['reason'], ...from: FigureState[]): Derived => ({
  value,
  basis: 'computed',
  reason,
  from,
})

/** What another figure says. */
export const copied = (reading: FigureState, reason: string): Derived =>
  isKnown(reading)
    ? { value: reading.value, basis: reading.basis, reason: [reason], from: [reading] }
    : { basis: 'given', reason: [`Needs: ${reading.label.toLowerCase()}.`], from: [reading] }

/** This plan does not touch it, and why. */
export const leave = (reason: string): Derived => ({ basis: 'computed', reason: [reason], from: [], leave: true })

/** It cannot be told before a field is known. */
export const awaits = (path: FieldFigureId, label: string): Derived => ({
  basis: 'computed',
  reason: [`Needs: ${label.toLowerCase()}.`],
  from: [unknownField(path, label)],
})
