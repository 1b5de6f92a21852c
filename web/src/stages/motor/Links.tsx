import { connections, set, type Connection, type TerminalLinks } from '@zesty/core'
import { MoveRight } from 'lucide-react'
import { useEvaluation } from '../../state/evaluation'
import { useChange, usePlan } from '../../state/openPlan'
import { Choices } from '../../parts/ChoiceField'
import { FigureTable } from '../../parts/FigureTable'
import { linksInWords, TerminalBox } from './TerminalBox'

/** Before the leads are counted. */
const anyLeads: readonly Connection[] = ['star', 'delta', 'low', 'high', 'fixed']

/** The links as they are in the box now, and as they should be for this drive. */
export function Links() {
  const { motor } = usePlan()
  const { relinking: links, delta87Hz } = useEvaluation()
  const change = useChange()
  const { leads, connection } = motor
  // What these leads allow, and whatever stands there now even if they do not.
  const allowed: readonly Connection[] = links?.choices ?? (leads === '3' ? ['fixed'] : anyLeads)
  const offered = [...new Set([...allowed, ...(connection ? [connection] : [])])]
  const toBe = links?.toBe
  return (
    <section className="sheet mt-4" aria-labelledby="links">
      <h2 id="links" tabIndex={-1} className="h-part">
        Links in the terminal box
      </h2>
      <div className="mt-2 grid gap-x-6 gap-y-4 @wider:grid-cols-[auto_minmax(0,1fr)]">
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
          {links && (links.part.length > 0 || links.join.length > 0) && (
            <dl className="text-[15px]">
              {links.part.length > 0 && (
                <div className="flex gap-2">
                  <dt className="label w-16 shrink-0">Part</dt>
                  <dd>{groups(links.part)}</dd>
                </div>
              )}
              <div className="flex gap-2">
                <dt className="label w-16 shrink-0">Join</dt>
                <dd>{groups(links.join)}</dd>
              </div>
            </dl>
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
          {delta87Hz && (
            <div className="mt-3">
              <FigureTable
                heading={`${connections[delta87Hz.connection]} on this drive, its volts run up with the hertz`}
                rows={[
                  { label: 'Full torque up to', id: 'motor.delta87UsableHz' },
                  { label: 'Base hertz to set', id: 'motor.delta87BaseHz' },
                  { label: 'Power there', id: 'motor.delta87W' },
                  {
                    label: 'Amps the drive must give',
                    id: 'motor.delta87A',
                    note: delta87Hz.permitted ? 'this one does' : 'this one does not',
                  },
                ]}
              />
            </div>
          )}
        </div>
      </div>
    </section>
  )
}

const groups = (of: readonly (readonly string[])[]) => of.map((g) => g.join(' to ')).join('; ')

function Box({ leads, linked, title }: { leads: string; linked: TerminalLinks; title: string }) {
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
