import { useId, useState } from 'react'
import type { Column } from './columns'
import { at, put } from './pathed'

/** One thing of a manual, typed or chosen; what is no number is said and stays as it was typed. */
export function Cell<T extends object>({
  column,
  item,
  terminals,
  onChange,
}: {
  column: Column
  item: T
  /** The manual's own, by their ids: what each prints. */
  terminals: Readonly<Record<string, string>>
  onChange: (item: T) => void
}) {
  const { path, label, kind, options = {}, lines, wide } = column
  const id = useId()
  const [fault, setFault] = useState<string>()
  const value = at(item, path)
  const write = (next: unknown) => onChange(put(item, path, next))
  const field = () => {
    if (kind === 'choice' || kind === 'terminal' || kind === 'yes-no') {
      const chosen = kind === 'choice' ? options : kind === 'terminal' ? terminals : { yes: 'Yes', no: 'No' }
      const now = typeof value === 'boolean' ? (value ? 'yes' : 'no') : typeof value === 'string' ? value : ''
      return (
        <select
          id={id}
          className="field"
          value={now}
          onChange={(e) => {
            const next = e.target.value === '' ? undefined : e.target.value
            write(kind === 'yes-no' && next !== undefined ? next === 'yes' : next)
          }}
        >
          <option value="">Not known</option>
          {Object.entries(chosen).map(([key, words]) => (
            <option key={key} value={key}>
              {words}
            </option>
          ))}
        </select>
      )
    }
    if (kind === 'lines') {
      const before = Array.isArray(value) ? (value as unknown[]) : []
      const shown = before.map((one) => lines?.print(one) ?? '').join('\n')
      return (
        <textarea
          id={id}
          className="field min-h-[72px]"
          key={shown}
          defaultValue={shown}
          onBlur={(e) => {
            if (e.target.value === shown) return
            write(
              e.target.value
                .split(/\r?\n/)
                .filter((line) => line.trim() !== '')
                .map((line) => lines?.read(line, before, item)),
            )
          }}
        />
      )
    }
    const shown = typeof value === 'string' || typeof value === 'number' ? String(value) : ''
    return (
      <input
        id={id}
        className="field"
        key={shown}
        defaultValue={shown}
        inputMode={kind === 'number' ? 'decimal' : 'text'}
        aria-invalid={fault !== undefined}
        aria-describedby={fault === undefined ? undefined : `${id}-fault`}
        onBlur={(e) => {
          const typed = e.target.value.trim()
          if (typed === shown) return
          const next = kind === 'number' ? Number(typed.replace(',', '.')) : typed
          if (typeof next === 'number' && !Number.isFinite(next)) {
            setFault('This is no number; its unit stands above.')
            return
          }
          setFault(undefined)
          write(typed === '' ? undefined : next)
        }}
      />
    )
  }
  return (
    <div className={`flex min-w-0 flex-col gap-0.5 ${wide ? 'col-span-full' : ''}`}>
      <label className="label" htmlFor={id}>
        {label}
      </label>
      {field()}
      {fault !== undefined && (
        <p id={`${id}-fault`} role="alert" className="text-[14px] font-medium text-oxide">
          {fault}
        </p>
      )}
    </div>
  )
}
