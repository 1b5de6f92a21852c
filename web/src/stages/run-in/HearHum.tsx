import { Mic } from 'lucide-react'
import { useState } from 'react'
import { usePrint } from '../../parts/usePrint'
import { hearPitch } from './hearPitch'

/** Listens for a few seconds with the device's own microphone; nothing of it is kept or sent. */
export function HearHum() {
  const print = usePrint()
  const [state, setState] = useState<
    { kind: 'quiet' | 'listening' } | { kind: 'heard'; hz: number } | { kind: 'not'; why: string }
  >({
    kind: 'quiet',
  })
  const listen = async () => {
    setState({ kind: 'listening' })
    const heard = await hearPitch()
    setState(typeof heard === 'number' ? { kind: 'heard', hz: heard } : { kind: 'not', why: heard })
  }
  return (
    <div className="mt-1 print:hidden">
      <button type="button" className="btn" disabled={state.kind === 'listening'} onClick={() => void listen()}>
        <Mic size={18} aria-hidden="true" /> {state.kind === 'listening' ? 'Pluck it now' : 'Hear it'}
      </button>
      <p aria-live="polite" className="text-[15px]">
        {state.kind === 'heard' && `Heard ${print('frequency', state.hz)}. Twice more: alike? Then type it.`}
        {state.kind === 'not' && state.why}
      </p>
    </div>
  )
}
