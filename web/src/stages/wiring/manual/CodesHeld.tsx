import { set } from '@zesty/core'
import type { Manual } from '@zesty/core/manual'
import { useChange, usePlan } from '../../../state/openPlan'

/** Codes by which a terminal's meaning follows from a setting: what the drive holds now. The drawing follows at once. */
export function CodesHeld({ manual }: { manual: Manual }) {
  const plan = usePlan()
  const change = useChange()
  const held = plan.wiring.codesHeld ?? {}
  const codes = manual.codes.filter((c) => (c.terminal !== undefined || c.macro === true) && c.values.length > 0)
  if (codes.length === 0) return null
  const write = (code: string, value: string) => {
    const others = Object.fromEntries(Object.entries(held).filter(([key]) => key !== code))
    const next = value === '' ? others : { ...others, [code]: value }
    change(`Code ${code}`, [set('wiring.codesHeld', Object.keys(next).length === 0 ? undefined : next)])
  }
  const printsOf = (id: string | undefined): string => manual.terminals.find((t) => t.id === id)?.prints ?? ''
  return (
    <details className="mt-2 border-t border-rule pt-1" data-path="wiring.codesHeld">
      <summary className="flex min-h-11 items-center pl-px font-semibold text-blue underline underline-offset-4">
        What its terminal codes hold now
      </summary>
      <p className="lead text-[15px]">
        Read from the drive, where somebody has read them: wires land where it listens, and only what differs is a line
        of the card. Otherwise it counts as it comes.
      </p>
      <div className="mt-1 grid gap-x-4 gap-y-2 @narrow:grid-cols-2 @wider:grid-cols-3">
        {codes.map(({ code, words, terminal, values, comesWith }) => (
          <label key={code} className="flex min-w-0 flex-col gap-0.5">
            <span className="label">
              {code}, {terminal === undefined ? words : `terminal ${printsOf(terminal)}`}
            </span>
            <select className="field" value={held[code] ?? ''} onChange={(e) => write(code, e.target.value)}>
              <option value="">{comesWith === undefined ? 'As it comes' : `As it comes, ${comesWith}`}</option>
              {values.map(({ value, means }) => (
                <option key={value} value={value}>
                  {value}: {means}
                </option>
              ))}
            </select>
          </label>
        ))}
      </div>
    </details>
  )
}
