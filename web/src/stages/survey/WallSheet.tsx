import { useEvaluation } from '../../state/evaluation'
import { usePlan } from '../../state/openPlan'
import { YesNoField } from '../../parts/ChoiceField'
import { FigureTable, type FigureRow } from '../../parts/FigureTable'
import { CircuitChoice } from './CircuitChoice'
import { WallFields } from '../../library/WallFields'

/** The circuit that the machine stands on. */
export function WallSheet() {
  return (
    <section className="sheet" aria-labelledby="wall">
      <h2 id="wall" tabIndex={-1} className="h-part mb-2">
        At the wall
      </h2>
      <div className="grid grid-cols-2 gap-x-3 gap-y-2.5">
        <CircuitChoice />
        <WallFields />
        <YesNoField path="supply.isolatorInReach" wide />
      </div>
      <SupplyUnitFigures />
    </section>
  )
}

/** How large a converter, transformer or generator must be, and what the wall behind it gives. */
function SupplyUnitFigures() {
  const { supplyUnit } = usePlan().supply
  const { figures, blocked } = useEvaluation()
  if (supplyUnit === undefined || supplyUnit === 'mains') return null
  const all: readonly FigureRow[] = [
    { id: 'supply.neededIdlerW', label: 'Idler it should have', note: 'For this motor alone' },
    { id: 'supply.neededVA', label: 'It should be rated for' },
    { id: 'supply.wallA', label: 'Taken from the wall behind it' },
  ]
  const rows = all.filter(({ id }) => figures[id] !== undefined || blocked[id] !== undefined)
  return (
    <div className="mt-3">
      <FigureTable heading="Between wall and drive" rows={rows} />
    </div>
  )
}
