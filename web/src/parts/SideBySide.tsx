import { Check, Pencil, Trash2 } from 'lucide-react'
import type { ReactNode } from 'react'
import { IconButton } from './IconButton'
import { EvaluationScope, type Scope } from '../state/evaluationScope'

/** One thing compared: its name over a column. */
export interface Compared {
  /** Undefined for what the plan has now. */
  id: string | undefined
  name: string
  evaluation: Scope
}

export interface ComparedRow<C> {
  label: string
  /** Under the label: what to hold it against. */
  note?: string
  cell: (column: C) => ReactNode
}

export interface ComparedGroup<C> {
  heading: string
  rows: readonly ComparedRow<C>[]
}

/** Columns of the same kind under each other's lines; figures in a column open to that column's own working. */
export function SideBySide<C extends Compared>({
  columns,
  groups,
  what,
  onTake,
  onEdit,
  onRemove,
}: {
  columns: readonly C[]
  groups: readonly ComparedGroup<C>[]
  /** Of what kind: "motor". */
  what: string
  onTake: (column: C) => void
  onEdit: (id: string) => void
  onRemove: (column: C) => void
}) {
  if (columns.length === 0)
    return <p className="lead">Nothing to compare yet: type a plate, or think of a {what} below.</p>
  return (
    // Reached by keyboard too: it scrolls sideways where the columns do not fit.
    <div className="overflow-x-auto" role="region" aria-label={`Every ${what} side by side`} tabIndex={0}>
      <table className="w-full border-collapse text-[15px]" style={{ minWidth: 150 + columns.length * 140 }}>
        <thead>
          <tr className="border-b-2 border-ink-2 align-bottom">
            <th className="sticky left-0 z-10 w-[150px] bg-card py-1 text-left">
              <span className="sr-only">Compared</span>
            </th>
            {columns.map((column) => (
              <th key={column.id ?? 'plan'} scope="col" className="min-w-[132px] px-2 py-1 text-left align-bottom">
                <span className="block font-cond text-[18px] leading-tight font-semibold">{column.name}</span>
                {column.id === undefined ? (
                  <span className="flex min-h-11 items-center text-[14px] font-normal text-ink-2">in the plan</span>
                ) : (
                  <span className="flex">
                    <IconButton
                      icon={Check}
                      className="text-blue"
                      label={`Take ${column.name} into the plan`}
                      title="Take it into the plan"
                      onClick={() => onTake(column)}
                    />
                    <IconButton
                      icon={Pencil}
                      label={`Change ${column.name}`}
                      title="Change what is typed"
                      onClick={() => onEdit(column.id ?? '')}
                    />
                    <IconButton
                      icon={Trash2}
                      label={`Take ${column.name} off the list`}
                      title="Take it off the list"
                      onClick={() => onRemove(column)}
                    />
                  </span>
                )}
              </th>
            ))}
          </tr>
        </thead>
        {groups.map((group) => (
          <tbody key={group.heading}>
            <tr>
              <th
                scope="colgroup"
                colSpan={columns.length + 1}
                className="label border-b border-ink-2 pt-3 pb-1 text-left"
              >
                {group.heading}
              </th>
            </tr>
            {group.rows.map((row) => (
              <tr key={row.label} className="border-b border-rule align-top">
                <th scope="row" className="sticky left-0 z-10 bg-card py-1.5 pr-2 text-left font-normal">
                  {row.label}
                  {row.note && <span className="block text-[14px] leading-tight text-ink-2">{row.note}</span>}
                </th>
                {columns.map((column) => (
                  <td key={column.id ?? 'plan'} className="px-2 py-1.5">
                    <EvaluationScope value={column.evaluation}>{row.cell(column)}</EvaluationScope>
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        ))}
      </table>
    </div>
  )
}

export const NotKnown = () => <span className="text-ink-2">not known</span>
