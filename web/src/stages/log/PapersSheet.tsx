import { paperKinds, type PaperKind } from '@zesty/core/papers'
import { FileArchive, FileText } from 'lucide-react'
import { useRef, useState } from 'react'
import { saveBytes } from '../../parts/saveFile'
import { useConversionId, usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'

const says: Record<PaperKind, string> = {
  bench: 'Wiring, wire list, settings card, run-in sheet',
  machine: 'Speed chart, change-over, limits, stops, dial plate',
  'as-found': 'Old wires, plates and photos, to put it back',
  help: 'Plates, wiring, settings read, what is wrong and unknown, photos',
  owner: 'What it is, how it is set, what is open, what to look after',
}

type State = { kind: 'idle' } | { kind: 'making'; paper: PaperKind; share: number } | { kind: 'failed'; why: string }

/** Papers made by the server; what is made can be stopped, and the machine goes on meanwhile. */
export function PapersSheet() {
  const id = useConversionId()
  const { name } = usePlan()
  const units = useUnits()
  const [size, setSize] = useState<'a4' | 'letter'>(units === 'imperial' ? 'letter' : 'a4')
  const [state, setState] = useState<State>({ kind: 'idle' })
  const stop = useRef<AbortController>(undefined)
  const make = async (paper: PaperKind) => {
    const controller = new AbortController()
    stop.current = controller
    setState({ kind: 'making', paper, share: 0 })
    try {
      const { fetchPaper } = await import('./fetchPaper')
      const bytes = await fetchPaper(id, paper, size, controller.signal, ({ done, of }) => {
        if (!controller.signal.aborted) setState({ kind: 'making', paper, share: done / of })
      })
      saveBytes(`${name}, ${paperKinds[paper].toLowerCase()}.pdf`, 'application/pdf', bytes)
      setState({ kind: 'idle' })
    } catch (error) {
      if (controller.signal.aborted) setState({ kind: 'idle' })
      else
        setState({
          kind: 'failed',
          why: `It was not made. ${error instanceof Error && !(error instanceof TypeError) ? error.message : 'The server does not answer.'}`,
        })
    }
  }
  return (
    <section className="sheet mt-3 print:hidden" aria-labelledby="papers">
      <div className="flex flex-wrap items-center justify-between gap-2">
        <h2 id="papers" tabIndex={-1} className="h-part">
          Papers
        </h2>
        <span className="flex gap-1.5" role="group" aria-label="Size of the paper">
          {(['a4', 'letter'] as const).map((one) => (
            <button
              key={one}
              type="button"
              className="btn btn-toggle"
              aria-pressed={size === one}
              onClick={() => setSize(one)}
            >
              {one === 'a4' ? 'A4' : 'Letter'}
            </button>
          ))}
        </span>
      </div>
      <ul>
        {(Object.keys(paperKinds) as PaperKind[]).map((paper) => (
          <li key={paper} className="flex flex-wrap items-center gap-x-3 border-b border-rule py-1">
            <span className="min-w-0 flex-1 basis-[240px]">
              <b>{paperKinds[paper]}</b>
              <span className="block text-[15px] text-ink-2">{says[paper]}</span>
            </span>
            {state.kind === 'making' && state.paper === paper ? (
              <span className="flex items-center gap-2">
                <progress aria-label={`Making ${paperKinds[paper]}`} className="w-24" value={state.share} />
                <span className="w-[4ch] text-right tabular-nums">{Math.round(state.share * 100)} %</span>
                <button type="button" className="btn" onClick={() => stop.current?.abort()}>
                  Stop
                </button>
              </span>
            ) : (
              <button
                type="button"
                className="btn"
                disabled={state.kind === 'making'}
                aria-label={`${paperKinds[paper]} as PDF`}
                onClick={() => void make(paper)}
              >
                <FileText size={18} aria-hidden="true" /> PDF
              </button>
            )}
          </li>
        ))}
      </ul>
      {state.kind === 'failed' && (
        <p role="alert" className="mt-1 font-medium text-oxide">
          {state.why}
        </p>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        <a className="btn" href={`/api/conversions/${id}/help-sheet`} download="">
          <FileText size={18} aria-hidden="true" /> Help sheet as a page
        </a>
        <a className="btn" href={`/api/conversions/${id}/whole`} download="">
          <FileArchive size={18} aria-hidden="true" /> Everything as one ZIP
        </a>
      </div>
      <p className="mt-1 text-[15px] text-ink-2">
        The ZIP brings this conversion back whole in another shop, by Import a file on the shop’s page: plan, revisions,
        ticks, readings, log, photos.
      </p>
    </section>
  )
}
