import type { DeviceRights, Invitation } from '@zesty/core/http'
import { RadioGroup } from 'radix-ui'
import { useEffect, useId, useState } from 'react'
import { api, problemText } from '../state/api'
import { accessApi } from './accessApi'
import { rightsWords } from './deviceWords'

/** Chooses what a device may do, then shows the way in: a picture for its camera, and six words. */
export function Invite() {
  const [rights, setRights] = useState<DeviceRights>('measure')
  const [conversionId, setConversionId] = useState('')
  const [invite, { data, error, isLoading, reset }] = accessApi.useInviteMutation()
  if (data) return <WayIn invitation={data} onDone={reset} />
  return (
    <section className="sheet flex flex-col gap-3">
      <h2 className="h-part">Let a device in</h2>
      <RadioGroup.Root
        className="flex flex-col gap-2"
        value={rights}
        aria-label="What it may do"
        onValueChange={(v) => setRights(v as DeviceRights)}
      >
        {(Object.keys(rightsWords) as DeviceRights[]).map((key) => (
          <RadioGroup.Item
            key={key}
            value={key}
            className="rounded-lg border border-edge bg-card px-3.5 py-2 text-left data-[state=checked]:border-blue data-[state=checked]:bg-blue-wash data-[state=checked]:shadow-[inset_4px_0_0_var(--blue)]"
          >
            <span className="block font-cond text-[19px] font-semibold">{rightsWords[key].title}</span>
            <span className="text-ink-2">{rightsWords[key].says}</span>
          </RadioGroup.Item>
        ))}
      </RadioGroup.Root>
      {rights === 'look' && <OneMachine value={conversionId} onChange={setConversionId} />}
      {error && (
        <p role="alert" className="text-oxide">
          {problemText(error)}
        </p>
      )}
      <button
        type="button"
        className="btn btn-main self-start"
        disabled={isLoading}
        onClick={() => void invite({ rights, ...(rights === 'look' && conversionId !== '' ? { conversionId } : {}) })}
      >
        Let a device in
      </button>
    </section>
  )
}

function OneMachine({ value, onChange }: { value: string; onChange: (id: string) => void }) {
  const id = useId()
  const { data: shops = [] } = api.useShopsQuery(undefined)
  return (
    <div className="flex flex-col gap-0.5">
      <label className="label" htmlFor={id}>
        Machines
      </label>
      <select id={id} className="field" value={value} onChange={(e) => onChange(e.target.value)}>
        <option value="">Every machine</option>
        {shops.map((shop) => (
          <Machines key={shop.id} shopId={shop.id} name={shop.name} />
        ))}
      </select>
    </div>
  )
}

function Machines({ shopId, name }: { shopId: string; name: string }) {
  const { data: machines = [] } = api.useMachinesQuery(shopId)
  return (
    <optgroup label={name}>
      {machines.map((machine) => (
        <option key={machine.id} value={machine.id}>
          Only {machine.name}
        </option>
      ))}
    </optgroup>
  )
}

/** Minutes and seconds that are left. */
const leftOf = (expiresAt: string, now: number): string | undefined => {
  const seconds = Math.floor((new Date(expiresAt).getTime() - now) / 1000)
  return seconds <= 0 ? undefined : `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`
}

function WayIn({ invitation, onDone }: { invitation: Invitation; onDone: () => void }) {
  const { words, address, qr, expiresAt, fingerprint } = invitation
  const [now, setNow] = useState(Date.now)
  useEffect(() => {
    const each = setInterval(() => setNow(Date.now()), 1000)
    return () => clearInterval(each)
  }, [])
  const left = leftOf(expiresAt, now)
  if (left === undefined)
    return (
      <section className="sheet flex flex-col gap-3">
        <h2 className="h-part">The words hold no longer</h2>
        <p>Ten minutes have passed. Have new ones shown.</p>
        <button type="button" className="btn btn-main self-start" onClick={onDone}>
          New words
        </button>
      </section>
    )
  const [place = ''] = address.split('/pair')
  return (
    <section className="sheet flex flex-col gap-3">
      <h2 className="h-part">With the device, now</h2>
      <div className="flex flex-wrap gap-4">
        <img
          src={`data:image/svg+xml,${encodeURIComponent(qr)}`}
          alt="The way in, for the camera of the device"
          className="h-[220px] w-[220px] rounded-md bg-white"
        />
        <ol className="flex min-w-[240px] flex-1 list-decimal flex-col gap-2 pl-5">
          <li>
            Point its camera here, or open <span className="inline-block font-semibold">{place}</span> on it.
          </li>
          {fingerprint !== undefined && (
            <li>
              It will say that it does not know the certificate: it is this shop’s own. Look at its details, see that
              the SHA-256 is the one below, and go on.
            </li>
          )}
          <li>
            Type the six words where it asks for them:
            <br />
            <span data-testid="words" className="text-[19px] font-semibold">
              {words}
            </span>
          </li>
        </ol>
      </div>
      {fingerprint === undefined ? (
        <p className="font-medium text-oxide">
          Not encrypted: everybody on this network can read along, and can take the place of this device.
        </p>
      ) : (
        <p className="text-[15px] break-all text-ink-2">
          SHA-256 of the certificate <span className="font-mono">{fingerprint}</span>
        </p>
      )}
      <p aria-live="off">
        For one device, for <b>{left}</b> more.
      </p>
      <button type="button" className="btn btn-quiet self-start" onClick={onDone}>
        Done
      </button>
    </section>
  )
}
