import { set, withKey } from '@zesty/core'
import { trimFunctions } from '@zesty/core/manual'
import { hourOf, trimSlots, type TrimSlot } from '@zesty/core/settings'
import { useEvaluation } from '../../state/evaluation'
import { useChange, usePlan } from '../../state/openPlan'
import { Labelled } from '../../parts/Labelled'
import { Text } from '../../parts/Text'

/** Trims of a board that is set by screwdriver: where each slot begins, drawn, and how it is found with a meter. */
export function TrimSheet() {
  const plan = usePlan()
  const { settings } = useEvaluation()
  const slots = trimSlots(plan, settings)
  if (slots.length === 0) return null
  return (
    <section className="sheet mb-3" aria-labelledby="trims" data-path="settings.trims">
      <h2 id="trims" tabIndex={-1} className="h-part">
        Trims, by the clock
      </h2>
      <p className="mt-1 flex gap-2 rounded bg-oxide-wash px-2 py-1 text-[15px]">
        <b className="text-oxide">Stop</b>
        <span>
          The board stands at mains potential. Set the slots dead, locked and measured; tuned alive only behind a
          barrier, with an insulated screwdriver, by who may work live. Meter clips go on while it is dead.
        </span>
      </p>
      <ul className="mt-2 grid gap-3 @narrow:grid-cols-2 @wider:grid-cols-3">
        {slots.map((slot) => (
          <Slot key={slot.trim.id} slot={slot} />
        ))}
      </ul>
    </section>
  )
}

function Slot({ slot }: { slot: TrimSlot }) {
  const plan = usePlan()
  const change = useChange()
  const { trim, wants, hour, beyond, steps } = slot
  const held = plan.settings.trims?.[trim.id]
  const write = (text: string) => {
    change(`Trim ${trim.prints}`, [
      set('settings.trims', withKey(plan.settings.trims, trim.id, text === '' ? undefined : Number(text))),
    ])
  }
  return (
    <li className="break-inside-avoid border-t border-rule pt-2">
      <div className="flex items-start gap-3">
        <TrimDrawing slot={slot} held={held} />
        <div className="min-w-0 flex-1">
          <h3 className="leading-tight font-semibold">
            {trim.prints}, {trimFunctions[trim.sets].toLowerCase()}
          </h3>
          <p className="text-[15px] leading-tight">
            <Text said={wants} />
          </p>
          <p className="font-cond text-[20px] font-semibold">{hour === undefined ? 'By meter alone' : clock(hour)}</p>
          {beyond !== undefined && (
            <p className="text-[15px] text-brass">
              Wanted beyond its {beyond === 'most' ? 'most' : 'least'}: at its end.
            </p>
          )}
          <Labelled label="It points to">
            {(id) => (
              <select id={id} className="field" value={held ?? ''} onChange={(e) => write(e.target.value)}>
                <option value="">not set yet</option>
                {halfHours.map((h) => (
                  <option key={h} value={h}>
                    {clock(h)}
                  </option>
                ))}
              </select>
            )}
          </Labelled>
        </div>
      </div>
      <details className="mt-1">
        <summary className="min-h-11 content-center font-semibold">With the meter</summary>
        <ol className="ml-5 list-decimal pb-2 text-[15px]">
          {steps.map((step) => (
            <li key={step}>{step}</li>
          ))}
        </ol>
      </details>
    </li>
  )
}

const halfHours = Array.from({ length: 24 }, (_, i) => (i + 1) / 2)

/** An hour as a clock has it: 7 o’clock, half past 7. */
const clock = (hour: number): string => {
  const rounded = Math.round(hour * 2) / 2
  const whole = Math.floor(rounded) === 0 ? 12 : Math.floor(rounded)
  return Number.isInteger(rounded) ? `${whole} o’clock` : `half past ${whole}`
}

const SIZE = 96
const MIDDLE = SIZE / 2

const at = (hour: number, radius: number): { x: number; y: number } => {
  const turned = (hour / 12) * 2 * Math.PI
  return { x: MIDDLE + radius * Math.sin(turned), y: MIDDLE - radius * Math.cos(turned) }
}

/** The trim as it looks from above: its ends, the slot as it is to point, and as it points now. */
function TrimDrawing({ slot: { trim, hour, share }, held }: { slot: TrimSlot; held: number | undefined }) {
  const ends = [hourOf(trim, 0), hourOf(trim, 1)]
  const words = hour === undefined ? `${trim.prints}: by meter` : `${trim.prints}: slot to ${clock(hour)}`
  return (
    <svg viewBox={`0 0 ${SIZE} ${SIZE}`} width={SIZE} height={SIZE} role="img" aria-label={words} className="shrink-0">
      <circle cx={MIDDLE} cy={MIDDLE} r={24} className="fill-manila stroke-ink" strokeWidth={1.5} />
      {Array.from({ length: 11 }, (_, i) => {
        const h = hourOf(trim, i / 10)
        const [from, to] = [at(h, 30), at(h, i % 5 === 0 ? 38 : 34)]
        return <line key={i} x1={from.x} y1={from.y} x2={to.x} y2={to.y} className="stroke-ink-2" strokeWidth={1.2} />
      })}
      {ends.map((h, i) => (
        <text
          key={i}
          {...at(h, 44)}
          textAnchor="middle"
          dominantBaseline="central"
          className="fill-ink-2 font-cond text-[13px] font-semibold"
        >
          {i === 0 ? '−' : '+'}
        </text>
      ))}
      {held !== undefined && (
        <line
          x1={MIDDLE}
          y1={MIDDLE}
          x2={at(held, 22).x}
          y2={at(held, 22).y}
          className="stroke-green"
          strokeWidth={2}
          strokeDasharray="3 3"
        />
      )}
      {hour !== undefined && share !== undefined && (
        <line
          x1={at(hour + 6, 20).x}
          y1={at(hour + 6, 20).y}
          x2={at(hour, 24).x}
          y2={at(hour, 24).y}
          className="stroke-blue"
          strokeWidth={4}
          strokeLinecap="round"
        />
      )}
      {hour !== undefined && <circle cx={at(hour, 24).x} cy={at(hour, 24).y} r={4} className="fill-blue" />}
    </svg>
  )
}
