import type { DeviceRights } from '@zesty/core/http'
import { useId, useState, type SyntheticEvent } from 'react'
import { problemText } from '../state/api'
import { accessApi } from './accessApi'
import { rightsWords } from './deviceWords'

/** Names with a pass-phrase, where a shop wants to know who did what. */
export function People() {
  const { data: people = [] } = accessApi.usePeopleQuery(undefined)
  const [remove] = accessApi.useRemovePersonMutation()
  const [adding, setAdding] = useState(false)
  return (
    <section className="sheet flex flex-col gap-2">
      <h2 className="h-part">Names</h2>
      <p className="text-ink-2">
        Nobody needs one. With a name and a pass-phrase a device can be let in without this computer, and the name
        stands on what is changed.
      </p>
      <ul>
        {people.map((person) => (
          <li key={person.id} className="flex items-center gap-3 border-t border-rule py-1.5 first:border-0">
            <span className="min-w-0 flex-1">
              <span className="font-semibold">{person.name}</span>, {rightsWords[person.rights].title.toLowerCase()}
            </span>
            <button
              type="button"
              className="btn btn-quiet"
              aria-label={`Remove ${person.name}`}
              onClick={() => void remove(person.id)}
            >
              Remove
            </button>
          </li>
        ))}
      </ul>
      {adding ? (
        <NewPerson onDone={() => setAdding(false)} />
      ) : (
        <button type="button" className="btn self-start" onClick={() => setAdding(true)}>
          Add a name
        </button>
      )}
    </section>
  )
}

function NewPerson({ onDone }: { onDone: () => void }) {
  const id = useId()
  const [name, setName] = useState('')
  const [passphrase, setPassphrase] = useState('')
  const [rights, setRights] = useState<DeviceRights>('measure')
  const [add, { error, isLoading }] = accessApi.useAddPersonMutation()
  const submit = async (event: SyntheticEvent) => {
    event.preventDefault()
    if ('data' in (await add({ name, passphrase, rights }))) onDone()
  }
  return (
    <form className="flex flex-col gap-2" onSubmit={(e) => void submit(e)}>
      <label className="label" htmlFor={`${id}-name`}>
        Name
      </label>
      <input
        id={`${id}-name`}
        className="field"
        value={name}
        maxLength={60}
        autoComplete="off"
        onChange={(e) => setName(e.target.value)}
      />
      <label className="label" htmlFor={`${id}-words`}>
        Pass-phrase, at least ten letters
      </label>
      <input
        id={`${id}-words`}
        className="field"
        type="password"
        value={passphrase}
        maxLength={200}
        autoComplete="new-password"
        onChange={(e) => setPassphrase(e.target.value)}
      />
      <label className="label" htmlFor={`${id}-rights`}>
        May
      </label>
      <select
        id={`${id}-rights`}
        className="field"
        value={rights}
        onChange={(e) => setRights(e.target.value as DeviceRights)}
      >
        {(Object.keys(rightsWords) as DeviceRights[]).map((key) => (
          <option key={key} value={key}>
            {rightsWords[key].title}
          </option>
        ))}
      </select>
      {error && (
        <p role="alert" className="text-oxide">
          {problemText(error)}
        </p>
      )}
      <div className="flex gap-2">
        <button
          type="submit"
          className="btn btn-main"
          disabled={isLoading || name.trim() === '' || passphrase.length < 10}
        >
          Add
        </button>
        <button type="button" className="btn btn-quiet" onClick={onDone}>
          Not now
        </button>
      </div>
    </form>
  )
}
