import { fieldAt, isBareMotor } from '@zesty/core'
import { type Hum, type Mount } from '@zesty/core/mount'
import { toDrawing } from '@zesty/core/dial'
import { Download, ShieldAlert } from 'lucide-react'
import { usePart } from '../../parts/usePart'
import { DrawingView } from '../../drawings/DrawingView'
import { saveWorkDrawing } from '../../drawings/workFiles'
import { AskedReading } from '../../measurements/AskedReading'
import { useReadings } from '../../measurements/useReadings'
import { ChoiceField, YesNoField } from '../../parts/ChoiceField'
import { QuantityField } from '../../parts/QuantityField'
import { HearHum } from './HearHum'
import { Text } from '../../parts/Text'
import { usePrint } from '../../parts/usePrint'
import { goToField } from '../../state/goToField'
import { usePlan } from '../../state/openPlan'
import { useUnits } from '../../state/units'

const HUM = 'Belt, plucked'

/** What must be made or moved for motor and pulley, with sizes, and how tight the belt should be. */
export function MountSheet() {
  const plan = usePlan()
  const units = useUnits()
  const { readings } = useReadings()
  const heard = readings.filter((r) => r.kind === 'belt-hum').at(-1)?.value
  const mount = usePart('mount')
  const hum = usePart('hum')
  const { fit } = plan.mount
  const save = (as: 'svg' | 'dxf' | 'pdf') =>
    mount.made &&
    void saveWorkDrawing(
      mount.made.drawing,
      `${plan.name} ${mount.made.name.toLowerCase()}`,
      as,
      units === 'imperial' ? 'letter' : 'a4',
    )
  if (isBareMotor(plan)) return null
  return (
    <section className="sheet" aria-labelledby="mount">
      <h2 id="mount" tabIndex={-1} className="h-part">
        Mount
      </h2>
      <p className="lead">
        What must be made or moved, with its sizes. Off, locked, plug in sight while hands are at it.
      </p>
      <ul className="mt-1">
        {mount.tasks.map(({ id, says, caution, missing }) => (
          <li key={id} className="border-b border-rule py-1.5">
            <span
              className="mr-1.5 hidden size-4 border border-ink align-[-3px] print:inline-block"
              aria-hidden="true"
            />
            <Text said={says} />
            {missing !== undefined && (
              <button
                type="button"
                className="ml-2 min-h-11 font-semibold text-blue underline underline-offset-4 print:hidden"
                onClick={() => goToField(missing)}
              >
                {fieldAt(missing).label}
              </button>
            )}
            {caution !== undefined && (
              <span className="mt-0.5 flex gap-2 text-[15px] font-medium text-oxide">
                <ShieldAlert size={18} className="mt-0.5 shrink-0" aria-hidden="true" />
                {caution}
              </span>
            )}
          </li>
        ))}
      </ul>
      <Tension press={mount.press} hum={hum} heard={heard} />
      {mount.made && (
        <div className="mt-3">
          <h3 className="font-semibold">{mount.made.name}</h3>
          <div className="max-w-[720px] rounded-md border border-rule bg-card p-2">
            <DrawingView
              drawing={toDrawing(mount.made.drawing)}
              label={`${mount.made.name} with holes and slots, sizes in mm`}
            />
          </div>
          <div className="mt-1 flex gap-2 print:hidden">
            {(['svg', 'dxf'] as const).map((as) => (
              <button key={as} type="button" className="btn" onClick={() => save(as)}>
                <Download size={18} aria-hidden="true" /> {as.toUpperCase()}
              </button>
            ))}
          </div>
        </div>
      )}
      <details className="mt-3 print:hidden" open={plan.mount.seat === undefined}>
        <summary className="min-h-11 content-center font-semibold text-blue">Sizes and choices</summary>
        <div className="grid grid-cols-2 items-start gap-x-3 gap-y-2 @wide:grid-cols-4">
          <ChoiceField path="mount.seat" wide />
          <QuantityField path="mount.oldAcrossMm" placeholder="by the old frame" />
          <QuantityField path="mount.oldAlongMm" placeholder="by the old frame" />
          <QuantityField path="mount.oldHeightMm" placeholder="by the old frame" />
          <QuantityField path="mount.boltMm" placeholder="10 mm" />
          <QuantityField path="mount.acrossMm" placeholder="by the frame" />
          <QuantityField path="mount.alongMm" placeholder="by the frame" />
          <QuantityField path="mount.heightMm" placeholder="by the frame" />
          <QuantityField path="mount.plateMm" placeholder="12 mm" />
          {plan.mount.seat === 'bracket' && (
            <QuantityField path="mount.bracketMm" placeholder="by the shafts’ heights" />
          )}
          <QuantityField path="mount.travelMm" placeholder="60 mm" />
          <QuantityField path="mount.boxCostsMm" placeholder="0 mm" />
          <ChoiceField path="mount.fit" wide />
          {fit !== undefined && (
            <>
              <QuantityField path="mount.boreMm" placeholder="24 mm" />
              <QuantityField path="mount.shaftMm" placeholder="24.01 mm" />
            </>
          )}
          {(fit === 'press' || fit === 'shrink') && (
            <>
              <QuantityField path="mount.tightMm" placeholder="by shaft and bore" />
              <QuantityField path="mount.hubMm" placeholder="48 mm" />
              <QuantityField path="mount.hubLengthMm" placeholder="30 mm" />
              <ChoiceField path="mount.hub" wide />
            </>
          )}
          <YesNoField path="mount.rotorTurned" />
          {plan.mount.rotorTurned === true && <YesNoField path="mount.innerFan" />}
          <ChoiceField path="mount.guard" wide />
          <ChoiceField path="mount.keeper" wide />
        </div>
      </details>
    </section>
  )
}

/** By pressing the span, or by its hum: one belt, plucked dead and locked. */
function Tension({ press, hum, heard }: { press: Mount['press']; hum: Hum | undefined; heard: number | undefined }) {
  const print = usePrint()
  if (!hum && !press)
    return (
      <p className="mt-2 text-[15px] text-ink-2">
        How tight the belt should be follows from its section and the distance of its shafts, in the Survey.
      </p>
    )
  return (
    <div className="mt-2">
      <h3 className="font-semibold">Tension of the belt</h3>
      {press && (
        <p>
          Press the middle of the span in by {print('length', press.byMm)}: it wants {print('force', press.forceN)}.
        </p>
      )}
      {hum && (
        <>
          <p>
            Or pluck one belt, dead and locked: it should hum at <b>{print('frequency', hum.wantedHz)}</b>, for{' '}
            {print('force', hum.wantedN)} in a free span of {print('length', hum.spanMm)}
            {hum.massIsTypical ? '; the belt’s mass is a planning value' : ''}.
          </p>
          <div className="max-w-[280px]">
            <AskedReading
              label="It hums at"
              row={{ kind: 'belt-hum', of: HUM }}
              dimension="frequency"
              value={heard}
              note="Belt tension"
              isOf={(r) => r.kind === 'belt-hum'}
              judged={(value) =>
                value === undefined ? null : Math.abs(value / hum.wantedHz - 1) <= 0.1 ? (
                  <span className="text-green">As it should be</span>
                ) : (
                  <span className="text-brass">
                    {value > hum.wantedHz ? 'Too tight' : 'Too slack'}:{' '}
                    {print('force', hum.wantedN * (value / hum.wantedHz) ** 2)} where {print('force', hum.wantedN)} is
                    wanted
                  </span>
                )
              }
            />
            <HearHum />
          </div>
        </>
      )}
      <div className="mt-1 max-w-[280px] print:hidden">
        <QuantityField path="mount.massKgPerM" label="Mass of one belt, kg a metre" placeholder="by its section" />
      </div>
    </div>
  )
}
