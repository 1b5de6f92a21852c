import { useState, type SyntheticEvent } from 'react'
import { Brand } from '../parts/Brand'
import { Labelled } from '../parts/Labelled'
import { problemText } from '../state/api'
import { accessApi } from './accessApi'

/** The six words stand behind the address's mark when the picture was taken by a phone. */
const wordsInAddress = (): string => decodeURIComponent(window.location.hash.slice(1)).replaceAll('-', ' ')

const likelyName = (): string =>
  /iPad|Tablet/i.test(navigator.userAgent) ? 'Tablet' : /Mobi/i.test(navigator.userAgent) ? 'Phone' : 'Computer'

/** What a device sees that is not let in yet. */
export function PairScreen() {
  const [byName, setByName] = useState(false)
  return (
    <main className="mx-auto flex max-w-[560px] flex-col gap-4 p-4 sm:p-8">
      <Brand />
      <h1 className="h-stage">Let this device in</h1>
      {byName ? <ByName /> : <ByWords />}
      <button type="button" className="btn btn-quiet self-start" onClick={() => setByName(!byName)}>
        {byName ? 'I have six words' : 'I have a name and a pass-phrase'}
      </button>
    </main>
  )
}

function ByWords() {
  const [words, setWords] = useState(wordsInAddress)
  const [deviceName, setDeviceName] = useState(likelyName)
  const [pair, { error, isLoading }] = accessApi.usePairMutation()
  const submit = async (event: SyntheticEvent) => {
    event.preventDefault()
    if ('data' in (await pair({ words, deviceName }))) window.location.assign('/')
  }
  return (
    <form className="flex flex-col gap-4" onSubmit={(e) => void submit(e)}>
      <p>
        At the computer, open <b>Devices</b> and press <b>Let a device in</b>. Point this device’s camera at the picture
        there, or type the six words beside it; the first four letters of each are enough. They hold once, for ten
        minutes.
      </p>
      <Typed label="Six words" value={words} onChange={setWords} />
      <Typed label="What to call this device" value={deviceName} onChange={setDeviceName} />
      {error && <Refused says={problemText(error)} />}
      <button
        type="submit"
        className="btn btn-main self-start"
        disabled={isLoading || words.trim() === '' || deviceName.trim() === ''}
      >
        Let it in
      </button>
    </form>
  )
}

function ByName() {
  const [name, setName] = useState('')
  const [passphrase, setPassphrase] = useState('')
  const [deviceName, setDeviceName] = useState(likelyName)
  const [signIn, { error, isLoading }] = accessApi.useSignInMutation()
  const submit = async (event: SyntheticEvent) => {
    event.preventDefault()
    if ('data' in (await signIn({ name, passphrase, deviceName }))) window.location.assign('/')
  }
  return (
    <form className="flex flex-col gap-4" onSubmit={(e) => void submit(e)}>
      <p>Names are given at the computer, under Devices. This device stays let in until it is withdrawn there.</p>
      <Typed label="Name" value={name} onChange={setName} autoComplete="username" />
      <Typed
        label="Pass-phrase"
        value={passphrase}
        onChange={setPassphrase}
        type="password"
        autoComplete="current-password"
      />
      <Typed label="What to call this device" value={deviceName} onChange={setDeviceName} />
      {error && <Refused says={problemText(error)} />}
      <button
        type="submit"
        className="btn btn-main self-start"
        disabled={isLoading || name.trim() === '' || passphrase === '' || deviceName.trim() === ''}
      >
        Sign in
      </button>
    </form>
  )
}

const Refused = ({ says }: { says: string }) => (
  <p role="alert" className="font-medium text-oxide">
    {says}
  </p>
)

function Typed({
  label,
  value,
  onChange,
  type = 'text',
  autoComplete = 'off',
}: {
  label: string
  value: string
  onChange: (text: string) => void
  type?: 'text' | 'password'
  autoComplete?: string
}) {
  return (
    <Labelled label={label}>
      {(id) => (
        <input
          id={id}
          type={type}
          className="field"
          value={value}
          maxLength={200}
          autoComplete={autoComplete}
          autoCapitalize="none"
          spellCheck={false}
          onChange={(e) => onChange(e.target.value)}
        />
      )}
    </Labelled>
  )
}
