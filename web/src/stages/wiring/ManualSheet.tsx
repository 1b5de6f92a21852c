import { set } from '@zesty/core'
import {
  emptyManual,
  jottedInto,
  readJottings,
  terminalFunctions,
  terminalGroups,
  type Manual,
} from '@zesty/core/manual'
import type { Fault } from '@zesty/core/rules'
import { Download } from 'lucide-react'
import { useState } from 'react'
import { readManualFile, saveManual } from '../../library/manualFiles'
import { Disclosure } from '../../parts/Disclosure'
import { FaultList } from '../../parts/FaultList'
import { FileButton } from '../../parts/FileButton'
import { Photos } from '../../photos/Photos'
import { api, problemText } from '../../state/api'
import { notice } from '../../state/notice'
import { useChange, usePlan, useShopId } from '../../state/openPlan'
import { useItems } from '../../state/useItems'
import { CodesHeld } from './manual/CodesHeld'
import { ManualBoard } from './manual/ManualBoard'
import { ManualEditor } from './manual/ManualEditor'
import { Worksheet } from './Worksheet'

/** The drive's manual that this conversion goes by: taken from the library, from a file, jotted, or asked for. */
export function ManualSheet() {
  const plan = usePlan()
  const change = useChange()
  const shopId = useShopId()
  const items = useItems(shopId, 'manual') ?? []
  const [keep, { isLoading }] = api.useKeepItemMutation()
  const [replace] = api.useTakeInItemsMutation()
  const [faults, setFaults] = useState<Fault[]>([])
  const { manual } = plan
  const inLibrary = items.find(({ name }) => name === manual?.name)
  const newer = inLibrary !== undefined && JSON.stringify(inLibrary.item) !== JSON.stringify(manual)
  const take = (taken: Manual, words: string) => {
    setFaults([])
    change(words, [set('manual', taken)])
  }
  const fromFile = async (file: File) => {
    const read = await readManualFile(file)
    if (read.ok) take(read.value, `The manual of ${read.value.name}`)
    else setFaults(read.faults)
  }
  const keepIt = async () => {
    if (!manual) return
    const item = { kind: 'manual' as const, name: manual.name, item: manual }
    const { error } = inLibrary ? await replace({ shopId, items: [item] }) : await keep({ shopId, item })
    notice(error ? problemText(error) : `${manual.name} is in the library`)
  }
  return (
    <section className="sheet mb-3" aria-labelledby="manual" data-path="manual">
      <h2 id="manual" tabIndex={-1} className="h-part">
        The drive’s manual
      </h2>
      {manual ? (
        <ManualInUse manual={manual} />
      ) : (
        <p className="lead mt-1">
          Drives name their screws and codes each in its own way. Take the manual from the library or a file; or answer
          a dozen questions from the board itself. Until then terminals are only assumed, and nothing is judged.
        </p>
      )}
      <div className="no-print mt-3 flex flex-wrap items-end gap-2">
        <label className="flex min-w-[220px] flex-1 flex-col gap-0.5">
          <span className="label">From the library, {items.length} kept</span>
          <select
            className="field"
            value=""
            onChange={(e) => {
              const found = items.find(({ id }) => id === e.target.value)
              if (found) take(found.item, `The manual of ${found.name}`)
            }}
          >
            <option value="">Choose a manual</option>
            {items.map(({ id, name }) => (
              <option key={id} value={id}>
                {name}
              </option>
            ))}
          </select>
        </label>
        <FileButton label="Manual file" accept="application/json,.json" words="From a file" onFile={fromFile} />
        {manual && (
          <>
            <button type="button" className="btn btn-quiet" onClick={() => saveManual(manual)}>
              <Download size={18} aria-hidden="true" /> To a file
            </button>
            <button type="button" className="btn" disabled={isLoading} onClick={() => void keepIt()}>
              {inLibrary ? 'Put this version in the library' : 'Keep it in the library'}
            </button>
          </>
        )}
      </div>
      {newer && (
        <p
          role="note"
          className="mt-2 flex flex-wrap items-center gap-2 rounded-md border border-brass bg-brass-wash px-3 py-2 text-[15px]"
        >
          The library has another version of it. This conversion keeps the one that it used.
          <button type="button" className="btn" onClick={() => take(inLibrary.item, 'The library’s version')}>
            Take the library’s
          </button>
        </p>
      )}
      <FaultList faults={faults} />
      {manual && (
        <Photos of="manual" subject={manual.name} what={`pages of ${manual.name}`} words="Photograph a page" />
      )}
      {manual && (
        <>
          <ManualBoard manual={manual} />
          <CodesHeld manual={manual} />
          <div className="no-print mt-2 border-t border-rule">
            <Disclosure name="Change it, field by field" holds="manual">
              {/* Another version begins another copy. */}
              <ManualEditor
                key={JSON.stringify(manual)}
                manual={manual}
                onKeep={(changed) => take(changed, `The manual of ${changed.name}`)}
              />
            </Disclosure>
          </div>
        </>
      )}
      <Jotted onTake={(jotted) => take(jotted, 'As jotted')} />
      <Worksheet
        manual={manual ?? emptyManual(plan.drive.name ?? plan.name)}
        onTake={(made) => take(made, 'From the worksheet')}
      />
    </section>
  )
}

function ManualInUse({ manual }: { manual: Manual }) {
  const groups = Object.entries(terminalGroups).flatMap(([group, name]) => {
    const own = manual.terminals.filter((t) => t.group === group)
    return own.length === 0 ? [] : [{ name, own }]
  })
  const assumed = manual.terminals.filter((t) => t.basis === 'assumed').length
  return (
    <>
      <p className="mt-1 font-semibold">
        {manual.name}
        {manual.edition && <span className="font-normal text-ink-2">, {manual.edition}</span>}
      </p>
      <p className="text-[15px] text-ink-2">
        {manual.terminals.length} terminals{assumed > 0 && `, ${assumed} only assumed`}; {manual.codes.length} codes;{' '}
        {manual.faults.length} faults. Control terminals{' '}
        {manual.isolated === true
          ? 'isolated from the mains'
          : manual.isolated === false
            ? 'at the mains'
            : 'not said to be isolated, which counts as not'}
        .
      </p>
      <dl className="mt-2 grid gap-x-4 gap-y-1 text-[15px] @narrow:grid-cols-2">
        {groups.map(({ name, own }) => (
          <div key={name}>
            <dt className="label">{name}</dt>
            <dd>
              {own.map((t) => (
                <span key={t.id} className="mr-3 inline-block">
                  <b className="font-cond font-semibold">{t.prints.replace('\u23da', 'earth sign')}</b>{' '}
                  <span className={t.basis === 'assumed' ? 'text-ink-2 italic' : 'text-ink-2'}>
                    {t.does === undefined ? 'not known' : terminalFunctions[t.does].words.toLowerCase()}
                  </span>
                </span>
              ))}
            </dd>
          </div>
        ))}
      </dl>
    </>
  )
}

/** Lines as they were jotted: `name words`, or `code value words`. */
function Jotted({ onTake }: { onTake: (manual: Manual) => void }) {
  const plan = usePlan()
  const [text, setText] = useState('')
  const jotted = readJottings(text)
  const found = jotted.terminals.length + jotted.codes.length
  const take = () => {
    const base = plan.manual ?? emptyManual(plan.drive.name ?? plan.name)
    const merged = jottedInto(base, jotted)
    onTake(merged)
    setText('')
  }
  return (
    <details className="no-print mt-3 border-t border-rule pt-2">
      <summary className="flex min-h-11 items-center font-semibold text-blue underline underline-offset-4">
        Type what you jotted down
      </summary>
      <label className="flex flex-col gap-0.5">
        <span className="label">A line each: what is printed, and what it does</span>
        <textarea
          className="field min-h-[120px]"
          value={text}
          placeholder={'S1 run forward\nS2 reverse\nCOM common\nb3 1 terminals'}
          onChange={(e) => setText(e.target.value)}
        />
      </label>
      {text.trim() !== '' && (
        <>
          <p className="mt-1 text-[15px]">
            Understood: {jotted.terminals.length} terminals, {jotted.codes.length} codes.
          </p>
          <ul className="text-[15px]">
            {jotted.terminals.map((t, i) => (
              <li key={i}>
                <b className="font-semibold">{t.prints}</b>{' '}
                {t.does === undefined ? 'not understood, kept as words' : terminalFunctions[t.does].words.toLowerCase()}
              </li>
            ))}
          </ul>
          <button type="button" className="btn btn-main mt-2" disabled={found === 0} onClick={take}>
            Put them in the manual
          </button>
        </>
      )}
    </details>
  )
}
