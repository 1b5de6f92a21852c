import { printQuantity, type FigureId } from '@zesty/core'
import { useFigure } from '../../state/evaluation'
import { useUnits } from '../../state/units'
import { FigureValue } from '../../parts/FigureValue'

/** A load against what may carry it, to one scale. */
export function LoadBar({
  title,
  carries,
  carriesWords,
  allows,
  allowsWords,
}: {
  title: string
  carries: FigureId
  carriesWords: string
  allows: FigureId
  allowsWords: string
}) {
  const load = useFigure(carries)
  const limit = useFigure(allows)
  const units = useUnits()
  const over = load !== undefined && limit !== undefined && load.value > limit.value
  const full = Math.max(load?.value ?? 0, limit?.value ?? 0) * 1.08
  const share = (value: number | undefined) => (value === undefined || full === 0 ? 0 : (100 * value) / full)
  const words =
    load && limit
      ? `${printQuantity(load, units)} ${carriesWords}, ${printQuantity(limit, units)} ${allowsWords}`
      : 'not known yet'
  return (
    <div>
      <div className="flex flex-wrap items-baseline justify-between gap-x-3">
        <h2 className="h-part">{title}</h2>
        <span className="text-[15px]">
          <FigureValue id={carries} /> {carriesWords}
        </span>
      </div>
      <div
        role="img"
        aria-label={`${title}: ${words}`}
        className="relative mt-1 h-6 rounded border border-edge bg-paper"
      >
        <span
          className={`absolute inset-y-0 left-0 rounded-l ${over ? 'bg-oxide' : 'bg-green'}`}
          style={{ width: `${share(load?.value)}%` }}
        />
        {limit && <span className="absolute -inset-y-1.5 w-[3px] bg-ink" style={{ left: `${share(limit.value)}%` }} />}
      </div>
      <p className="text-right text-[15px]">
        {allowsWords} <FigureValue id={allows} />
      </p>
    </div>
  )
}
