import { namedPositions, set } from '@zesty/core'
import { MOST_RINGS, ringKinds, ringsOf, toDrawing, type DialRing } from '@zesty/core/dial'
import { Download, Plus } from 'lucide-react'
import { useState } from 'react'
import { usePart } from '../../parts/usePart'
import { DrawingView } from '../../drawings/DrawingView'
import { saveWorkDrawing } from '../../drawings/workFiles'
import { ChoiceField, YesNoField } from '../../parts/ChoiceField'
import { AmountField } from '../../parts/DetachedField'
import { Labelled } from '../../parts/Labelled'
import { newId } from '../../parts/newId'
import { QuantityField } from '../../parts/QuantityField'
import { RemoveButton } from '../../parts/RemoveButton'
import { usePrint } from '../../parts/usePrint'
import { useChange, usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'

/** The plate of the dial at true size, or the chart that translates an old one. */
export function PlateSheet() {
  const { dial } = usePlan()
  return (
    <section className="sheet mt-3" aria-labelledby="plate">
      <h2 id="plate" tabIndex={-1} className="h-part">
        Dial plate
      </h2>
      <div className="mt-1">
        <ChoiceField path="dial.plate" />
      </div>
      {dial.plate === 'kept' ? <Translated /> : dial.plate === 'none' ? null : <NewPlate />}
    </section>
  )
}

function NewPlate() {
  const plan = usePlan()
  const units = useUnits()
  const [trouble, setTrouble] = useState<string>()
  const plate = usePart('plate')
  const save = async (as: 'svg' | 'dxf' | 'pdf') =>
    setTrouble(
      await saveWorkDrawing(plate.drawing, `${plan.name} dial plate`, as, units === 'imperial' ? 'letter' : 'a4'),
    )
  return (
    <>
      <div className="mt-3 flex flex-wrap items-start gap-4">
        <div className="w-full max-w-[440px] rounded-md border border-rule bg-card p-2">
          <DrawingView drawing={toDrawing(plate.drawing)} label="The dial plate, at true size when printed" />
        </div>
        <div className="min-w-[220px] flex-1">
          {plate.faults.map((fault) => (
            <p key={fault} role="alert" className="font-medium text-oxide">
              {fault}
            </p>
          ))}
          <ul>
            {plate.rings.map((ring) => (
              <li key={ring.name} className="border-b border-rule py-1">
                <b>{ring.name}</b>: {ring.marks.map((m) => Math.round(m.value * 10) / 10).join(', ')}
                <span className="block text-[15px] text-ink-2">
                  {ring.name === 'Hz'
                    ? 'By the settings.'
                    : ring.measured
                      ? 'By the readings.'
                      : 'By settings and pulleys: not read yet.'}
                </span>
              </li>
            ))}
            {plate.dangers.map((danger) => (
              <li key={danger.name} className="py-1 text-oxide">
                Red arc: over {danger.name}. It holds for this position alone.
              </li>
            ))}
          </ul>
          <div className="mt-2 flex flex-wrap gap-2 print:hidden">
            {(['pdf', 'svg', 'dxf'] as const).map((as) => (
              <button
                key={as}
                type="button"
                className="btn"
                disabled={plate.rings.length === 0}
                onClick={() => void save(as)}
              >
                <Download size={18} aria-hidden="true" /> {as.toUpperCase()}
              </button>
            ))}
          </div>
          {trouble !== undefined && (
            <p role="alert" className="mt-1 font-medium text-oxide">
              {trouble}
            </p>
          )}
          <p className="mt-1 text-[15px] text-ink-2">
            True size: print at 100 %, and lay a rule on the 100 mm bar before anything is cut.
          </p>
        </div>
      </div>
      <div className="mt-3 grid grid-cols-2 items-start gap-x-3 gap-y-2 @wide:grid-cols-4">
        <QuantityField path="dial.arcDeg" placeholder="270°" />
        <QuantityField path="dial.startDeg" placeholder="alike to both sides" />
        <QuantityField path="dial.plateMm" placeholder="90 mm" />
        <QuantityField path="dial.holeMm" placeholder="10 mm" />
        <QuantityField path="dial.fromMark" placeholder="0" />
        <QuantityField path="dial.toMark" placeholder="10" />
        <QuantityField path="dial.safeStart" placeholder="the slow end" />
        <YesNoField path="dial.dangers" />
        <ChoiceField path="dial.turns" wide />
      </div>
      <Rings />
    </>
  )
}

function Rings() {
  const plan = usePlan()
  const change = useChange()
  const positions = namedPositions(plan)
  const rings = ringsOf(plan)
  const keep = (all: readonly DialRing[]) =>
    change('Rings of the dial', [set('dial.rings', all.length === 0 ? undefined : [...all])])
  const put = (id: string, patch: Partial<DialRing>) => keep(rings.map((r) => (r.id === id ? { ...r, ...patch } : r)))
  return (
    <div className="mt-3 print:hidden" data-path="dial.rings">
      <h3 className="font-semibold">Rings, from the edge inwards</h3>
      <ul>
        {rings.map((ring, i) => (
          <li key={ring.id} className="flex flex-wrap items-end gap-2 border-b border-rule py-1.5">
            <Labelled label={`Ring ${i + 1}`} className="min-w-[220px]">
              {(id) => (
                <select
                  id={id}
                  className="field"
                  value={ring.shows ?? 'rpm'}
                  onChange={(e) => put(ring.id, { shows: e.target.value as keyof typeof ringKinds })}
                >
                  {Object.entries(ringKinds).map(([key, words]) => (
                    <option key={key} value={key}>
                      {words}
                    </option>
                  ))}
                </select>
              )}
            </Labelled>
            {ring.shows !== 'hertz' && positions.length > 1 && (
              <Labelled label="On">
                {(id) => (
                  <select
                    id={id}
                    className="field"
                    value={ring.positionId ?? ''}
                    onChange={(e) => put(ring.id, { positionId: e.target.value || undefined })}
                  >
                    <option value="">The one used most</option>
                    {positions.map((p) => (
                      <option key={p.id} value={p.id}>
                        {p.name}
                      </option>
                    ))}
                  </select>
                )}
              </Labelled>
            )}
            {ring.shows === 'surface' && (
              <AmountField
                key={ring.id}
                label="At a diameter of"
                placeholder="50 mm"
                dimension="length"
                value={ring.diameterMm}
                onRead={(diameterMm) => put(ring.id, { diameterMm })}
              />
            )}
            {rings.length > 1 && (
              <RemoveButton what={`ring ${i + 1}`} onClick={() => keep(rings.filter((r) => r.id !== ring.id))} />
            )}
          </li>
        ))}
      </ul>
      {rings.length < MOST_RINGS && (
        <button
          type="button"
          className="btn btn-quiet mt-1"
          onClick={() => keep([...rings, { id: newId(), shows: 'hertz' }])}
        >
          <Plus size={18} aria-hidden="true" /> Another ring
        </button>
      )}
    </div>
  )
}

/** What each mark of the old plate gives. */
function Translated() {
  const print = usePrint()
  const { positions, rows } = usePart('oldPlate')
  return (
    <>
      <div className="mt-2 grid grid-cols-2 gap-x-3 @wide:grid-cols-4">
        <QuantityField path="dial.fromMark" placeholder="0" />
        <QuantityField path="dial.toMark" placeholder="10" />
      </div>
      <div className="overflow-x-auto">
        <table className="mt-2 w-full max-w-[560px]">
          <caption className="text-left text-[15px]">
            What each mark of the old plate gives, rpm at the spindle.
          </caption>
          <thead>
            <tr className="border-b border-ink-2">
              <th className="text-left">Mark</th>
              {positions.map((name) => (
                <th key={name} className="text-right">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {rows.map(({ mark, rpm }) => (
              <tr key={mark} className="border-b border-rule">
                <th scope="row" className="py-1 text-left font-semibold tabular-nums">
                  {Math.round(mark * 100) / 100}
                </th>
                {rpm.map((value, i) => (
                  <td key={i} className="text-right tabular-nums">
                    {value === null ? 'not known' : print('speed', Math.max(0, value)).replace(/\s*rpm$/u, '')}
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
        </table>
      </div>
    </>
  )
}
