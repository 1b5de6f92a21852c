import { LARGEST_CONVERSION_FILE, type MachineLine, type Shop } from '@zesty/core/http'
import { BookOpen, Moon, Plus, Smartphone, Trash2 } from 'lucide-react'
import { lazy, Suspense, useEffect, useState } from 'react'
import { Link, useNavigate, useParams } from 'react-router'
import { UnitsOfShop } from '../state/UnitsOfShop'
import { api, problemText } from '../state/api'
import { hasDrafts } from '../state/draftKeys'
import { notice } from '../state/notice'
import { Brand } from '../parts/Brand'
import { RightsNote } from '../parts/RightsNote'
import { ShopsNav } from '../parts/ShopsNav'
import { switchTheme } from '../state/theme'
import { useAskAgain } from '../state/useAskAgain'
import { useSwitchUnits } from '../state/useSwitchUnits'
import { Overlay } from '../parts/Overlay'
import { Circuits } from './Circuits'
import { FileButton } from '../parts/FileButton'
import { MachineTicket } from './MachineTicket'
import { NewMachine } from './NewMachine'
import { ShopForm } from './ShopForm'

/** Brings what reads plans, which the shop itself does not need. */
const UnsentHere = lazy(() => import('./UnsentHere').then((m) => ({ default: m.UnsentHere })))

/** The machines of a shop, each with its state and next step. */
export function ShopScreen() {
  const { shopId = '' } = useParams()
  const { data: shop, error, refetch } = api.useShopQuery(shopId)
  const {
    data: machines,
    error: machinesError,
    refetch: askForMachines,
  } = api.useMachinesQuery(shopId, { refetchOnMountOrArgChange: true })
  useAskAgain(error, refetch)
  useAskAgain(machinesError, askForMachines)
  const [adding, setAdding] = useState<'machine' | 'shop'>()
  const [removing, setRemoving] = useState<MachineLine>()
  const [copyMachine] = api.useCopyMachineMutation()
  const navigate = useNavigate()
  const copy = async ({ id, name }: MachineLine) => {
    const made = await copyMachine(id)
    if (made.data) {
      notice(`Begun from ${name}: decisions and plates came along, what was measured did not`)
      await navigate(`/conversions/${made.data.id}`)
    } else notice(`${name} was not copied. ${problemText(made.error)}`)
  }
  useEffect(() => {
    document.title = `${shop?.name ?? 'Shop'} - Zesty Lathe`
  }, [shop?.name])
  const trouble = error ?? machinesError
  return (
    <div className="min-h-screen">
      <header className="flex min-h-[56px] flex-wrap items-center gap-x-4 gap-y-1 border-b border-rule px-4 py-1">
        <Brand />
        <ShopsNav openId={shopId}>
          <button type="button" className="btn btn-quiet border-dashed px-3" onClick={() => setAdding('shop')}>
            <Plus size={18} aria-hidden="true" /> Shop
          </button>
        </ShopsNav>
        <button
          type="button"
          className="btn btn-quiet w-11 px-0"
          aria-label="Light or dark"
          title="Light or dark"
          onClick={switchTheme}
        >
          <Moon size={20} aria-hidden="true" />
        </button>
      </header>
      <main className="mx-auto flex max-w-[1180px] flex-col gap-4 px-4 py-5">
        {trouble && (
          <p role="alert" className="sheet text-oxide">
            {problemText(trouble)}
          </p>
        )}
        {shop && (
          <>
            <div className="flex flex-wrap items-end gap-3">
              <div className="flex-1 max-sm:basis-full">
                <h1 className="font-cond text-[32px] leading-tight font-semibold">{shop.name}</h1>
                <p className="lead">
                  {machines === undefined
                    ? ''
                    : machines.length === 0
                      ? 'No machine yet.'
                      : `${machines.length} ${machines.length === 1 ? 'machine' : 'machines'}. Open one to go on where you stopped.`}
                </p>
                <RightsNote />
              </div>
              <Link to={`/shops/${shopId}/library/motors`} className="btn btn-quiet">
                <BookOpen size={18} aria-hidden="true" /> Library
              </Link>
              <Link to="/devices" className="btn btn-quiet">
                <Smartphone size={18} aria-hidden="true" /> Devices
              </Link>
              <UnitsSwitch shop={shop} />
              <ImportButton shopId={shopId} />
              {machines && machines.length > 0 && (
                <button type="button" className="btn btn-main" onClick={() => setAdding('machine')}>
                  <Plus size={18} aria-hidden="true" /> Another machine
                </button>
              )}
            </div>
            {machines?.length === 0 && (
              <section className="sheet">
                <NewMachine shopId={shopId} first />
              </section>
            )}
            {machines && hasDrafts() && (
              <Suspense fallback={null}>
                <UnsentHere machines={machines} />
              </Suspense>
            )}
            <ul className="grid gap-3 md:grid-cols-2">
              {machines?.map((m) => (
                <li key={m.id}>
                  <MachineTicket
                    machine={m}
                    units={shop.units}
                    onCopy={() => void copy(m)}
                    onRemove={() => setRemoving(m)}
                  />
                </li>
              ))}
            </ul>
            {machines && machines.length > 0 && (
              <UnitsOfShop shopId={shopId}>
                <Circuits shopId={shopId} machines={machines} units={shop.units} />
              </UnitsOfShop>
            )}
          </>
        )}
      </main>
      <Overlay title="Another machine" open={adding === 'machine'} onClose={() => setAdding(undefined)} wide>
        <NewMachine shopId={shopId} />
      </Overlay>
      <Overlay title="Another shop" open={adding === 'shop'} onClose={() => setAdding(undefined)}>
        <ShopForm onMade={() => setAdding(undefined)} />
      </Overlay>
      {removing && <RemoveDialog machine={removing} onClose={() => setRemoving(undefined)} />}
    </div>
  )
}

function UnitsSwitch({ shop }: { shop: Shop }) {
  const switchUnits = useSwitchUnits(shop.id, shop.units)
  return (
    <button type="button" className="btn btn-quiet" onClick={switchUnits}>
      Units: {shop.units === 'metric' ? 'mm, kW' : 'in, hp'}
    </button>
  )
}

function ImportButton({ shopId }: { shopId: string }) {
  const navigate = useNavigate()
  const [importMachine, { isLoading: isReading }] = api.useImportMachineMutation()
  const [importWhole, { isLoading: isUnpacking }] = api.useImportWholeMutation()
  const isLoading = isReading || isUnpacking
  const [refusal, setRefusal] = useState<string>()
  const take = async (file: File) => {
    if (file.size > LARGEST_CONVERSION_FILE) {
      setRefusal(
        `${file.name} is ${(file.size / 1e6).toFixed(1)} MB. A conversion file has 68 MB at the most, photos and all; is it the right file?`,
      )
      return
    }
    // A ZIP begins with the same two letters everywhere, whatever it is called.
    const isZip = (await file.slice(0, 2).text()) === 'PK'
    const result = isZip
      ? await importWhole({ shopId, zip: file })
      : await importMachine({ shopId, text: await file.text() })
    if (result.data) {
      notice(`${result.data.plan.name} was taken in`)
      await navigate(`/conversions/${result.data.id}`)
    } else setRefusal(`${file.name} was not taken in, and nothing was changed. ${problemText(result.error)}`)
  }
  return (
    <>
      <FileButton
        label="Conversion file"
        accept="application/json,.json,application/zip,.zip"
        disabled={isLoading}
        words={isLoading ? 'Reading' : 'Import a file'}
        onFile={take}
      />
      <Overlay title="Not taken in" open={refusal !== undefined} onClose={() => setRefusal(undefined)}>
        <p role="alert">{refusal}</p>
      </Overlay>
    </>
  )
}

function RemoveDialog({ machine, onClose }: { machine: MachineLine; onClose: () => void }) {
  const [remove, { error }] = api.useRemoveMachineMutation()
  return (
    <Overlay
      title={`Take ${machine.name} away?`}
      says="Its plan and all its revisions go with it. Export it first if you may want it back."
      open
      onClose={onClose}
    >
      {error && <p className="text-oxide">{problemText(error)}</p>}
      <div className="flex flex-wrap gap-2">
        <button type="button" className="btn" onClick={onClose}>
          Leave it
        </button>
        <a className="btn" href={`/api/conversions/${machine.id}/export`} download={`${machine.name}.json`}>
          Export it
        </a>
        <button
          type="button"
          className="btn border-oxide text-oxide"
          onClick={() => void remove(machine.id).then((r) => r.error === undefined && onClose())}
        >
          <Trash2 size={18} aria-hidden="true" /> Take it away
        </button>
      </div>
    </Overlay>
  )
}
