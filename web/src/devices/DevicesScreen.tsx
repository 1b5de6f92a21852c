import type { Device } from '@zesty/core/http'
import { useEffect, useState } from 'react'
import { Brand } from '../parts/Brand'
import { momentOf } from '../parts/moment'
import { ShopsNav } from '../parts/ShopsNav'
import { api, problemText } from '../state/api'
import { accessApi } from './accessApi'
import { pageKeeping, type PageKeeping } from '../state/keepsPage'
import { notice } from '../state/notice'
import { rightsWords } from './deviceWords'
import { Invite } from './Invite'
import { People } from './People'

/** Phones and tablets of the shop: letting one in, and who is. */
export function DevicesScreen() {
  const { data: who, error } = api.useWhoQuery(undefined)
  useEffect(() => {
    document.title = 'Devices - Zesty Lathe'
  }, [])
  return (
    <div className="min-h-screen">
      <header className="flex min-h-[56px] flex-wrap items-center gap-x-4 border-b border-rule px-4 py-1">
        <Brand />
        <ShopsNav />
      </header>
      <main className="mx-auto flex max-w-[1180px] flex-col gap-4 px-4 py-5">
        <div>
          <h1 className="font-cond text-[32px] leading-tight font-semibold">Devices</h1>
          <p className="lead">A phone or tablet at the machine, let in once, until it is withdrawn here.</p>
        </div>
        {error && (
          <p role="alert" className="sheet text-oxide">
            {problemText(error)}
          </p>
        )}
        {who && (who.at === 'network' ? <ThisDevice name={who.name} rights={who.rights} /> : <AtComputer who={who} />)}
      </main>
    </div>
  )
}

function AtComputer({ who }: { who: { address?: string | undefined } }) {
  if (who.address === undefined)
    return (
      <section className="sheet flex flex-col gap-2">
        <h2 className="h-part">Other machines cannot reach this one now</h2>
        <p>
          It answers to this computer alone, and nobody signs in here. To use a phone at the machine, stop it with
          Ctrl-C and start it with this computer’s address in the shop’s network:
        </p>
        <pre className="overflow-x-auto rounded-md border border-rule bg-paper p-3 text-[15px]">
          ./zesty start --host 0.0.0.0
        </pre>
        <p className="text-ink-2">
          Then only devices that you let in here can read or change anything. Without a phone: print the cards, and type
          the readings later.
        </p>
      </section>
    )
  return (
    <div className="grid gap-4 lg:grid-cols-2">
      <Invite />
      <div className="flex flex-col gap-4">
        <LetIn />
        <People />
      </div>
    </div>
  )
}

function LetIn() {
  // What comes in on a phone shows here without asking.
  const { data: devices } = accessApi.useDevicesQuery(undefined, { pollingInterval: 3000 })
  return (
    <section className="sheet flex flex-col gap-2">
      <h2 className="h-part">Let in</h2>
      {devices?.length === 0 && <p className="text-ink-2">None yet.</p>}
      <ul>
        {devices?.map((device) => (
          <DeviceLine key={device.id} device={device} />
        ))}
      </ul>
    </section>
  )
}

function DeviceLine({ device }: { device: Device }) {
  const [withdraw] = accessApi.useWithdrawMutation()
  const { name, person, rights, conversionId, lastSeenAt } = device
  return (
    <li className="flex flex-wrap items-center gap-3 border-t border-rule py-1.5 first:border-0">
      <p className="min-w-0 flex-1">
        <span className="font-semibold">{person === undefined ? name : `${person}, ${name}`}</span>
        <br />
        <span className="text-ink-2">
          {conversionId === undefined ? rightsWords[rights].title : 'One machine, look only'}, last seen{' '}
          {momentOf(lastSeenAt)}
        </span>
      </p>
      <button
        type="button"
        className="btn btn-quiet"
        aria-label={`Withdraw ${name}`}
        onClick={() =>
          void withdraw(device.id).then(({ error }) =>
            notice(error ? problemText(error) : `${name} is not let in any more`),
          )
        }
      >
        Withdraw
      </button>
    </li>
  )
}

/** Where the browser keeps no page, why not and what is left. */
function Withheld() {
  const [keeping, setKeeping] = useState<PageKeeping>()
  useEffect(() => void pageKeeping.then(setKeeping), [])
  if (keeping !== 'withheld') return null
  return (
    <p>
      Without a network this page does not open here: this browser keeps it only where it trusts the shop’s certificate.
      While the network is there everything works. Printed cards, and readings typed later, are always a way.
    </p>
  )
}

function ThisDevice({ name, rights }: { name: string; rights: Device['rights'] }) {
  const [leave] = accessApi.useLeaveMutation()
  return (
    <section className="sheet flex flex-col gap-2">
      <h2 className="h-part">This is {name}</h2>
      <p>
        {rightsWords[rights].title}. {rightsWords[rights].says} Who comes in is decided at the computer.
      </p>
      <Withheld />
      <button
        type="button"
        className="btn self-start"
        onClick={() => void leave(undefined).then(() => window.location.assign('/'))}
      >
        Take this device out
      </button>
    </section>
  )
}
