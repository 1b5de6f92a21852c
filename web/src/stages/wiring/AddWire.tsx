import { set, type WireChange } from '@zesty/core'
import type { Wiring } from '@zesty/core/wiring'
import { useState } from 'react'
import { newId } from '../../parts/newId'
import { Overlay } from '../../parts/Overlay'
import { useChange, usePlan } from '../../state/openPlan'
import { TerminalChoice } from './TerminalChoice'
import { WireLooks } from './WireLooks'

/** A wire that this machine has and the plan does not make. */
export function AddWire({ wiring, onClose }: { wiring: Wiring; onClose: () => void }) {
  const plan = usePlan()
  const change = useChange()
  const [from, setFrom] = useState('')
  const [to, setTo] = useState('')
  const [colour, setColour] = useState('')
  const [area, setArea] = useState<number | null>()
  const [why, setWhy] = useState('')
  const keep = () => {
    const id = newId()
    const made: WireChange = {
      id,
      kind: 'added',
      wire: `by-hand/${id}`,
      from,
      to,
      ...(colour === '' ? {} : { colour }),
      ...(typeof area === 'number' ? { areaMm2: area } : {}),
      ...(why.trim() === '' ? {} : { why: why.trim() }),
    }
    change('A wire more', [set('wiring.changes', [...(plan.wiring.changes ?? []), made])])
    onClose()
  }
  return (
    <Overlay
      title="A wire more on this machine"
      says="It is drawn, listed and judged like every other, and kept when the plan changes."
      open
      onClose={onClose}
    >
      <TerminalChoice label="From" wiring={wiring} value={from} onChange={setFrom} />
      <TerminalChoice label="To" wiring={wiring} value={to} onChange={setTo} />
      {from !== '' && from === to && (
        <p role="alert" className="text-[15px] font-medium text-oxide">
          Both its ends would be at one terminal.
        </p>
      )}
      <WireLooks colour={colour} onColour={setColour} onArea={setArea} />
      <label className="flex flex-col gap-0.5">
        <span className="label">What it is for</span>
        <input className="field" maxLength={200} value={why} onChange={(e) => setWhy(e.target.value)} />
      </label>
      <button
        type="button"
        className="btn btn-main self-start"
        disabled={from === '' || to === '' || from === to || area === null}
        onClick={keep}
      >
        Keep it so
      </button>
    </Overlay>
  )
}
