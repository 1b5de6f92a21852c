import {
  colourWords,
  drawMotorBox,
  drawSheet,
  endNames,
  panelOf,
  toSvg,
  wireKinds,
  type Drawing,
  type PanelPlan,
  type Wire,
  type Wiring,
} from '@zesty/core/wiring'
import { Download, FileText, Maximize2 } from 'lucide-react'
import { useMemo, useState } from 'react'
import { DrawingView } from '../../drawings/DrawingView'
import { useReadings } from '../../measurements/useReadings'
import { Overlay } from '../../parts/Overlay'
import { saveBytes, saveFile } from '../../parts/saveFile'
import { useEvaluation } from '../../state/evaluation'
import { notice } from '../../state/notice'
import { usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'
import { useQuantityText } from './useQuantityText'
import { usePart } from '../../parts/usePart'

interface Sheet {
  id: string
  name: string
  drawing: Drawing
}

/** Every sheet of the wiring, one in view, all on paper. */
export function Drawings({ wiring }: { wiring: Wiring }) {
  const plan = usePlan()
  const [open, setOpen] = useState<string>()
  const [marked, setMarked] = useState<string>()
  const [large, setLarge] = useState(false)
  const [making, setMaking] = useState(false)
  const units = useUnits()
  const steps = usePart('steps')
  const { readings } = useReadings()
  const lossW = useEvaluation().figures['installation.lossW']?.value
  const panel = useMemo(() => panelOf(plan, wiring, lossW), [plan, wiring, lossW])
  const laidOut = usePart('sheets')
  const sheets = useMemo(
    (): Sheet[] => [
      ...laidOut.map(({ id, name, layout }) => ({ id, name, drawing: drawSheet(layout, wiring) })),
      { id: 'box', name: 'Motor box', drawing: drawMotorBox(wiring) },
      { id: 'panel', name: 'Panel', drawing: panel.drawing },
    ],
    [laidOut, wiring, panel],
  )
  const sheet = sheets.find(({ id }) => id === open) ?? sheets[0]
  if (!sheet) return null
  const pack = async () => {
    setMaking(true)
    try {
      const { packPdf } = await import('./packPdf')
      const bytes = await packPdf(plan, wiring, sheets, steps, units, readings)
      saveBytes(`${plan.name}, wiring.pdf`, 'application/pdf', bytes)
    } catch {
      notice('The PDF could not be made. Printing this page gives the same.')
    } finally {
      setMaking(false)
    }
  }
  return (
    <section className="sheet mb-3" aria-labelledby="drawings">
      <div className="mb-2 flex flex-wrap items-center gap-x-3 gap-y-1">
        <h2 id="drawings" tabIndex={-1} className="h-part">
          Drawings
        </h2>
        <div role="tablist" aria-label="Sheets" className="no-print flex flex-wrap gap-1">
          {sheets.map(({ id, name }) => (
            <button
              key={id}
              type="button"
              role="tab"
              aria-selected={id === sheet.id}
              className={`min-h-11 rounded-md px-3 text-[15px] font-semibold ${id === sheet.id ? 'bg-blue text-card' : 'text-blue underline underline-offset-4'}`}
              onClick={() => {
                setOpen(id)
                setMarked(undefined)
              }}
            >
              {name}
            </button>
          ))}
        </div>
        <button type="button" className="btn btn-quiet no-print ml-auto" onClick={() => setLarge(true)}>
          <Maximize2 size={18} aria-hidden="true" /> Large
        </button>
        <button type="button" className="btn btn-quiet no-print" disabled={making} onClick={() => void pack()}>
          <FileText size={18} aria-hidden="true" /> {making ? 'Making' : 'Pack, PDF'}
        </button>
        <button
          type="button"
          className="btn btn-quiet no-print"
          onClick={() =>
            saveFile(
              `${plan.name}, ${sheet.name}.svg`,
              'image/svg+xml',
              toSvg(sheet.drawing, `${plan.name}: ${sheet.name}`),
            )
          }
        >
          <Download size={18} aria-hidden="true" /> SVG
        </button>
      </div>
      {wiring.assumed && (
        <p role="note" className="mb-2 rounded-md border border-brass bg-brass-wash px-3 py-2 text-[15px]">
          Terminals in grey are only assumed: the drive’s manual is not here yet. Nothing is wired by an assumed name.
        </p>
      )}
      <SheetInView
        sheet={sheet}
        wiring={wiring}
        panel={panel}
        marked={marked}
        onWire={setMarked}
        className={isTall(sheet) ? 'grid gap-3 @wider:grid-cols-[minmax(0,1fr)_300px]' : 'flex flex-col gap-3'}
      />
      <Overlay title={sheet.name} open={large} onClose={() => setLarge(false)} full>
        <SheetInView
          sheet={sheet}
          wiring={wiring}
          panel={panel}
          marked={marked}
          onWire={setMarked}
          className="grid gap-3 lg:grid-cols-[minmax(0,1fr)_300px]"
        />
      </Overlay>
      <div className="hidden print:block">
        {sheets.map(({ id, name, drawing }) => (
          <figure key={id} className="mb-4 break-inside-avoid">
            <figcaption className="font-semibold">{name}</figcaption>
            <DrawingView drawing={drawing} label={name} />
          </figure>
        ))}
      </div>
    </section>
  )
}

/** Whether a sheet leaves room at its side for what is said of a wire. */
const isTall = ({ drawing }: Sheet): boolean => drawing.height > 0.6 * drawing.width

/** One sheet, and beside or under it the wire that was pressed. */
function SheetInView({
  sheet,
  wiring,
  panel,
  marked,
  onWire,
  className,
}: {
  sheet: Sheet
  wiring: Wiring
  panel: PanelPlan
  marked: string | undefined
  onWire: (key: string) => void
  className: string
}) {
  const wire = wiring.wires.find(({ key }) => key === marked)
  return (
    <div className={`${className} print:hidden`}>
      <div className="min-w-0 overflow-x-auto rounded-md bg-paper">
        <div className="min-w-[560px]">
          <DrawingView
            drawing={sheet.drawing}
            label={`${sheet.name}; its wires stand in the list`}
            emphasis={{ marked }}
            onWire={onWire}
          />
        </div>
      </div>
      <div className="min-w-0 @wider:sticky @wider:top-14 @wider:self-start">
        {sheet.id === 'panel' ? (
          <PanelKey panel={panel} />
        ) : wire ? (
          <WireCard wiring={wiring} wire={wire} />
        ) : (
          <p className="lead text-[15px]">
            Press a wire: both its ends, what it is for, and what it measures, dead and live.
          </p>
        )}
      </div>
    </div>
  )
}

/** Both ends of a wire, what it is for, what it measures. */
export function WireCard({ wiring, wire }: { wiring: Wiring; wire: Wire }) {
  const text = useQuantityText()
  const [from, to] = [endNames(wiring, wire.from), endNames(wiring, wire.to)]
  const rows: [string, string][] = [
    ['From', `${from.device} ${from.terminal}`],
    ['To', `${to.device} ${to.terminal}`],
    ['Is', `${wire.purpose}${wire.kind === 'wire' ? '' : `, ${wireKinds[wire.kind].toLowerCase()}`}`],
    ['Ends', wire.ends],
    ['Dead', wire.dead],
    ['Live', wire.live],
    ...(wire.byHand === undefined ? [] : [['By hand', wire.byHand] as [string, string]]),
  ]
  const size = wire.areaMm2 === undefined ? 'size not known' : text(wire.areaMm2, 'area')
  return (
    <section
      aria-label={`Wire ${wire.number}`}
      aria-live="polite"
      className="rounded-lg border border-blue bg-card p-3"
    >
      <h3 className="flex items-center gap-2 font-cond text-[22px] font-semibold">
        <span className="rounded border border-ink px-1.5">{wire.number}</span>
        {colourWords(wire.colour)}, {size}
      </h3>
      <dl className="mt-1 grid grid-cols-[auto_1fr] gap-x-3 gap-y-1 text-[15px]">
        {rows.map(([name, words]) => (
          <div key={name} className="contents">
            <dt className="label">{name}</dt>
            <dd className="min-w-0">{words}</dd>
          </div>
        ))}
      </dl>
      <p className="mt-2 text-[14px] text-ink-2">
        Live values are read on the drive’s display, or by clips that went on dead. Nobody probes bare live parts.
      </p>
    </section>
  )
}

function PanelKey({ panel }: { panel: PanelPlan }) {
  const text = useQuantityText()
  return (
    <div className="text-[15px]">
      <p>
        <b className="font-semibold">
          {text(panel.widthMm, 'length')} by {text(panel.heightMm, 'length')} by {text(panel.depthMm, 'length')}
        </b>
        , the smallest that holds everything with its air.
      </p>
      <p className="mt-1">
        {panel.riseK === undefined
          ? 'How warm it gets is not known: the manual names no losses.'
          : `Closed and on a wall it gets ${text(panel.riseK, 'temperatureRise')} warmer than the room, at ${text(panel.lossW ?? 0, 'power')} of losses all day.`}
      </p>
      {panel.assumed && <p className="mt-1 text-ink-2">The drive’s size is only assumed; its manual names none.</p>}
      <ol className="mt-2">
        {panel.key.map(({ number, name }) => (
          <li key={number}>
            <b className="font-semibold">{number}</b> {name}
          </li>
        ))}
      </ol>
    </div>
  )
}
