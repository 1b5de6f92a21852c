import { fieldAt, printNumber, set, type PlanPath } from '@zesty/core'
import { axisNumbers, isHad, MOST_AXES, type Axis, type AxisField, type AxisNumbers } from '@zesty/core/axes'
import { Plus } from 'lucide-react'
import type { ReactNode } from 'react'
import { SelectField, YesNoField } from '../../parts/ChoiceField'
import { newId } from '../../parts/newId'
import { QuantityField } from '../../parts/QuantityField'
import { RemoveButton } from '../../parts/RemoveButton'
import { usePrint } from '../../parts/usePrint'
import { WordsField } from '../../parts/WordsField'
import { goToField } from '../../state/goToField'
import { useChange, usePlan } from '../../state/openPlan'

const names = ['X', 'Y', 'Z', 'A', 'B', 'C']

/** Axes that a controller moves by pulses, each motor with a driver of its own. */
export function AxesSheet() {
  const { axes = [] } = usePlan()
  const change = useChange()
  return (
    <section className="sheet mt-4" aria-labelledby="axes" data-path="axes">
      <h2 id="axes" tabIndex={-1} className="h-part">
        Axes
      </h2>
      <p className="lead mb-2">
        A stepper or servo with its own driver takes pulses, not hertz: what the controller is set to, how fast it goes,
        and what its inputs bear. One axis at a time, and nothing else moving meanwhile.
      </p>
      <ul className="flex flex-col gap-3">
        {axes.map((axis, index) => (
          <OneAxis key={axis.id} axis={axis} index={index} />
        ))}
      </ul>
      {axes.length < MOST_AXES && (
        <button
          type="button"
          className="btn mt-2 print:hidden"
          onClick={() => {
            change('Add an axis', [set('axes', [...axes, { id: newId(), name: names[axes.length] ?? 'A' }])])
            goToField(`axes.${axes.length}.pulsesPerTurn`)
          }}
        >
          <Plus size={18} aria-hidden="true" /> Add an axis
        </button>
      )}
    </section>
  )
}

function OneAxis({ axis, index }: { axis: Axis; index: number }) {
  const plan = usePlan()
  const change = useChange()
  const at = <F extends AxisField>(field: F) => `axes.${index}.${field}` as const
  const name = axis.name ?? `Axis ${index + 1}`
  const isTable = axis.moves === 'table'
  const numbers = axisNumbers(axis)
  const needsResistor = isHad(numbers.resistor) && numbers.resistor.value !== undefined
  return (
    <li className="break-inside-avoid rounded-md border border-rule bg-paper p-2.5">
      <div className="flex flex-wrap items-end gap-2">
        <WordsField path={at('name')} label="Axis" longest={12} />
        <span className="ml-auto">
          <RemoveButton
            what={`axis ${name}`}
            onClick={() => {
              const rest = (plan.axes ?? []).filter(({ id }) => id !== axis.id)
              change(`Take axis ${name} away`, [set('axes', rest.length === 0 ? undefined : rest)])
            }}
          />
        </span>
      </div>
      <Numbers name={name} index={index} numbers={numbers} />
      <Group name="Motor and driver">
        <div className="col-span-2">
          <SelectField path={at('motor')} />
        </div>
        <QuantityField path={at('pulsesPerTurn')} placeholder="2000" />
        <QuantityField path={at('maxPulseHz')} placeholder="100 kHz" />
        <QuantityField path={at('torqueRpm')} placeholder="1000 rpm" />
        <QuantityField path={at('torqueNm')} placeholder="2 N m" />
      </Group>
      <Group name="What it moves">
        <SelectField path={at('moves')} />
        {!isTable && <SelectField path={at('unit')} />}
        {isTable ? (
          <QuantityField path={at('tableRatio')} placeholder="90" />
        ) : (
          <QuantityField path={at('travelMm')} placeholder="5 mm" />
        )}
        <QuantityField path={at('motorTeeth')} placeholder="none" />
        <QuantityField path={at('drivenTeeth')} placeholder="none" hint="" />
        <QuantityField path={at('wantedFeedPerMin')} placeholder="2000" />
      </Group>
      <Group name="Its inputs">
        <SelectField path={at('signal')} hint="" />
        <QuantityField path={at('signalV')} placeholder="24 V" />
        <QuantityField path={at('inputV')} placeholder="5 V" />
        {axis.signalV !== undefined && axis.inputV !== undefined && axis.signalV > axis.inputV && (
          <>
            <QuantityField path={at('inputA')} placeholder="10 mA" />
            {needsResistor && <QuantityField path={at('resistorOhm')} placeholder="0" />}
          </>
        )}
      </Group>
      <Group name="What stops and holds it">
        <YesNoField path={at('limitSwitches')} />
        {axis.motor !== 'stepper' && <YesNoField path={at('alarmStops')} />}
        <YesNoField path={at('falls')} />
        {axis.falls === true && <YesNoField path={at('brake')} />}
      </Group>
      <h4 className="mt-3 font-semibold">First move</h4>
      <ol className="list-decimal pl-5 text-[15px]">
        <li>
          Belt or coupling off, or the table in the middle; a hand at the emergency stop, the other off the machine.
        </li>
        <li>
          Power on without enable: the shaft turns by hand. Enable it: the shaft is locked. That proves power and
          enable.
        </li>
        <li>
          A flag of tape on the shaft. Command one unit, slowly: it must turn by what stands above, and the right way.
        </li>
        <li>Coupled, with a dial gauge or a rule: command ten units, and type what it moved.</li>
        <li>Limit switches by hand while it creeps, then homing; only then a rapid, and only then the next axis.</li>
      </ol>
      <div className="mt-1 grid grid-cols-2 items-start gap-x-3 gap-y-2 @wide:grid-cols-4">
        <QuantityField path={at('triedPulses')} placeholder="as the controller stands" />
        <QuantityField path={at('triedUnits')} placeholder="10" />
        <QuantityField path={at('movedUnits')} placeholder="10" />
      </div>
    </li>
  )
}

function Group({ name, children }: { name: string; children: ReactNode }) {
  return (
    <fieldset className="mt-2">
      <legend className="label">{name}</legend>
      <div className="grid grid-cols-2 items-start gap-x-3 gap-y-2 @wide:grid-cols-4">{children}</div>
    </fieldset>
  )
}

/** What the controller is set to, and what comes of it. */
function Numbers({ name, index, numbers }: { name: string; index: number; numbers: AxisNumbers }) {
  const print = usePrint()
  const { pulses, feed, forceN, resistor, unit } = numbers
  const plain = (n: number) => printNumber(n, 5, 3)
  return (
    <dl aria-label={`What follows for ${name}`} className="mt-1 grid gap-x-4 @narrow:grid-cols-2 @wide:grid-cols-4">
      <Line label={`Pulses for one ${unit === 'degrees' ? 'degree' : unit}`} index={index} of={pulses}>
        {({ pulsesPerUnit, turnsPerUnit }) => (
          <>
            <b>{plain(pulsesPerUnit)}</b>, {plain(turnsPerUnit)} turns of the motor
          </>
        )}
      </Line>
      <Line label="Rapid, at most" index={index} of={feed}>
        {({ maxFeedPerMin, limitedBy }) => (
          <>
            <b>
              {plain(maxFeedPerMin)} {unit}/min
            </b>
            , by the {limitedBy === 'motor' ? 'motor’s rpm' : 'pulses'}
          </>
        )}
      </Line>
      <Line label="It pushes with" index={index} of={forceN}>
        {(n) => (
          <>
            <b>{print('force', n)}</b> at that rpm; the screw’s efficiency is a planning value
          </>
        )}
      </Line>
      <Line label="Resistor before its inputs" index={index} of={resistor}>
        {(one) =>
          one === undefined ? (
            'none: the volts are alike'
          ) : (
            <>
              <b>{one.suggestedOhm} ohm</b>, {one.plateW} W, in each line
            </>
          )
        }
      </Line>
    </dl>
  )
}

function Line<T>({
  label,
  index,
  of,
  children,
}: {
  label: string
  index: number
  of: { value: T } | { missing: AxisField[]; because?: string }
  children: (value: T) => ReactNode
}) {
  return (
    <div className="border-b border-rule py-1">
      <dt className="label">{label}</dt>
      <dd className="text-[15px]">
        {isHad(of) ? (
          children(of.value)
        ) : (
          <span className="text-ink-2">
            {of.because ?? 'Not known yet.'}
            {of.missing.slice(0, 2).map((field) => (
              <Wants key={field} path={`axes.${index}.${field}`} />
            ))}
          </span>
        )}
      </dd>
    </div>
  )
}

function Wants({ path }: { path: PlanPath }) {
  return (
    <button
      type="button"
      className="ml-1 min-h-11 font-semibold text-blue underline underline-offset-4 print:hidden"
      onClick={() => goToField(path)}
    >
      {fieldAt(path).label}
    </button>
  )
}
