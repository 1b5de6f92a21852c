import { machineKinds, type MachineKind } from '@zesty/core'
import { useId, useState } from 'react'
import { useNavigate } from 'react-router'
import { api, problemText } from '../state/api'
import { MachineSketch } from './MachineSketch'

/** What machine is it? One press begins the conversion. */
export function NewMachine({ shopId, first = false }: { shopId: string; first?: boolean }) {
  const navigate = useNavigate()
  const id = useId()
  const [name, setName] = useState('')
  const [create, { error, isLoading }] = api.useNewMachineMutation()
  const begin = async (kind: MachineKind) => {
    const made = await create({
      shopId,
      name: name.trim() || (kind === 'other' ? 'Machine' : machineKinds[kind]),
      machineKind: kind,
    })
    if (made.data) await navigate(`/conversions/${made.data.id}/survey`)
  }
  return (
    <div className="flex flex-col gap-4">
      {first && (
        <div>
          <h2 className="h-stage">What machine is it?</h2>
          <p className="lead">
            Choose one and type what you know. Five minutes give a first verdict; everything can be changed later.
          </p>
        </div>
      )}
      <div className="flex max-w-[420px] flex-col gap-0.5">
        <label className="label" htmlFor={id}>
          What you call it, if you like
        </label>
        <input
          id={id}
          className="field"
          value={name}
          maxLength={80}
          placeholder="Lathe by the window"
          autoComplete="off"
          onChange={(e) => setName(e.target.value)}
        />
      </div>
      {error && (
        <p role="alert" className="text-oxide">
          {problemText(error)}
        </p>
      )}
      <ul className="grid grid-cols-2 gap-2 sm:grid-cols-3 lg:grid-cols-5">
        {(Object.entries(machineKinds) as [MachineKind, string][]).map(([kind, words]) => (
          <li key={kind}>
            <button
              type="button"
              disabled={isLoading}
              className="flex w-full flex-col items-center gap-1.5 rounded-lg border border-edge bg-card px-2 py-3 font-medium hover:border-blue"
              onClick={() => void begin(kind)}
            >
              <MachineSketch kind={kind} />
              {words}
            </button>
          </li>
        ))}
      </ul>
    </div>
  )
}
