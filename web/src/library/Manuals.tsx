import type { KeptPhoto } from '@zesty/core/http'
import type { Fault } from '@zesty/core/rules'
import { Download, Trash2 } from 'lucide-react'
import { useState } from 'react'
import { FaultList } from '../parts/FaultList'
import { FileButton } from '../parts/FileButton'
import { IconButton } from '../parts/IconButton'
import { Mark } from '../parts/Mark'
import { api, problemText } from '../state/api'
import { notice } from '../state/notice'
import { readManualFile, saveManual } from './manualFiles'
import { useItems, useUnreadableItems, type KeptOf } from '../state/useItems'

/** The drives' manuals that the shop keeps; conversions that took one keep the version that they took. */
export function Manuals({ shopId }: { shopId: string }) {
  const items = useItems(shopId, 'manual')
  const unreadable = useUnreadableItems(shopId, 'manual')
  const [takeIn, { isLoading }] = api.useTakeInItemsMutation()
  const [remove] = api.useRemoveItemMutation()
  const [keep] = api.useKeepItemMutation()
  const [addSamples, { isLoading: adding }] = api.useAddSamplesMutation()
  const [faults, setFaults] = useState<Fault[]>([])
  const { data: pages = [] } = api.usePagesOfShopQuery(shopId)
  if (!items) return null
  const fromFile = async (file: File) => {
    const read = await readManualFile(file)
    if (!read.ok) {
      setFaults(read.faults)
      return
    }
    setFaults([])
    const { data, error } = await takeIn({
      shopId,
      items: [{ kind: 'manual', name: read.value.name, item: read.value }],
    })
    notice(data ? `${read.value.name} is in the library` : problemText(error))
  }
  const takeOut = async ({ id, name, item }: KeptOf<'manual'>) => {
    const { error } = await remove(id)
    if (error) notice(problemText(error))
    else
      notice(`${name} is out`, {
        label: 'Undo',
        onClick: () => void keep({ shopId, item: { kind: 'manual', name, item } }),
      })
  }
  const samples = async () => {
    const { data, error } = await addSamples(shopId)
    notice(data ? `${data.added} made-up motors, drives and manuals added` : problemText(error))
  }
  return (
    <section className="sheet flex flex-col gap-3" aria-label="manuals">
      <div className="flex flex-wrap gap-2">
        <FileButton
          label="Manual file"
          accept="application/json,.json"
          disabled={isLoading}
          words="A manual from a file"
          onFile={fromFile}
        />
        <button type="button" className="btn btn-quiet" disabled={adding} onClick={() => void samples()}>
          Add the samples
        </button>
        <p className="lead min-w-[260px] flex-1 self-center text-[15px]">
          How one drive names its screws and codes. A worksheet in a machine’s wiring makes one from the board itself.
        </p>
      </div>
      <FaultList faults={faults} />
      {unreadable.map((line) => (
        <p key={line.id} role="note" className="rounded-md border border-brass bg-brass-wash px-3 py-2">
          <Mark kind="watch" /> <b className="font-semibold">{line.name}</b> cannot be read by this release:{' '}
          {line.unreadable}. It is kept as it is.
        </p>
      ))}
      {items.length === 0 ? (
        <p className="lead">No manual here yet. Take one in from a file, or begin with the samples.</p>
      ) : (
        <ul>
          {items.map((kept) => {
            const assumed = kept.item.terminals.filter((t) => t.basis === 'assumed').length
            return (
              <li key={kept.id} className="flex flex-wrap items-center gap-x-3 gap-y-1 border-t border-rule py-1.5">
                <span className="min-w-0 flex-1 basis-[240px]">
                  <b className="font-semibold">{kept.name}</b>
                  {kept.item.edition !== undefined && <span className="text-ink-2">, {kept.item.edition}</span>}
                  <span className="block text-[15px] text-ink-2">
                    {kept.item.terminals.length} terminals{assumed > 0 && `, ${assumed} only assumed`};{' '}
                    {kept.item.codes.length} codes; {kept.item.faults.length} faults
                    {kept.item.lies?.file !== undefined && `; its paper: ${kept.item.lies.file}`}
                  </span>
                </span>
                <ManualPages shopId={shopId} name={kept.name} pages={pages} />
                <IconButton
                  label={`${kept.name} to a file`}
                  icon={Download}
                  onClick={() => saveManual(kept.item, kept.name)}
                />
                <IconButton label={`Take ${kept.name} out`} icon={Trash2} onClick={() => void takeOut(kept)} />
              </li>
            )
          })}
        </ul>
      )}
    </section>
  )
}

/** Pages that were photographed at whatever machine, each opening in a window of its own. */
function ManualPages({ shopId, name, pages }: { shopId: string; name: string; pages: readonly KeptPhoto[] }) {
  const own = pages.filter(({ subject }) => subject === name)
  if (own.length === 0) return null
  return (
    <ul className="flex flex-wrap gap-1" aria-label={`Photographed pages of ${name}`}>
      {own.map(({ id, note }, i) => (
        <li key={id}>
          <a href={`/api/shops/${shopId}/photos/${id}`} target="_blank" rel="noreferrer">
            <img
              src={`/api/shops/${shopId}/photos/${id}`}
              alt={note ?? `Page ${i + 1}`}
              title={note}
              loading="lazy"
              className="size-11 rounded-sm border border-edge object-cover"
            />
          </a>
        </li>
      ))}
    </ul>
  )
}
