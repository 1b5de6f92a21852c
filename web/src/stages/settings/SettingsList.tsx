import { set, settingNames } from '@zesty/core'
import { emptyManual } from '@zesty/core/manual'
import {
  listedInto,
  listedPatch,
  meaningsOf,
  readSettingsTable,
  settingColumns,
  settingsOfLines,
  settingsOfTable,
  type ListedMeaning,
  type SettingColumn,
  type SettingsTable,
} from '@zesty/core/settings'
import { useMemo, useState } from 'react'
import { FileButton } from '../../parts/FileButton'
import { useEvaluation } from '../../state/evaluation'
import { useChange, usePlan } from '../../state/openPlan'
import { today } from '../../parts/today'

/** A list of codes with what they hold, pasted or from a file: seen through before anything of it is taken. */
export function SettingsList() {
  const plan = usePlan()
  const change = useChange()
  const { settings } = useEvaluation()
  const [text, setText] = useState('')
  const [columns, setColumns] = useState<SettingColumn[]>()
  const manual = useMemo(() => plan.manual ?? emptyManual(plan.drive.name ?? 'The drive'), [plan])
  const table = useMemo(() => {
    const found = readSettingsTable(text)
    return found && { ...found, columns: columns ?? found.columns }
  }, [text, columns])
  const { settings: listed, rest } = useMemo(
    () => (table ? { settings: settingsOfTable(table), rest: [] } : settingsOfLines(text, manual)),
    [table, text, manual],
  )
  const meanings = useMemo(() => meaningsOf(manual, listed, {}), [manual, listed])
  const read = meanings.filter(({ understood, listed: { value } }) => understood && value !== undefined)
  const strange = meanings.filter(({ code }) => code === undefined)
  const take = (paste: string) => {
    setText(paste)
    setColumns(undefined)
  }
  return (
    <details className="mt-2 border-t border-rule print:hidden">
      <summary className="min-h-11 content-center font-semibold">Take a list in: pasted lines, or CSV</summary>
      <label className="flex flex-col gap-0.5">
        <span className="label">Lines such as “h12 60 highest hertz”, or a table with headings</span>
        <textarea
          className="field min-h-32 font-mono text-[15px]"
          value={text}
          maxLength={1_000_000}
          onChange={(e) => take(e.target.value)}
        />
      </label>
      <div className="mt-2 flex flex-wrap gap-2">
        <FileButton
          label="A list of settings"
          words="From a file"
          accept=".csv,.txt,.tsv,text/csv,text/plain"
          onFile={async (file) => take(await file.text())}
        />
        {text !== '' && (
          <button type="button" className="btn" onClick={() => take('')}>
            Clear
          </button>
        )}
      </div>
      {table && <Columns table={table} onChange={setColumns} />}
      {meanings.length > 0 && <Preview meanings={meanings} />}
      {rest.length > 0 && (
        <div className="mt-2 text-[15px]">
          <b className="text-brass">Not read:</b>
          <ul className="ml-5 list-disc">
            {rest.map((line, i) => (
              <li key={i}>{line}</li>
            ))}
          </ul>
        </div>
      )}
      {meanings.length > 0 && (
        <div className="mt-2 flex flex-wrap gap-2 pb-3">
          <button
            type="button"
            className="btn btn-main"
            disabled={read.length === 0}
            onClick={() => {
              change(`${read.length} values read in the drive`, listedPatch(plan, settings, read, today()))
              take('')
            }}
          >
            Take {read.length} as read in the drive
          </button>
          <button
            type="button"
            className="btn"
            disabled={strange.length === 0}
            onClick={() =>
              change(`${strange.length} codes into the manual`, [set('manual', listedInto(manual, listed))])
            }
          >
            Put {strange.length} unknown codes into the manual
          </button>
        </div>
      )}
    </details>
  )
}

/** What each column is: as it was guessed, or as somebody says. */
function Columns({ table, onChange }: { table: SettingsTable; onChange: (columns: SettingColumn[]) => void }) {
  const choose = (at: number, column: SettingColumn) =>
    onChange(table.columns.map((c, i) => (i === at ? column : c === column && column !== 'ignored' ? 'ignored' : c)))
  return (
    <fieldset className="mt-2 border-t border-rule pt-2">
      <legend className="label">What each column is</legend>
      <div className="grid gap-2 @narrow:grid-cols-3 @wider:grid-cols-4">
        {table.headings.map((heading, i) => (
          <label key={i} className="flex min-w-0 flex-col gap-0.5">
            <span className="label truncate">
              {heading === '' ? `Column ${i + 1}` : heading}
              {table.rows[0]?.[i] ? `, such as ${table.rows[0][i]}` : ''}
            </span>
            <select
              className="field"
              value={table.columns[i]}
              onChange={(e) => choose(i, e.target.value as SettingColumn)}
            >
              {Object.entries(settingColumns).map(([key, words]) => (
                <option key={key} value={key}>
                  {words}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
    </fieldset>
  )
}

function Preview({ meanings }: { meanings: readonly ListedMeaning[] }) {
  return (
    <div className="mt-2 max-h-[45vh] overflow-auto">
      <table className="w-full text-[15px]">
        <thead>
          <tr className="border-b border-ink-2 text-left font-cond text-ink-2">
            <th className="py-1 pr-3 font-semibold">Listed</th>
            <th className="pr-3 font-semibold">Value</th>
            <th className="pr-3 font-semibold">Is</th>
            <th className="font-semibold">Read as</th>
          </tr>
        </thead>
        <tbody>
          {meanings.map(({ listed, code, settings: [id], understood }, i) => (
            <tr key={i} className="border-b border-rule align-top">
              <td className="py-1 pr-3 font-semibold">{listed.code}</td>
              <td className="pr-3">{listed.value ?? ''}</td>
              <td className="pr-3">{code ?? 'not in the manual'}</td>
              <td className={understood ? '' : 'text-brass'}>
                {id === undefined ? (listed.words ?? '') : settingNames[id]}
                {code !== undefined && !understood ? ': not one of its values' : ''}
              </td>
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  )
}
