import Papa from 'papaparse'
import type { Plan } from '../plan'
import { partStates } from '../plan/wiring'
import type { Wiring } from './model'
import type { PartLine } from './parts'
import { scheduleOf } from './schedule'

/** The wire list as CSV (RFC 4180), with units in its headings. */
export function scheduleCsv(wiring: Wiring): string {
  const rows = scheduleOf(wiring).map((r) => ({
    Number: r.number,
    Kind: r.kind,
    From: r.from,
    'At terminal': r.fromTerminal,
    To: r.to,
    'To terminal': r.toTerminal,
    Colour: r.colour,
    Letters: r.letters,
    'Size (mm2)': r.areaMm2 ?? '',
    'Length (m)': r.lengthM ?? '',
    Ends: r.ends,
    Purpose: r.purpose,
    Cable: r.cable,
    'Measures dead': r.dead,
    'Measures live': r.live,
    'By hand': r.byHand,
  }))
  return Papa.unparse(rows, { escapeFormulae: true })
}

/** Parts and tools as CSV (RFC 4180). */
export const partsCsv = (plan: Plan, lines: readonly PartLine[]): string =>
  Papa.unparse(
    lines.map(({ key, name, quantity, unit, kind }) => {
      const { state, price } = plan.wiring.parts?.[key] ?? {}
      return {
        Kind: kind,
        Name: name,
        Quantity: unit === 'm' && quantity === 0 ? '' : quantity,
        Unit: unit,
        State: state === undefined ? '' : partStates[state],
        Price: price ?? '',
      }
    }),
    { escapeFormulae: true },
  )
