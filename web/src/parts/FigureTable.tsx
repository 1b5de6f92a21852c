import type { FigureId } from '@zesty/core'
import type { ReactNode } from 'react'
import { FigureValue } from './FigureValue'

export interface FigureRow {
  label: string
  id: FigureId
  /** A few words after the label: what to hold it against. */
  note?: ReactNode
}

/** Figures under each other, each opening to its working. */
export function FigureTable({ heading, rows }: { heading: string; rows: readonly FigureRow[] }) {
  return (
    <table className="w-full text-[15px]">
      <caption className="label border-b border-ink-2 py-1 text-left">{heading}</caption>
      <tbody>
        {rows.map(({ label, id, note }) => (
          <tr key={id} className="border-b border-rule">
            <th scope="row" className="py-0 pr-2 text-left font-normal">
              {label}
              {note && <span className="block text-[14px] leading-tight text-ink-2">{note}</span>}
            </th>
            <td className="text-right whitespace-nowrap">
              <FigureValue id={id} />
            </td>
          </tr>
        ))}
      </tbody>
    </table>
  )
}
