import { connections, type Connection } from '@zesty/core'
import { usePlan } from '../../conversion/openPlan'
import { Choices } from '../../parts/ChoiceField'
import { TerminalBox } from './TerminalBox'

const forLeads: Record<string, readonly Connection[]> = { '3': ['fixed'], '6': ['star', 'delta'], '9-star': ['low', 'high'], '9-delta': ['low', 'high'], '12': ['low', 'high', 'star', 'delta'] }

/** The links as they are in the box now; a finding says when they should be moved. */
export function Links() {
  const { motor } = usePlan()
  const offered = motor.leads === undefined ? (Object.keys(connections) as Connection[]) : [...new Set([...(forLeads[motor.leads] ?? []), ...(motor.connection ? [motor.connection] : [])])]
  return (
    <section className="sheet mt-4" aria-labelledby="links">
      <h2 id="links" className="h-part">
        Links in the terminal box
      </h2>
      <div className="mt-2 grid gap-4 lg:grid-cols-[auto_minmax(0,1fr)]">
        <Choices path="motor.connection" label="As they are now" options={offered.map((c) => ({ value: c, words: connections[c], picture: motor.leads === '6' && (c === 'star' || c === 'delta') ? <TerminalBox links={c} /> : undefined }))} />
        <div className="text-[15px]">
          <p className="font-semibold">Before the lid comes off</p>
          <ol className="mt-1 list-decimal pl-5">
            <li>Switch off, lock it, pull the plug and keep it in sight.</li>
            <li>Wait for the drive to discharge: the maker’s time, ten minutes where it is not known.</li>
            <li>Prove the meter, measure, prove the meter again.</li>
            <li>Compare with the picture inside the lid. It is the authority.</li>
          </ol>
        </div>
      </div>
    </section>
  )
}
