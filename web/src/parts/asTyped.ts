import { set, valueAt, type Patch, type PlanPath } from '@zesty/core'
import { useContext } from 'react'
import { useAppSelector } from '../state/store'
import { selectPlan } from '../state/openPlan'
import { FieldDocumentContext } from './fieldDocument'

/** Of an inch, and not two values of a plate. */
const FRACTION = /\d\s*\/\s*(2|4|8|16|32|64)(?![\d.,])/
/** A range, or two values of a plate. */
const VALUES = /\d{2,}\s*[-/]\s*\d{2,}/
const RANGE = /\d\s*-\s*\d/
/** The unit of a text: what stands behind its last number. */
const unitOf = (text: string): string =>
  (/[^\d\s]*$/.exec(text.trim())?.[0] ?? '').toLowerCase().replace(/^["”″]$/, 'in')

/** Whether a text says what the value as it is printed does not: a fraction, a range, another unit. */
export const saysMore = (text: string, printed: string): boolean =>
  FRACTION.test(text) !== FRACTION.test(printed) ||
  RANGE.test(text) !== RANGE.test(printed) ||
  (unitOf(text) !== '' && unitOf(text) !== unitOf(printed))

/** A fraction of the very unit that is printed: it stands in the field itself. */
export const standsInField = (text: string, printed: string): boolean =>
  FRACTION.test(text) && !VALUES.test(text) && (unitOf(text) === unitOf(printed) || /[\d"]$/.test(text.trim()))

/** What was typed into a field of the open plan where that says more than its value, and how to keep what is typed now. */
export function useAsTyped(path: PlanPath): {
  text: string | undefined
  remember: (text: string, printed: string) => Patch
} {
  const host = useContext(FieldDocumentContext)
  const texts = useAppSelector((state) =>
    host ? undefined : (valueAt(selectPlan(state), 'asTyped') as Texts | undefined),
  )
  const text = texts && Object.hasOwn(texts, path) ? texts[path] : undefined
  return {
    text,
    remember: (typed, printed) => {
      // Things that are edited apart, such as items of the library, keep values alone.
      if (host) return []
      if (!saysMore(typed, printed)) return text === undefined ? [] : [set('asTyped', without(texts, path))]
      return typed === text ? [] : [set('asTyped', { ...texts, [path]: typed.trim().slice(0, LONGEST) })]
    },
  }
}

type Texts = Readonly<Record<string, string>>

const LONGEST = 60

const without = (texts: Texts | undefined, path: PlanPath): Record<string, string> | undefined => {
  const left = Object.entries(texts ?? {}).filter(([key]) => key !== path)
  return left.length === 0 ? undefined : Object.fromEntries(left)
}
