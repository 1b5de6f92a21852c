import { ONE_SIZE, printQuantity, type Evaluation } from '@zesty/core'
import { useUnits } from '../../state/units'

/** The two schools of sizing with their amps for this motor, and which is the default here and why. */
export function SizeSchools({ evaluation }: { evaluation: Evaluation }) {
  const units = useUnits()
  const plate = evaluation.figures['motor.plateCurrentA']
  if (!plate) return null
  const reasons = evaluation.sizeUpReasons
  const up = reasons.length > 0
  const amps = (value: number) => printQuantity({ value, dimension: 'current' }, units)
  const schools = [
    {
      name: 'Matched by amps',
      wants: amps(plate.value),
      says: 'Enough for most machines; no more to pay or to hang.',
      here: !up,
    },
    {
      name: 'One size up',
      wants: amps(plate.value * ONE_SIZE),
      says: 'Cheap insurance for the minute’s overload, one phase, heavy rotors and reversing.',
      here: up,
    },
  ]
  return (
    <div className="mb-3 grid gap-2 @narrow:grid-cols-2" aria-label="How large a drive">
      {schools.map((s) => (
        <div
          key={s.name}
          className={`rounded-md border px-3 py-2 text-[15px] ${s.here ? 'border-blue bg-blue-wash' : 'border-rule bg-paper'}`}
        >
          <p>
            <b className="font-semibold">{s.name}:</b> usable output of {s.wants} or more
          </p>
          <p className="leading-tight text-ink-2">{s.says}</p>
          {s.here && (
            <p className="mt-1 font-semibold">
              {up ? `The default here: ${reasons.join(', and ')}.` : 'The default here: nothing asks for more.'}
            </p>
          )}
        </div>
      ))}
    </div>
  )
}
