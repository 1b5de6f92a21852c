import { set, withKey } from '@zesty/core'
import { deductions, nextTest, PROBE_CAUTION, probeTests } from '@zesty/core/settings'
import { useState } from 'react'
import { KeptInput } from '../../parts/KeptInput'
import { Labelled } from '../../parts/Labelled'
import { Text } from '../../parts/Text'
import { useChange, usePlan } from '../../state/openPlan'

/** Guided tests of two minutes that tell what a drive listens to and how it counts, where no manual does. */
export function ProbeSheet() {
  const plan = usePlan()
  const answers = plan.settings.probe ?? {}
  const next = nextTest(answers)
  const [chosen, setChosen] = useState<string>()
  const test = probeTests.find(({ id }) => id === chosen) ?? next ?? probeTests[0]
  const found = deductions(plan, answers)
  return (
    <section className="sheet mt-3 print:hidden" aria-labelledby="probe" data-path="settings.probe">
      <h2 id="probe" tabIndex={-1} className="h-part">
        Try it: what it listens to, how it counts
      </h2>
      <p className="lead text-[15px]">
        Four tests of two minutes, for a drive without a manual or with one that is not believed.
      </p>
      <p className="mt-1 flex gap-2 rounded bg-oxide-wash px-2 py-1 text-[15px]">
        <b className="text-oxide">Stop</b>
        <span>{PROBE_CAUTION}</span>
      </p>
      <div className="mt-2 flex flex-wrap gap-1.5" role="group" aria-label="Tests">
        {probeTests.map(({ id, name, notes }) => (
          <button
            key={id}
            type="button"
            className={`btn ${test?.id === id ? 'btn-main' : ''}`}
            aria-pressed={test?.id === id}
            onClick={() => setChosen(id)}
          >
            {name}
            {notes.every((note) => answers[note.id] !== undefined) ? ', done' : ''}
          </button>
        ))}
      </div>
      {test && (
        <div className="mt-2">
          <ol className="ml-5 list-decimal">
            {test.do.map((step) => (
              <li key={step}>{step}</li>
            ))}
          </ol>
          <div className="mt-2 flex flex-wrap items-end gap-3">
            {test.notes.map((note) => (
              <Note key={note.id} {...note} />
            ))}
          </div>
        </div>
      )}
      {found.length > 0 && <Found />}
    </section>
  )
}

function Note({
  id,
  asks,
  answers,
  unit,
}: {
  id: string
  asks: string
  answers?: Readonly<Record<string, string>>
  unit?: string
}) {
  const plan = usePlan()
  const change = useChange()
  const held = plan.settings.probe?.[id] ?? ''
  const write = (value: string) => {
    change(`Tried: ${asks.toLowerCase()}`, [
      set('settings.probe', withKey(plan.settings.probe, id, value === '' ? undefined : value)),
    ])
  }
  return (
    <Labelled label={unit === undefined || unit === 'as shown' ? asks : `${asks}, ${unit}`} className="w-44">
      {(field) =>
        answers ? (
          <select id={field} className="field" value={held} onChange={(e) => write(e.target.value)}>
            <option value="">not tried</option>
            {Object.entries(answers).map(([value, words]) => (
              <option key={value} value={value}>
                {words}
              </option>
            ))}
          </select>
        ) : (
          <KeptInput id={field} inputMode="decimal" maxLength={20} held={held} onKeep={write} />
        )
      }
    </Labelled>
  )
}

/** What follows from the tests, to be taken as what is known of the drive. */
function Found() {
  const plan = usePlan()
  const change = useChange()
  const found = deductions(plan, plan.settings.probe ?? {})
  const open = found.filter(({ known }) => !known)
  return (
    <div className="mt-3 border-t border-rule pt-2">
      <h3 className="font-semibold">What that tells</h3>
      <ul className="ml-5 list-disc">
        {found.map(({ id, says, known, patch }) => (
          <li key={id}>
            <Text said={says} />
            {known && patch.length > 0 && <span className="text-green"> Noted.</span>}
          </li>
        ))}
      </ul>
      {open.length > 0 && (
        <button
          type="button"
          className="btn btn-main mt-2"
          onClick={() =>
            change(
              'Tried on the drive',
              open.flatMap(({ patch }) => [...patch]),
            )
          }
        >
          Note it as what the drive holds
        </button>
      )}
    </div>
  )
}
