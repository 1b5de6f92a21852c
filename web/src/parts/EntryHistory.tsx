import { fieldAt, isPlanPath, printValue } from '@zesty/core'
import { useState } from 'react'
import { api, problemText } from '../state/api'
import { useConversionId } from '../state/openPlan'
import { useUnits } from '../state/units'
import { momentOf } from './moment'

/** Every tick and entry under a part of the plan, at each time it was made; fetched when somebody wants to see it. */
export function EntryHistory({ under, name }: { under: 'checks' | 'settings'; name: string }) {
  const [wanted, setWanted] = useState(false)
  return (
    <details
      className="border-t border-rule px-3.5 py-1 print:hidden"
      onToggle={(event) => setWanted(event.currentTarget.open)}
    >
      <summary className="min-h-11 content-center font-semibold">{name}</summary>
      {wanted && <Entries under={under} />}
    </details>
  )
}

/** What a row is about: a field by its label, a line of the card by its code. */
function whatOf(path: string): string {
  const code = /^(?:settings\.(?:entered|trims)|wiring\.codesHeld)\.(.+)$/.exec(path)?.[1]
  if (code !== undefined) return `${code}${path.startsWith('settings.trims') ? ', trim' : ', on the card'}`
  if (!isPlanPath(path)) return path
  return `${fieldAt(path).label}${path.startsWith('settings.chosen.') ? ', chosen' : ''}`
}

function Entries({ under }: { under: string }) {
  const { data, error } = api.useEntriesQuery(useConversionId())
  const units = useUnits()
  if (error) return <p className="pb-3 text-oxide">{problemText(error)}</p>
  if (!data) return <p className="lead pb-3">Fetching what was entered</p>
  const entries = data
    .filter(
      ({ path }) => path.startsWith(`${under}.`) || (under === 'settings' && path.startsWith('wiring.codesHeld.')),
    )
    .reverse()
  if (entries.length === 0) return <p className="lead pb-3">Nothing yet. Every change is kept here with its date.</p>
  return (
    <div className="max-h-[50vh] overflow-auto pb-3">
      <table className="w-full text-[15px]">
        <thead>
          <tr className="border-b border-ink-2 text-left font-cond text-ink-2">
            <th className="py-1 pr-3 font-semibold">When</th>
            <th className="pr-3 font-semibold">What</th>
            <th className="pr-3 font-semibold">Reads from then on</th>
            <th className="pr-3 font-semibold">Why</th>
            <th className="font-semibold">By</th>
          </tr>
        </thead>
        <tbody>
          {entries.map(({ id, path, value, at, by, reason }) => (
            <tr key={id} className="border-b border-rule align-top">
              <td className="py-1.5 pr-3 whitespace-nowrap">{momentOf(at)}</td>
              <td className="pr-3">{whatOf(path)}</td>
              <td className="pr-3 font-semibold">{printValue(path, value, units)}</td>
              <td className="pr-3">{reason ?? ''}</td>
              <td className="text-ink-2">{by ?? ''}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
