import Papa from 'papaparse'
import type { Evaluation } from '../evaluate/evaluation'
import { rpmAtHertz } from '../motor'

/** Spindle rpm, and surface speed at a diameter, at one hertz on each position. */
export interface ChartRow {
  frequencyHz: number
  cells: { rpm: number; surfaceMPerMin: number | undefined }[]
}

export interface SpeedChart {
  positions: string[]
  rows: ChartRow[]
}

/** The chart that hangs at the machine: spindle rpm without load, and surface speed where a diameter is chosen, mm. */
export function speedChart(
  { figures, positions }: Evaluation,
  hertz: readonly number[],
  diameterMm?: number,
): SpeedChart {
  const poles = figures['motor.poles']?.value
  const known = positions.flatMap((p) => {
    const ratio = figures[p.speedRatio]?.value
    return ratio === undefined || poles === undefined ? [] : [{ name: p.name, rpmPerHz: rpmAtHertz(1, poles) * ratio }]
  })
  return {
    positions: known.map((k) => k.name),
    rows: hertz.map((frequencyHz) => ({
      frequencyHz,
      cells: known.map(({ rpmPerHz }) => {
        const rpm = rpmPerHz * frequencyHz
        return { rpm, surfaceMPerMin: diameterMm === undefined ? undefined : (Math.PI * diameterMm * rpm) / 1000 }
      }),
    })),
  }
}

/** The chart as CSV: hertz, then rpm (and m/min) of each position. */
export function speedChartCsv({ positions, rows }: SpeedChart): string {
  const surface = rows.some((r) => r.cells.some((c) => c.surfaceMPerMin !== undefined))
  const headings = positions.flatMap((name) => [`${name} (rpm)`, ...(surface ? [`${name} (m/min)`] : [])])
  const lines = rows.map(({ frequencyHz, cells }) => [
    round(frequencyHz),
    ...cells.flatMap((c) => [round(c.rpm), ...(surface ? [round(c.surfaceMPerMin ?? 0)] : [])]),
  ])
  return Papa.unparse([['Hertz', ...headings], ...lines], { escapeFormulae: true })
}

const round = (value: number): number => Number(value.toPrecision(6))
