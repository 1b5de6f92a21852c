import { fieldAt, printNumber, set, type PlanPath } from '@zesty/core'
import {
  axisCard,
  axisNumbers,
  isHad,
  MOST_AXES,
  switchRows,
  type Axis,
  type AxisField,
  type AxisNumbers,
} from '@zesty/core/axes'
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
        <WordsField path={at('switches')} label="Its switches, as they stand" placeholder="0110 1001" longest={24} />
        <QuantityField path={at('supplyV')} placeholder="48 V" />
        <QuantityField path={at('mostSupplyV')} placeholder="60 V" />
        <QuantityField path={at('torqueRpm')} placeholder="1000 rpm" />
        <QuantityField path={at('torqueNm')} placeholder="2 N m" />
      </Group>
      {axis.switches !== undefined && <Switches text={axis.switches} />}
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
      <Group name="Enable, place and noise">
        <SelectField path={at('holdsWhen')} />
        <YesNoField path={at('heldFirm')} />
        <SelectField path={at('homed')} />
        <SelectField path={at('shield')} />
        <QuantityField path={at('backlash')} placeholder="0.02" hint="" />
        <QuantityField path={at('mostBacklash')} placeholder="0.05" hint="" />
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
      <AxisCard axis={axis} />
    </li>
  )
}

/** Switches as they stand, drawn as one sees them on the driver. */
function Switches({ text }: { text: string }) {
  const rows = switchRows(text)
  if (rows === undefined)
    return <p className="mt-1 text-[15px] text-ink-2">Not read as switches: 1 for on, 0 for off, groups apart.</p>
  const [cell, height] = [22, 46]
  return (
    <div className="mt-1 flex flex-wrap gap-3" aria-label={`Switches ${text}`} role="img">
      {rows.map((row) => (
        <svg key={row[0]?.number} width={row.length * cell + 8} height={height + 20} aria-hidden="true">
          <rect
            x="1"
            y="1"
            width={row.length * cell + 6}
            height={height}
            rx="4"
            fill="var(--blue)"
            stroke="var(--ink)"
          />
          {row.map(({ number, on }, i) => (
            <g key={number}>
              <rect x={i * cell + 8} y="8" width="14" height="30" rx="2" fill="var(--card)" stroke="var(--ink)" />
              <rect x={i * cell + 9} y={on ? 9 : 24} width="12" height="13" rx="2" fill="var(--ink)" />
              <text x={i * cell + 15} y={height + 15} textAnchor="middle" fontSize="14" fill="var(--ink)">
                {number}
              </text>
            </g>
          ))}
        </svg>
      ))}
      <span className="self-end text-[14px] text-ink-2">up is on</span>
    </div>
  )
}

/** What is set and wired for one axis, to be taken to the machine. */
function AxisCard({ axis }: { axis: Axis }) {
  return (
    <table className="mt-3 w-full text-[15px]">
      <caption className="label border-b border-ink-2 py-1 text-left">Card of axis {axis.name ?? ''}</caption>
      <tbody>
        {axisCard(axis).map(({ where, what, value, why }) => (
          <tr key={`${where} ${what}`} className="border-b border-rule align-top">
            <td className="py-1 pr-3 text-ink-2">{where}</td>
            <th scope="row" className="pr-3 text-left font-normal">
              {what}
            </th>
            <td className="pr-3 font-semibold">{value ?? 'not known yet'}</td>
            <td className="text-ink-2">{why}</td>
            <td className="hidden w-6 print:table-cell" aria-label="Done">
              ☐
            </td>
          </tr>
        ))}
      </tbody>
    </table>
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
