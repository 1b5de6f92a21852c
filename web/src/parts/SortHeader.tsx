import { ArrowDown, ArrowUp, ArrowUpDown } from 'lucide-react'

/** The head of a column that a table can be sorted by. */
export function SortHeader({
  words,
  sorted,
  onSort,
}: {
  words: string
  sorted: 'asc' | 'desc' | false
  onSort: ((event: unknown) => void) | undefined
}) {
  const Arrow = sorted === 'asc' ? ArrowUp : sorted === 'desc' ? ArrowDown : ArrowUpDown
  return (
    <th
      scope="col"
      aria-sort={sorted === 'asc' ? 'ascending' : sorted === 'desc' ? 'descending' : 'none'}
      className="pr-2"
    >
      <button
        type="button"
        className="flex min-h-11 items-center gap-1 font-semibold whitespace-nowrap"
        onClick={onSort}
      >
        {words}
        <Arrow size={14} aria-hidden="true" className={sorted ? '' : 'opacity-40 print:hidden'} />
      </button>
    </th>
  )
}
