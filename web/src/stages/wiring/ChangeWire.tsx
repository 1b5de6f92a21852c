import { set, type WireChange } from '@zesty/core'
import { endNames, type Wiring } from '@zesty/core/wiring'
import { useState } from 'react'
import { newId } from '../../parts/newId'
import { Overlay } from '../../parts/Overlay'
import { useChange, usePlan } from '../../state/openPlan'
import { TerminalChoice } from './TerminalChoice'
import { WireLooks } from './WireLooks'

/** Where this machine differs: another terminal, two wires changed over, another colour, or no such wire. */
export function ChangeWire({ wiring, wireKey, onClose }: { wiring: Wiring; wireKey: string; onClose: () => void }) {
  const plan = usePlan()
  const change = useChange()
  const wire = wiring.wires.find(({ key }) => key === wireKey)
  const [kind, setKind] = useState<NonNullable<WireChange['kind']>>('moved')
  const [end, setEnd] = useState<'from' | 'to'>('to')
  const [to, setTo] = useState('')
  const [other, setOther] = useState('')
  const [colour, setColour] = useState('')
  const [area, setArea] = useState<number | null>()
  const [why, setWhy] = useState('')
  if (!wire) return null
  const [from, at] = [endNames(wiring, wire.from), endNames(wiring, wire.to)]
  const ready =
    kind === 'left' ||
    (kind === 'moved' && to !== '') ||
    (kind === 'swapped' && other !== '') ||
    (kind === 'looks' && area !== null && (colour !== '' || area !== undefined))
  const keep = () => {
    const made: WireChange = {
      id: newId(),
      kind,
      wire: wireKey,
      end,
      ...(kind === 'moved' ? { to } : {}),
      ...(kind === 'swapped' ? { other } : {}),
      ...(kind === 'looks' && colour !== '' ? { colour } : {}),
      ...(kind === 'looks' && typeof area === 'number' ? { areaMm2: area } : {}),
      ...(why.trim() === '' ? {} : { why: why.trim() }),
    }
    change(`Wire ${wire.number} by hand`, [set('wiring.changes', [...(plan.wiring.changes ?? []), made])])
    onClose()
  }
  return (
    <Overlay
      title={`Wire ${wire.number} on this machine`}
      says={`${from.device} ${from.terminal} to ${at.device} ${at.terminal}, ${wire.purpose}. What is changed here is marked, judged, and kept when the plan changes.`}
      open
      onClose={onClose}
    >
      <label className="flex flex-col gap-0.5">
        <span className="label">What is different</span>
        <select className="field" value={kind} onChange={(e) => setKind(e.target.value as typeof kind)}>
          <option value="moved">Goes to another terminal</option>
          <option value="swapped">Changed places with another wire</option>
          <option value="looks">Another colour or size</option>
          <option value="left">It is not there</option>
        </select>
      </label>
      {(kind === 'moved' || kind === 'swapped') && (
        <label className="flex flex-col gap-0.5">
          <span className="label">Which end</span>
          <select className="field" value={end} onChange={(e) => setEnd(e.target.value as typeof end)}>
            <option value="from">
              {from.device} {from.terminal}
            </option>
            <option value="to">
              {at.device} {at.terminal}
            </option>
          </select>
        </label>
      )}
      {kind === 'moved' && <TerminalChoice label="Goes to" wiring={wiring} value={to} onChange={setTo} />}
      {kind === 'swapped' && (
        <label className="flex flex-col gap-0.5">
          <span className="label">With wire</span>
          <select className="field" value={other} onChange={(e) => setOther(e.target.value)}>
            <option value="">Choose a wire</option>
            {wiring.wires
              .filter((w) => w.key !== wireKey)
              .map((w) => (
                <option key={w.key} value={w.key}>
                  {w.number}, {w.purpose}
                </option>
              ))}
          </select>
        </label>
      )}
      {kind === 'looks' && <WireLooks colour={colour} onColour={setColour} onArea={setArea} />}
      <label className="flex flex-col gap-0.5">
        <span className="label">Why</span>
        <input className="field" maxLength={200} value={why} onChange={(e) => setWhy(e.target.value)} />
      </label>
      <button type="button" className="btn btn-main self-start" disabled={!ready} onClick={keep}>
        Keep it so
      </button>
    </Overlay>
  )
}
