import { recordKey, settingsCsv, type CardLine } from '@zesty/core/settings'
import { Download } from 'lucide-react'
import { EntryHistory } from '../../parts/EntryHistory'
import { saveFile } from '../../parts/saveFile'
import { Text } from '../../parts/Text'
import { usePlan } from '../../state/openPlan'
import { ReadBackField } from './CardEntry'
import { PastCard } from './PastCard'
import { SettingsList } from './SettingsList'
import { usePart } from '../../parts/usePart'

const stateOf = (line: CardLine, standing: boolean): { words: string; tone: string } => {
  if (line.record?.answer === 'refused') return { words: 'refused', tone: 'text-oxide' }
  if (standing) return { words: 'as planned', tone: 'text-green' }
  if (line.fromBy === 'default') return { words: 'to be entered', tone: 'text-brass' }
  return line.from === undefined ? { words: 'not read', tone: 'text-ink-2' } : { words: 'differs', tone: 'text-brass' }
}

/** As found, planned and read back, side by side; what was changed when and why; the card of a past day. */
export function ReadBackTable() {
  const plan = usePlan()
  const { lines, standing } = usePart('card')
  const rows = [
    ...lines.map((line) => ({ line, ...stateOf(line, false) })),
    ...standing.map((line) => ({ line, ...stateOf(line, true) })),
  ].filter(({ line }) => line.for === 'plan')
  const found = (line: CardLine): string => plan.settings.asFound?.[recordKey(line)] ?? ''
  const csv = () =>
    saveFile(
      `${plan.name}, settings.csv`,
      'text/csv',
      settingsCsv(
        rows.map(({ line }) => ({
          code: recordKey(line),
          words: line.words,
          value: line.value,
          held: line.from ?? '',
          found: found(line),
        })),
      ),
    )
  return (
    <section className="sheet mt-3" aria-labelledby="read-back">
      <div className="flex flex-wrap items-center gap-3">
        <h2 id="read-back" tabIndex={-1} className="h-part">
          As found, planned, read back
        </h2>
        <button type="button" className="btn ml-auto print:hidden" onClick={csv}>
          <Download size={18} aria-hidden="true" /> CSV
        </button>
      </div>
      <p className="lead text-[15px]">
        Read every value back after entry, as the drive writes it. What it holds is what counts.
      </p>
      <div className="mt-1 overflow-x-auto">
        <table className="w-full text-[15px]">
          <thead>
            <tr className="border-b border-ink-2 text-left font-cond text-ink-2">
              <th className="py-1 pr-3 font-semibold">Code</th>
              <th className="pr-3 font-semibold">What it is</th>
              <th className="pr-3 font-semibold">As found</th>
              <th className="pr-3 font-semibold">Planned</th>
              <th className="pr-3 font-semibold">Read back</th>
              <th className="font-semibold">It is</th>
            </tr>
          </thead>
          <tbody>
            {rows.map(({ line, words, tone }) => (
              <tr key={line.key} className="border-b border-rule align-middle">
                <td className="py-1 pr-3 font-cond text-[18px] font-semibold whitespace-nowrap">{line.code ?? '-'}</td>
                <td className="min-w-[150px] pr-3">
                  {line.words}
                  {line.means.length > 0 && (
                    <span className="block text-[14px] text-ink-2">
                      <Text said={line.means} />
                    </span>
                  )}
                </td>
                <td className="pr-3 whitespace-nowrap">{found(line)}</td>
                <td className="pr-3 font-semibold">{line.value}</td>
                <td className="pr-3">
                  <ReadBackField line={line} label={`${line.code ?? line.words}, read back`} bare />
                </td>
                <td className={`font-semibold whitespace-nowrap ${tone}`}>{words}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <SettingsList />
      <EntryHistory under="settings" name="Every change, and when" />
      <PastCard />
    </section>
  )
}
