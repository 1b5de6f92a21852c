import { connections, set, type Connection, type Linked } from '@zesty/core'
import { MoveRight } from 'lucide-react'
import { useChange, useEvaluation, usePlan } from '../../conversion/openPlan'
import { Choices } from '../../parts/ChoiceField'
import { linksInWords, TerminalBox } from './TerminalBox'

const forLeads: Record<string, readonly Connection[]> = {
  '3': ['fixed'],
  '6': ['star', 'delta'],
  '9-star': ['low', 'high'],
  '9-delta': ['low', 'high'],
  '12': ['low', 'high', 'star', 'delta'],
}

/** The links as they are in the box now, and as they should be for this drive. */
export function Links() {
  const { motor } = usePlan()
  const { links } = useEvaluation()
  const change = useChange()
  const offered =
    motor.leads === undefined
      ? (Object.keys(connections) as Connection[])
      : [...new Set([...(forLeads[motor.leads] ?? []), ...(motor.connection ? [motor.connection] : [])])]
  const toBe = links?.toBe
  return (
    <section className="sheet mt-4" aria-labelledby="links">
      <h2 id="links" className="h-part">
        Links in the terminal box
      </h2>
      <div className="mt-2 grid gap-x-6 gap-y-4 lg:grid-cols-[auto_minmax(0,1fr)]">
        <div className="flex flex-col gap-3">
          <Choices
            path="motor.connection"
            label="As they are now"
            options={offered.map((c) => ({ value: c, words: connections[c] }))}
          />
          {links?.asFound && (
            <div className="flex flex-wrap items-center gap-4">
              <Box leads={links.leads} linked={links.asFound} title="As found" />
              {toBe && (
                <>
                  <MoveRight size={36} aria-hidden="true" />
                  <Box leads={links.leads} linked={toBe} title="To be, for this drive" />
                </>
              )}
            </div>
          )}
          {toBe && (
            <button
              type="button"
              className="btn btn-main self-start"
              onClick={() =>
                change(`Move links to ${connections[toBe.connection].toLowerCase()}`, [
                  set('motor.connection', toBe.connection),
                ])
              }
            >
              They are moved: {connections[toBe.connection].toLowerCase()}
            </button>
          )}
        </div>
        <div className="text-[15px]">
          <p className="font-semibold">Before the lid comes off</p>
          <ol className="mt-1 list-decimal pl-5">
            <li>Switch off, lock it, pull the plug and keep it in sight.</li>
            <li>Wait for the drive to discharge: the maker’s time, ten minutes where it is not known.</li>
            <li>Prove the meter, measure plus to minus and each to earth, prove the meter again.</li>
            <li>Compare with the picture inside the lid. It is the authority.</li>
          </ol>
        </div>
      </div>
    </section>
  )
}

function Box({ leads, linked, title }: { leads: string; linked: Linked; title: string }) {
  return (
    <figure className="flex max-w-[180px] flex-col gap-1">
      <figcaption className="label">
        {title}: {connections[linked.connection].toLowerCase()}
      </figcaption>
      <TerminalBox leads={leads} linked={linked} />
      <p className="text-[14px] leading-tight text-ink-2">{linksInWords(linked)}</p>
    </figure>
  )
}
