import { heartOf } from '@zesty/core'
import { type DcWay, type RouteComparison } from '@zesty/core/compare'
import { FieldsOf } from '../../parts/FieldsOf'
import { FigureValue } from '../../parts/FigureValue'
import { NotKnown } from '../../parts/SideBySide'
import { Text } from '../../parts/Text'
import { Value } from '../../parts/Value'
import { goToField } from '../../state/goToField'
import { usePlan } from '../../state/openPlan'
import type { ReactNode } from 'react'
import { DcChart } from './DcChart'
import { VerdictMark } from './VerdictMark'

const reversalNames: Readonly<Record<string, string>> = {
  'drive-each': 'AC motor and drive',
  'keep-dc': 'DC drive kept',
  'fixed-dc': 'Another DC drive',
}

/** A toolroom machine's DC motor: its drive kept, another, one with the field by hand, or an AC motor in its place. */
export function DcSheet({ compared }: { compared: RouteComparison }) {
  const { dc, dcWays, reversals } = compared
  const isMotor = heartOf(usePlan()) === 'dc'
  return (
    <section className="sheet mt-4" aria-labelledby="dc">
      <h2 id="dc" tabIndex={-1} className="h-part">
        Where a DC toolroom drive stands
      </h2>
      {isMotor ? (
        <p className="lead mb-2 flex flex-wrap items-center gap-x-2">
          Its motor’s plate stands on Motor. Say which AC motor would take its place, and they are held against each
          other.
          <button type="button" className="btn" onClick={() => goToField('motor.powerW')}>
            To its plate
          </button>
        </p>
      ) : (
        <p className="lead mb-2">
          Type the plate of the DC motor, and it is held against the AC motor: torque over the spindle’s speed, and
          where a reversal’s energy goes.
        </p>
      )}
      <FieldsOf
        rows={[
          ['route.dcPowerW', '2.2 kW'],
          ['route.dcBaseRpm', '1150 rpm'],
          ['route.dcTopRpm', '2300 rpm'],
          ['route.acPowerW', '2.2 kW'],
          ['route.acRpm', '1450 rpm'],
          'route.dcPhases',
          'route.backGearKept',
          ['route.dcRepairPrice', '450'],
          ['route.fixedDcPrice', '190'],
          ['route.smallDcPrice', '240'],
        ]}
      />
      {dcWays.length > 0 && (
        <ul className="mt-3 flex flex-col gap-2" aria-label="The ways, held against each other">
          {dcWays.map((way) => (
            <Way key={way.id} way={way} compared={compared} />
          ))}
        </ul>
      )}
      {dc && <DcChart dc={dc} />}
      {reversals.length > 0 && (
        <table className="mt-3 w-full text-[15px]">
          <caption className="label border-b border-ink-2 py-1 text-left">
            Each reversal, the heaviest thing on the position used most
          </caption>
          <tbody>
            {reversals.map((r) => (
              <tr key={r.route} className="border-b border-rule">
                <th scope="row" className="py-1 pr-3 text-left font-semibold whitespace-nowrap">
                  {reversalNames[r.route]}
                </th>
                <td className="pr-3 leading-tight">{r.says}</td>
                <td className="text-right whitespace-nowrap">
                  <FigureValue id={r.energyJ.id} />
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
      {dc && (
        <p className="mt-2 text-[15px] text-ink-2">
          Keep a DC drive while it works and parts can be had; with an AC motor keep the back gear. A lost field lets a
          DC motor run away: a field-loss trip is a must.
        </p>
      )}
    </section>
  )
}

function Way({ way, compared }: { way: DcWay; compared: RouteComparison }) {
  const cost = compared.lines.find((l) => l.id === way.route)?.costThis
  return (
    <li className="rounded-lg border border-rule px-3.5 py-2">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <h3 className="h-part">{way.name}</h3>
        <VerdictMark of={way.verdict} />
        <p className="min-w-0 flex-1 basis-64 text-[15px] leading-snug">
          <Text said={way.verdict.says} />
        </p>
      </div>
      <dl className="mt-1 grid grid-cols-2 gap-x-3 text-[15px] @narrow:grid-cols-4">
        <Number label="Torque, slowest job" note={way.slowSays}>
          <FigureValue id={way.slowNm.id} />
        </Number>
        <Number label="In one position" note={way.span && `${way.span.position}, ${jobsOf(way.span.jobs)}`}>
          {way.span ? (
            <span className="flex min-h-11 items-center px-1.5 font-semibold">
              {Math.round(way.span.fromRpm)} to&nbsp;
              <Value value={Math.round(way.span.toRpm)} dimension="speed" />
            </span>
          ) : (
            <NotKnown />
          )}
        </Number>
        <Number label="Costs">{cost ? <FigureValue id={cost.id} /> : <NotKnown />}</Number>
        {way.equalW && (
          <Number label="Equals the DC motor" note="With a blower of its own">
            <FigureValue id={way.equalW.id} />
          </Number>
        )}
      </dl>
    </li>
  )
}

const jobsOf = (jobs: number): string => (jobs === 1 ? '1 job' : `${jobs} jobs`)

function Number({ label, note, children }: { label: string; note?: string | undefined; children: ReactNode }) {
  return (
    <div className="min-w-0 py-1">
      <dt className="label">{label}</dt>
      <dd className="-ml-1.5 [&_button]:justify-start">{children}</dd>
      {note && <dd className="text-[14px] leading-tight text-ink-2">{note}</dd>}
    </div>
  )
}
