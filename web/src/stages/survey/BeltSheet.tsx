import { fieldAt, numberOf, type Stage } from '@zesty/core'
import { useEvaluation } from '../../conversion/openPlan'
import { SelectField } from '../../parts/ChoiceField'
import { FigureTable, type FigureRow } from '../../parts/FigureTable'
import { QuantityField } from '../../parts/QuantityField'

/** A belt as it lies: measured any way, told the others, and the stock belt next to it. */
export function BeltSheet({ at, id, stage }: { at: string; id: string; stage: Stage }) {
  const { figures, blocked } = useEvaluation()
  const rows: FigureRow[] = [
    { id: `${id}.length`, label: 'Pitch length' },
    { id: `${id}.centre`, label: 'Centre to centre', note: 'that this belt gives' },
    { id: `${id}.wrap`, label: 'Wrap on the small pulley' },
    { id: `${id}.standingN`, label: 'Pull of each side at rest', note: 'so that a start does not slip' },
    { id: `${id}.stock`, label: 'Stock belt next to it', note: 'others are sold too' },
    { id: `${id}.stockCentre`, label: 'The motor then sits at' },
  ].filter((row) => figures[row.id] !== undefined || blocked[row.id] !== undefined)
  const measured = numberOf(figures[`${at}.centreMm`]) ?? stage.centreMm
  return (
    <div className="grid gap-x-4 gap-y-2 rounded-md border border-rule bg-card p-2.5 lg:grid-cols-2">
      <div className="grid grid-cols-2 content-start gap-2">
        <SelectField path={`${at}.section`} />
        <QuantityField path={`${at}.centreMm`} hint="" placeholder="412 mm" />
        <QuantityField path={`${at}.beltMm`} hint="" placeholder="as printed" />
        <QuantityField path={`${at}.outsideMm`} label="or round its outside" hint="" placeholder="by a tape" />
        <QuantityField path={`${at}.slotLeastMm`} hint="" placeholder="motor pushed in" />
        <QuantityField path={`${at}.slotMostMm`} hint="" placeholder="motor pulled out" />
      </div>
      {rows.length > 0 ? (
        <FigureTable heading="Worked out" rows={rows} />
      ) : (
        <p className="lead">
          Type what you measured: {fieldAt(`${at}.centreMm`)?.label.toLowerCase()}, or the belt.
          {measured === undefined ? '' : ' The pulleys are wanted too.'}
        </p>
      )}
    </div>
  )
}
