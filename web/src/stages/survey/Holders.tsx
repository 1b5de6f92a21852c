import { set } from '@zesty/core'
import { Plus } from 'lucide-react'
import { useChange, usePlan } from '../../state/openPlan'
import { SelectField, YesNoField } from '../../parts/ChoiceField'
import { TypedField } from '../../parts/TypedField'
import { useUnits } from '../../state/units'
import { printTurned, readTurned, type TurnedStep } from './readTurned'
import { TurnedDrawing } from './TurnedDrawing'
import { QuantityField } from '../../parts/QuantityField'
import { RemoveButton } from '../../parts/RemoveButton'
import { WordsField } from '../../parts/WordsField'
import { goToField } from '../../state/goToField'
import { newId } from '../../parts/newId'
import { withItem, withoutItem } from './listEdits'

/** Chucks, wheels and cutters, each with its own limit. */
export function Holders() {
  const plan = usePlan()
  const change = useChange()
  const { holders, machineKind } = plan.survey
  const grinds = machineKind === 'surface-grinder' || machineKind === 'tool-grinder'
  return (
    <section className="sheet mt-3" aria-labelledby="holders" data-path="survey.holders">
      <h2 id="holders" tabIndex={-1} className="h-part">
        What spins
      </h2>
      <p className="lead mb-2">
        Chucks, faceplates, wheels and cutters. Type a limit only where it is marked; without one the machine’s original
        top speed is the ceiling, and a grinding wheel is not run.
      </p>
      <ul className="flex flex-col gap-2">
        {holders.map((h, i) => {
          const path = `survey.holders.${i}` as const
          return (
            <li
              key={h.id}
              className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_44px] items-start gap-2 rounded-md border border-rule bg-paper p-2.5 @wider:grid-cols-[1.8fr_1.1fr_1fr_1fr_1.2fr_44px]"
            >
              <div className="col-span-2 @wider:col-span-1">
                <WordsField path={`${path}.name`} label="What it is" />
              </div>
              <SelectField path={`${path}.kind`} label="Kind" />
              <div className="col-span-2 @wider:col-span-1">
                <QuantityField path={`${path}.diameterMm`} label="Diameter" hint="" placeholder="160 mm" />
              </div>
              <QuantityField path={`${path}.widthMm`} label="Width" hint="" placeholder="70 mm" />
              <div className="col-span-2 @wider:col-span-1">
                {h.kind === 'wheel' ? (
                  <QuantityField path={`${path}.markedMPerS`} label="Marked rim speed" hint="" placeholder="no mark" />
                ) : (
                  <QuantityField path={`${path}.markedRpm`} label="Marked limit" hint="" placeholder="no mark" />
                )}
              </div>
              <RemoveButton
                what={h.name ?? 'it'}
                className="col-start-3 row-start-1 self-end @wider:col-auto @wider:row-auto"
                onClick={() => change(`Take ${h.name ?? 'a holder'} away`, withoutItem(plan, 'holders', h.id))}
              />
              <div className="col-span-full grid grid-cols-2 items-start gap-2 @wider:grid-cols-4">
                <SelectField path={`${path}.inertiaFrom`} label="Inertia from" none="Its size" hint="" />
                <SelectField path={`${path}.heldBy`} label="Held by" none="As the nose is" hint="" />
                {h.markedRpm === undefined && h.markedMPerS === undefined && <YesNoField path={`${path}.unmarked`} />}
                {h.inertiaFrom !== 'mass' && h.inertiaFrom !== 'timing' && (
                  <SelectField path={`${path}.material`} none="Steel" hint="" />
                )}
                <YesNoField path={`${path}.alwaysTurns`} />
                {h.inertiaFrom === 'rim' && (
                  <QuantityField path={`${path}.boreMm`} label="Inside of the rim" hint="" placeholder="520 mm" />
                )}
                {h.inertiaFrom === 'mass' && (
                  <QuantityField path={`${path}.massKg`} label="Mass" hint="" placeholder="23 kg" />
                )}
                {h.inertiaFrom === 'timing' && (
                  <>
                    <QuantityField path={`${path}.runUpS`} label="Runs up in" hint="" placeholder="4 s" />
                    <QuantityField path={`${path}.runUpA`} placeholder="on rated torque" hint="" />
                  </>
                )}
              </div>
              {h.inertiaFrom === 'drawing' && <ByDrawing path={path} steps={h.steps ?? []} />}
            </li>
          )
        })}
      </ul>
      <button
        type="button"
        className="btn mt-2"
        onClick={() => {
          change(
            'Add what spins',
            withItem(plan, 'holders', {
              id: newId(),
              name: grinds ? 'The wheel' : 'The chuck',
              kind: grinds ? 'wheel' : 'chuck',
            }),
          )
          goToField(`survey.holders.${holders.length}.diameterMm`)
        }}
      >
        <Plus size={18} aria-hidden="true" /> {grinds ? 'Add a wheel' : 'Add a chuck, wheel or cutter'}
      </button>
    </section>
  )
}

/** Its steps as they are typed, and drawn as they were understood. */
function ByDrawing({ path, steps }: { path: `survey.holders.${number}`; steps: readonly TurnedStep[] }) {
  const units = useUnits()
  return (
    <div className="col-span-full flex flex-col gap-2">
      <TypedField
        path={`${path}.steps`}
        label="Steps along its axis, outside x length"
        hint="From end to end; a bore where it has one"
        placeholder="250 x 60, 120 x 40 bore 35"
        printed={printTurned(steps, units)}
        read={(text) => {
          const read = readTurned(text, units)
          return read.ok
            ? { ok: true, value: [set(`${path}.steps`, read.value.length === 0 ? undefined : read.value)] }
            : read
        }}
      />
      <TurnedDrawing steps={steps} />
    </div>
  )
}
