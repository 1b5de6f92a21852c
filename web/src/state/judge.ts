// Facts, findings and what stages show of them: a third of all the page's script, fetched when somebody is about to change something.
import { conversion, type Conversion, type Plan } from '@zesty/core'
import type { Measured } from '@zesty/core/measurements'

export { isMended } from '@zesty/core'
export { shownParts } from '@zesty/core/shown'

let last: { plan: Plan; measured: Measured; made: Conversion } | undefined

/** The conversion of the open plan: one for all that asks, going on from the one before. */
export function judge(plan: Plan, measured: Measured): Conversion {
  if (last?.plan !== plan || last.measured !== measured)
    last = { plan, measured, made: conversion(plan, { readings: measured, before: last?.made }) }
  return last.made
}
