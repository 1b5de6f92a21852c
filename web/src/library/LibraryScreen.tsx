import { cut } from '@zesty/core'
import { Copy, Pencil, Plus, Trash2 } from 'lucide-react'
import { useEffect, useState } from 'react'
import { Link, useParams } from 'react-router'
import { UnitsOfShop } from '../state/UnitsOfShop'
import { api, problemText } from '../state/api'
import { Brand } from '../parts/Brand'
import { LostScreen } from '../parts/LostScreen'
import { Mark } from '../parts/Mark'
import { notice } from '../state/notice'
import { useSwitchUnits } from '../state/useSwitchUnits'
import { IconButton } from '../parts/IconButton'
import { CsvButtons } from './CsvButtons'
import { ItemForm } from './ItemForm'
import { LibraryTable } from './LibraryTable'
import { Manuals } from './Manuals'
import type { PlateKind } from './plateColumns'
import { useItems, useUnreadableItems, type KeptOf } from '../state/useItems'

const tabs: readonly { kind: PlateKind | 'manual'; path: string; words: string }[] = [
  { kind: 'motor', path: 'motors', words: 'Motors' },
  { kind: 'drive', path: 'drives', words: 'Drives' },
  { kind: 'manual', path: 'manuals', words: 'Manuals' },
]

/** The shop's motors and drives, those it has, has had, or thinks of buying, and the drives' manuals. */
export function LibraryScreen() {
  const { shopId = '', kind: path } = useParams()
  const { data: shop, error } = api.useShopQuery(shopId)
  const switchUnits = useSwitchUnits(shopId, shop?.units ?? 'metric')
  const tab = tabs.find((t) => t.path === path)
  useEffect(() => {
    document.title = `Library, ${shop?.name ?? 'shop'} - Zesty Lathe`
  }, [shop?.name])
  if (!tab) return <LostScreen />
  return (
    <UnitsOfShop shopId={shopId}>
      <div className="min-h-screen">
        <header className="flex min-h-[56px] flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule px-4 py-1">
          <Brand />
          <Link
            to={`/shops/${shopId}`}
            className="flex min-h-11 items-center font-semibold underline underline-offset-4"
          >
            {shop?.name ?? 'The shop'}
          </Link>
          <button type="button" className="btn btn-quiet ml-auto" onClick={switchUnits}>
            Units: {shop?.units === 'imperial' ? 'in, hp' : 'mm, kW'}
          </button>
        </header>
        <main className="@container mx-auto flex max-w-[1240px] flex-col gap-3 px-4 py-4">
          {error && (
            <p role="alert" className="sheet text-oxide">
              {problemText(error)}
            </p>
          )}
          <div className="flex flex-wrap items-end gap-x-6 gap-y-1">
            <h1 className="font-cond text-[32px] leading-tight font-semibold">Library</h1>
            <nav aria-label="Kinds" className="flex gap-1">
              {tabs.map((t) => (
                <Link
                  key={t.kind}
                  to={`/shops/${shopId}/library/${t.path}`}
                  aria-current={t === tab ? 'page' : undefined}
                  className={`flex min-h-11 items-center rounded-md px-3 font-medium ${t === tab ? 'bg-card font-semibold shadow-[inset_0_-3px_0_var(--blue)]' : 'text-ink-2'}`}
                >
                  {t.words}
                </Link>
              ))}
            </nav>
          </div>
          {tab.kind === 'manual' ? (
            <Manuals shopId={shopId} />
          ) : (
            <Items key={tab.kind} shopId={shopId} kind={tab.kind} />
          )}
        </main>
      </div>
    </UnitsOfShop>
  )
}

function Items({ shopId, kind }: { shopId: string; kind: PlateKind }) {
  const items = useItems(shopId, kind)
  const unreadable = useUnreadableItems(shopId, kind)
  const [editing, setEditing] = useState<string>()
  const [keep] = api.useKeepItemMutation()
  const [remove] = api.useRemoveItemMutation()
  const [addSamples, { isLoading: adding }] = api.useAddSamplesMutation()
  if (!items) return null
  const names = new Set([...items, ...unreadable].map((i) => i.name))
  const make = async (base: string, item: object) => {
    const name = freeName(base, names)
    const { data, error } = await keep({ shopId, item: { kind, name, item } })
    if (data) setEditing(data.id)
    else notice(problemText(error))
  }
  const takeOut = async ({ id, name, ...kept }: KeptOf<PlateKind>) => {
    const { error } = await remove(id)
    const item: object = kept.item
    if (error) notice(problemText(error))
    else notice(`${name} is out`, { label: 'Undo', onClick: () => void keep({ shopId, item: { kind, name, item } }) })
  }
  const samples = async () => {
    const { data, error } = await addSamples(shopId)
    notice(data ? `${data.added} made-up motors, drives and manuals added` : problemText(error))
  }
  const edited = items.find((i) => i.id === editing)
  return (
    <section className="sheet flex flex-col gap-3" aria-label={`${kind}s`}>
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn btn-main" onClick={() => void make(`New ${kind}`, {})}>
          <Plus size={18} aria-hidden="true" /> Add a {kind}
        </button>
        <CsvButtons shopId={shopId} kind={kind} items={items} />
        <button type="button" className="btn btn-quiet" disabled={adding} onClick={() => void samples()}>
          Add the samples
        </button>
        <p className="lead min-w-[260px] flex-1 self-center text-[15px]">
          Kept here, a {kind} can be taken into any plan of the shop. The samples are made up: good for trying things,
          not for buying.
        </p>
      </div>
      {unreadable.map((line) => (
        <p key={line.id} role="note" className="rounded-md border border-brass bg-brass-wash px-3 py-2">
          <Mark kind="watch" /> <b className="font-semibold">{line.name}</b> cannot be read by this release:{' '}
          {line.unreadable}. It is kept as it is.
        </p>
      ))}
      {items.length === 0 ? (
        <p className="lead">No {kind} here yet. Add one from its plate, take a CSV in, or begin with the samples.</p>
      ) : (
        <LibraryTable
          kind={kind}
          items={items}
          actions={(item) => (
            <>
              <IconButton label={`Change ${item.name}`} icon={Pencil} onClick={() => setEditing(item.id)} />
              <IconButton
                label={`Copy ${item.name}`}
                icon={Copy}
                onClick={() => void make(`${item.name}, copy`, item.item)}
              />
              <IconButton label={`Take ${item.name} out`} icon={Trash2} onClick={() => void takeOut(item)} />
            </>
          )}
        />
      )}
      {edited && <ItemForm key={edited.id} item={edited} onClose={() => setEditing(undefined)} />}
    </section>
  )
}

/** The name, with a number after it where it is taken. */
function freeName(base: string, taken: ReadonlySet<string>): string {
  const short = cut(base, 74)
  if (!taken.has(short)) return short
  for (let n = 2; ; n += 1) if (!taken.has(`${short} ${n}`)) return `${short} ${n}`
}
