import { hasFedField, heartOf, type Plan } from '@zesty/core'
import { usePlan } from '../../state/openPlan'
import { QuantityField } from '../../parts/QuantityField'
import { WordsField } from '../../parts/WordsField'

/** The drive as a box on the wall: supply terminals at the top, motor terminals below, its plate between. */
export function DriveBox() {
  const plan = usePlan()
  const { drive, supply } = plan
  const three = drive.input === '3' ? supply.phases !== 1 : drive.input === 'either' ? supply.phases === 3 : false
  const live = three ? ['L1', 'L2', 'L3'] : supply.topology === 'line-line' ? ['L1', 'L2'] : ['L', 'N']
  return (
    <section aria-label="Drive plate" className="flex flex-col rounded-xl border-2 border-ink bg-card">
      <Terminals names={[...live, 'PE']} title="supply" />
      <div className="grid flex-1 grid-cols-2 content-start gap-x-3 gap-y-2 px-4 py-3">
        <WordsField path="drive.name" label="Maker’s name for it" placeholder="as on its front" wide longest={80} />
        <QuantityField path="drive.powerW" placeholder="1.5 kW" wide />
        <QuantityField path="drive.inputVoltageV" placeholder="230 V" hint="The lower of a range" />
        <QuantityField path="drive.inputVoltageTopV" placeholder="same" hint="The higher of a range" />
        <QuantityField path="drive.ratedOutputA" placeholder="7.0 A" />
        <QuantityField path="drive.ratedInputA" placeholder="14.5 A" hint="" />
        <QuantityField path="drive.maximumHz" placeholder="400 Hz" wide />
      </div>
      <Terminals names={motorNames(plan)} title="motor" below />
    </section>
  )
}

/** What a motor hangs on, by what turns the machine. */
const motorNames = (plan: Plan): readonly string[] =>
  heartOf(plan) === 'dc' ? ['A1', 'A2', ...(hasFedField(plan) ? ['F1', 'F2'] : []), 'PE'] : ['U', 'V', 'W', 'PE']

function Terminals({ names, title, below = false }: { names: readonly string[]; title: string; below?: boolean }) {
  return (
    <div
      className={`flex items-center gap-2 bg-paper px-4 py-2 ${below ? 'rounded-b-xl border-t-2' : 'rounded-t-xl border-b-2'} border-ink`}
    >
      <span className="label mr-auto">{title}</span>
      {names.map((n) => (
        <span key={n} className="flex flex-col items-center font-cond text-[16px] leading-none font-semibold">
          <svg width="22" height="22" viewBox="0 0 22 22" aria-hidden="true">
            <circle cx="11" cy="11" r="9" fill="var(--stud)" stroke="var(--stud-edge)" strokeWidth="2" />
            <path d="M5 11h12" stroke="#6b5521" strokeWidth="2.4" />
          </svg>
          {n}
        </span>
      ))}
    </div>
  )
}
