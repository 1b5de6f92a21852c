import {
  isBelt,
  set,
  type Position,
  type PositionPath,
  type TransmissionStage,
  type TransmissionStagePath,
} from '@zesty/core'
import { Gauge, Layers, Plus, X } from 'lucide-react'
import { lazy, Suspense, useState } from 'react'
import { useEvaluation } from '../../state/evaluation'
import { useChange, usePlan } from '../../state/openPlan'
import { ChoiceField, SelectField } from '../../parts/ChoiceField'
import { Disclosure } from '../../parts/Disclosure'
import { FigureValue } from '../../parts/FigureValue'
import { QuantityField } from '../../parts/QuantityField'
import { RemoveButton } from '../../parts/RemoveButton'
import { WordsField } from '../../parts/WordsField'
import { goToField } from '../../state/goToField'
import { newId } from '../../parts/newId'
import { BeltSheet } from './BeltSheet'
import { KnownOtherwise } from './KnownOtherwise'
import { withItem, withoutItem } from './listEdits'
import { TrainDrawing } from './TrainDrawing'

const SpeedListSheet = lazy(() => import('./SpeedListSheet').then((m) => ({ default: m.SpeedListSheet })))
const StepSheet = lazy(() => import('./StepSheet').then((m) => ({ default: m.StepSheet })))
const TrainSideView = lazy(() => import('../../drawings/TrainSideView').then((m) => ({ default: m.TrainSideView })))

/** Every way the belts and gears can stand, from motor shaft to spindle. */
export function Belts() {
  const plan = usePlan()
  const change = useChange()
  const { positions } = plan.survey
  const [sheet, setSheet] = useState<'steps' | 'speeds'>()
  const close = () => setSheet(undefined)
  const add = () => {
    const letter = String.fromCharCode(65 + (positions.length % 26))
    change(
      'Add a belt position',
      withItem(plan, 'positions', { id: newId(), name: letter, transmission: [{ kind: 'v-belt' }] }),
    )
    goToField(`survey.positions.${positions.length}.transmission.0.driverMm`)
  }
  return (
    <section className="sheet mt-3" aria-labelledby="belts" data-path="survey.positions">
      <h2 id="belts" tabIndex={-1} className="h-part">
        Belt positions
      </h2>
      <p className="lead mb-2">
        From the motor shaft to the spindle, by pulleys or by what is known of the speed: the lever plate, a tachometer,
        a count of turns. Pitch diameters: where the belt’s cord runs, a little inside the rim.
      </p>
      <ul className="flex flex-col gap-2">
        {positions.map((p, i) => (
          <PositionRow key={p.id} position={p} index={i} />
        ))}
      </ul>
      {sheet ? (
        <Suspense fallback={null}>
          {sheet === 'steps' ? <StepSheet onDone={close} /> : <SpeedListSheet onDone={close} />}
        </Suspense>
      ) : (
        <div className="mt-2 flex flex-wrap gap-2">
          <button type="button" className="btn" onClick={add}>
            <Plus size={18} aria-hidden="true" />{' '}
            {positions.length === 0 ? 'Add the first belt position' : 'Another position'}
          </button>
          <button type="button" className="btn" onClick={() => setSheet('steps')}>
            <Layers size={18} aria-hidden="true" /> From step pulleys
          </button>
          <button type="button" className="btn" onClick={() => setSheet('speeds')}>
            <Gauge size={18} aria-hidden="true" /> From a list of speeds
          </button>
        </div>
      )}
    </section>
  )
}

function PositionRow({ position, index }: { position: Position; index: number }) {
  const plan = usePlan()
  const change = useChange()
  const line = useEvaluation().positions[index]
  const path = `survey.positions.${index}` as const
  const name = position.name ?? String(index + 1)
  return (
    <li className="grid grid-cols-[minmax(0,1fr)] gap-x-4 gap-y-2 rounded-md border border-rule bg-paper p-2.5 @wide:grid-cols-[150px_minmax(0,1fr)_auto]">
      <div className="flex flex-col gap-1.5">
        <WordsField path={`${path}.name`} label="Position" />
        <TrainDrawing stages={position.transmission} />
      </div>
      <div className="@container flex min-w-0 flex-col gap-2">
        {position.transmission.map((stage, i) => (
          <div
            key={i}
            className="grid grid-cols-[minmax(0,1fr)_minmax(0,1fr)_44px] items-end gap-1.5 @[340px]:grid-cols-[minmax(0,1.5fr)_minmax(0,1fr)_minmax(0,1fr)_44px]"
          >
            <div className="col-span-3 @[340px]:col-span-1">
              <SelectField path={`${path}.transmission.${i}.kind`} label={`Stage ${i + 1}`} />
            </div>
            <Sizes stage={stage} at={`${path}.transmission.${i}`} />
            <button
              type="button"
              className="btn btn-quiet w-11 px-0"
              aria-label={`Take stage ${i + 1} of ${name} out`}
              onClick={() =>
                change('Take a stage out', [
                  set(
                    `${path}.transmission`,
                    position.transmission.filter((_, k) => k !== i),
                  ),
                ])
              }
            >
              <X size={18} aria-hidden="true" />
            </button>
          </div>
        ))}
        {position.transmission.length < 8 && (
          <button
            type="button"
            className="btn self-start"
            onClick={() =>
              change('Add a stage', [
                set(`${path}.transmission`, [
                  ...position.transmission,
                  { kind: position.transmission.length === 0 ? 'v-belt' : 'gear-pair' },
                ]),
              ])
            }
          >
            <Plus size={16} aria-hidden="true" /> Stage (belt, gears)
          </button>
        )}
        <KnownOtherwise position={position} path={path} />
      </div>
      <AsItLies position={position} path={path} />
      <div className="flex flex-col items-end justify-between gap-1 text-right text-[15px] @wide:col-start-3 @wide:row-start-1">
        <div>
          <span className="label block">Spindle per motor turn</span>
          {line && <FigureValue id={line.speedRatio} className="text-[19px]" />}
          {line?.reversed && <span className="block text-[14px] text-ink-2">turns against the motor</span>}
        </div>
        <RemoveButton
          what={`position ${name}`}
          onClick={() => change(`Take position ${name} away`, withoutItem(plan, 'positions', position.id))}
        />
      </div>
    </li>
  )
}

/** The train to scale, with what was measured of its belts; opened by who wants it. */
function AsItLies({ position, path }: { position: Position; path: PositionPath }) {
  const belts = position.transmission.flatMap((stage, i) => (isBelt(stage.kind) ? [{ stage, i }] : []))
  if (belts.length === 0) return null
  return (
    <Disclosure name="Drawn to scale, and the belt" holds={`${path}.transmission`} className="@wide:col-span-3">
      <Suspense fallback={null}>
        <TrainSideView position={position} path={path} />
      </Suspense>
      {belts.map(({ stage, i }) => (
        <BeltSheet
          key={i}
          at={`${path}.transmission.${i}`}
          id={`position.${position.id}.belt${i + 1}`}
          stage={stage}
          first={i === 0}
        />
      ))}
    </Disclosure>
  )
}

/** What tells the ratio of a stage, by its kind. */
function Sizes({ stage: { kind }, at }: { stage: TransmissionStage; at: TransmissionStagePath }) {
  switch (kind) {
    case 'direct':
      return <p className="col-span-2 self-center pt-4 text-ink-2">The spindle turns as the motor.</p>
    case 'gearbox':
      return <QuantityField path={`${at}.reduction`} hint="" placeholder="10" />
    case 'variator':
      return (
        <>
          <QuantityField path={`${at}.reduction`} label="In for one out" hint="" placeholder="3" />
          <QuantityField path={`${at}.leastRpm`} label="Wants at least" hint="" placeholder="600 rpm" />
          <div className="col-span-2">
            <ChoiceField path={`${at}.shifting`} />
          </div>
        </>
      )
    case 'worm':
      return (
        <>
          <QuantityField path={`${at}.starts`} label="Starts" hint="" placeholder="1" />
          <QuantityField path={`${at}.wheelTeeth`} label="Wheel, teeth" hint="" placeholder="40" />
        </>
      )
    case 'gear-pair':
    case 'timing-belt':
      return (
        <>
          <QuantityField path={`${at}.driverTeeth`} label="Driving, teeth" hint="" placeholder="24" />
          <QuantityField path={`${at}.drivenTeeth`} label="Driven, teeth" hint="" placeholder="24" />
        </>
      )
    default:
      return (
        <>
          <QuantityField path={`${at}.driverMm`} label="Driving" hint="" placeholder="90 mm" />
          <QuantityField path={`${at}.drivenMm`} label="Driven" hint="" placeholder="90 mm" />
          {kind === 'variable-sheave' && (
            <div className="col-span-2 grid grid-cols-2 gap-1.5 @[340px]:col-start-2">
              <QuantityField path={`${at}.slowestRatio`} label="Slowest ratio" placeholder="0.5" />
              <QuantityField path={`${at}.fastestRatio`} label="Fastest ratio" placeholder="2" />
              <div className="col-span-2">
                <ChoiceField path={`${at}.shifting`} />
              </div>
              <div className="col-span-2">
                <ChoiceField path={`${at}.wear`} />
              </div>
            </div>
          )}
        </>
      )
  }
}
