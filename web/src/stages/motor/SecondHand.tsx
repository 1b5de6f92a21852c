import type { PlanPath } from '@zesty/core'
import { useEvaluation } from '../../state/evaluation'
import { usePlan } from '../../state/openPlan'
import { ChoiceField, YesNoField } from '../../parts/ChoiceField'
import { EntryHistory } from '../../parts/EntryHistory'
import { FigureTable } from '../../parts/FigureTable'
import { Mark, type MarkKind } from '../../parts/Mark'
import { QuantityField } from '../../parts/QuantityField'

const insulation: Readonly<Record<string, { mark: MarkKind; says: string }>> = {
  pass: { mark: 'ok', says: 'Good' },
  'dry-out': { mark: 'watch', says: 'Dry it out, test again' },
  reject: { mark: 'stop', says: 'Failed' },
}

/** What a second-hand motor is looked at for, with what passes, before a drive is joined to it. */
export function SecondHand() {
  const { checks } = usePlan()
  const verdicts = useEvaluation().checks
  const found = verdicts.insulation === undefined ? undefined : insulation[verdicts.insulation]
  return (
    <section className="sheet mt-4" aria-labelledby="second-hand">
      <div className="flex flex-wrap items-end justify-between gap-3">
        <div>
          <h2 id="second-hand" tabIndex={-1} className="h-part">
            A second-hand motor
          </h2>
          <p className="lead">Tested on the bench before a drive is joined to it.</p>
        </div>
        <YesNoField path="checks.secondHand" label="It is second-hand" />
        <YesNoField path="checks.earthProved" />
      </div>
      {checks.secondHand === true && (
        <>
          <p className="mt-2 rounded-md border border-l-[6px] border-rule border-l-oxide px-3 py-2 text-[15px]">
            Five hundred volts ruin a drive in a moment: for these tests the motor’s leads are off the drive and lie
            free. The tester’s charge stays in the winding; short it to the frame afterwards.
          </p>
          <div className="mt-3 grid gap-x-6 gap-y-3 @wider:grid-cols-2">
            <div className="grid grid-cols-2 content-start gap-x-3 gap-y-2">
              <QuantityField path="checks.testMOhm" placeholder="40 MΩ" />
              <QuantityField path="checks.testC" placeholder="18 °C" />
              <div className="col-span-full grid grid-cols-3 gap-x-3">
                <QuantityField path="checks.phase1Ohm" placeholder="2.41 Ω" />
                <QuantityField path="checks.phase2Ohm" placeholder="2.44 Ω" />
                <QuantityField path="checks.phase3Ohm" placeholder="2.40 Ω" />
              </div>
              <p className="col-span-full text-[14px] leading-tight text-ink-2">
                With the links out phase by phase, else between each pair of leads; the meter’s own leads taken off.
              </p>
            </div>
            <div>
              <FigureTable
                heading="Passes"
                rows={[
                  {
                    label: 'Insulation at 40 °C',
                    id: 'checks.insulation',
                    note: (
                      <span className="flex flex-wrap items-center gap-x-2">
                        5 MΩ and over; floor 1 MΩ {found && <Mark kind={found.mark} word={found.says} />}
                      </span>
                    ),
                  },
                  {
                    label: 'Phases differ by',
                    id: 'checks.spread',
                    note: (
                      <>
                        at most 3 %{' '}
                        {verdicts.alike !== undefined && (
                          <Mark kind={verdicts.alike ? 'ok' : 'stop'} word={verdicts.alike ? 'Alike' : 'Not alike'} />
                        )}
                      </>
                    ),
                  },
                ]}
              />
            </div>
          </div>
          <div className="mt-3 grid gap-x-6 gap-y-2.5 @narrow:grid-cols-2">
            <Looked path="checks.bearings" passes="New ones, always: they cost less than an evening" />
            <Looked path="checks.spin" passes="Runs out quietly by hand; no rub, no end play" />
            <Looked path="checks.smell" passes="Clear or amber varnish, no sharp smell" />
            <Looked path="checks.starPoint" passes="Six ends out, if delta is wanted" />
          </div>
        </>
      )}
      <EntryHistory under="checks" name="What was tested and ticked, and when" />
    </section>
  )
}

function Looked({ path, passes }: { path: PlanPath; passes: string }) {
  return (
    <div>
      <ChoiceField path={path} />
      <p className="text-[14px] leading-tight text-ink-2">{passes}</p>
    </div>
  )
}
