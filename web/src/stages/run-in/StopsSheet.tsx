import { withKey } from '@zesty/core'
import type { Reading } from '@zesty/core/measurements'
import { isExpected, isOfStop, judgeRunIn, type StopStep } from '@zesty/core/run-in'
import { ShieldAlert } from 'lucide-react'
import { AskedReading } from '../../measurements/AskedReading'
import { ExpectedValue } from './ExpectedValue'
import { Mark } from '../../parts/Mark'
import { Text } from '../../parts/Text'
import { usePrint } from '../../parts/usePrint'
import { goToField } from '../../state/goToField'
import { useChange, usePlan } from '../../state/openPlan'
import { usePart } from '../../parts/usePart'

/** The emergency stop, timed in steps; a step opens when those before it of the same thing are through. */
export function StopsSheet() {
  const { stop } = usePart('runIn')
  const plan = usePlan()
  const through = (step: StopStep) =>
    step.read !== undefined && (!step.witness || plan.runIn.witness?.[step.id] === 'stands')
  const isOpen = (step: StopStep, i: number) =>
    stop.steps
      .slice(0, i)
      .filter(
        (before) => before.positionId === step.positionId && (before.of === step.of || before.holder === undefined),
      )
      .every(through)
  const [next] = stop.steps.filter((step, i) => isOpen(step, i) && !through(step))
  return (
    <section className="sheet mt-3" aria-labelledby="stops">
      <h2 id="stops" tabIndex={-1} className="h-part">
        Emergency stop, timed
      </h2>
      {stop.way === undefined ? (
        <p>
          No emergency stop is planned, so there is none to time.{' '}
          <button
            type="button"
            className="min-h-11 font-semibold text-blue underline underline-offset-4"
            onClick={() => goToField('controls.emergencyStop')}
          >
            Plan one
          </button>
        </p>
      ) : (
        <>
          <p className="lead">
            {stop.way}: {stop.brakes ? 'the drive brakes' : 'it coasts'}. The bare spindle first, then each thing from
            its lowest speed up, and never over its own limit.
          </p>
          <p className="mb-2 flex gap-2 rounded-md border border-oxide bg-oxide-wash px-3 py-2 font-medium">
            <ShieldAlert size={20} className="mt-0.5 shrink-0 text-oxide" aria-hidden="true" />
            Guards shut, nobody in the plane of what spins, one hand at the isolator. A mushroom is no isolation: after
            each stop off, locked and dead before anybody touches.
          </p>
          <ol>
            {stop.steps.map((step, i) => (
              <Step
                key={step.id}
                step={step}
                open={step === next || step.read !== undefined}
                waits={!isOpen(step, i)}
              />
            ))}
          </ol>
          {stop.left.map(({ of, says, missing }, i) => (
            <p key={i} className="mt-2 text-[15px]">
              <b>
                {of.charAt(0).toUpperCase()}
                {of.slice(1)}:
              </b>{' '}
              not timed. <Text said={says} />
              {missing[0] !== undefined && (
                <button
                  type="button"
                  className="ml-1 min-h-11 font-semibold text-blue underline underline-offset-4"
                  onClick={() => missing[0] && goToField(missing[0])}
                >
                  Say it
                </button>
              )}
            </p>
          ))}
        </>
      )}
    </section>
  )
}

function Step({ step, open, waits }: { step: StopStep; open: boolean; waits: boolean }) {
  const print = usePrint()
  const { seconds, pull } = step
  const row = { of: step.of, positionId: step.positionId, fromRpm: step.fromRpm }
  const note = `Emergency stop, ${step.of}`
  const isOfThis = isOfStop(step)
  const isOf =
    (kind: Reading['kind']) =>
    (r: Reading): boolean =>
      r.kind === kind && isOfThis(r)
  return (
    <li className="break-inside-avoid border-t border-rule py-2">
      <div className="flex flex-wrap items-baseline gap-x-3">
        <span className="font-semibold">
          {step.of.charAt(0).toUpperCase()}
          {step.of.slice(1)} from {print('speed', step.fromRpm)}
        </span>
        <span className="text-[15px] text-ink-2">
          {step.positionName},{' '}
          {step.hz === undefined ? `${print('speed', step.motorRpm)} of the motor` : print('frequency', step.hz)}
          {isExpected(seconds) ? (
            <>
              ; <ExpectedValue label="Seconds to rest" dimension="time" expected={seconds} /> and{' '}
              {Math.round(step.turns ?? 0)} turns expected
            </>
          ) : (
            '; nothing can be expected yet'
          )}
        </span>
        {waits && <span className="ml-auto text-[15px] text-ink-2">after those before it</span>}
      </div>
      {pull && (
        <p className="text-[15px] text-ink-2">
          It pulls at its thread with {print('torque', pull.torqueNm)}; the most is {print('torque', pull.permittedNm)}.
        </p>
      )}
      {step.trips && (
        <p className="text-[15px] font-medium text-brass">
          So short a stop trips the drive: under {print('time', step.trips.shortestS)} it lets go, and coasts about{' '}
          {print('time', step.trips.coastS)}.
        </p>
      )}
      {step.wheel && (
        <p className="text-[15px] font-medium">Ring test, blotters, guard shut; one minute from aside before each.</p>
      )}
      {open && (
        <div className="mt-1 grid max-w-[560px] grid-cols-2 gap-x-4 gap-y-1">
          <div>
            <AskedReading
              label="Seconds to rest"
              row={{ kind: 'emergency-stop', ...row }}
              dimension="time"
              value={step.read?.seconds}
              note={note}
              isOf={isOf('emergency-stop')}
              judged={(of) => {
                const verdict = judgeRunIn({ expected: seconds }, of)
                return verdict === 'good' ? (
                  <Mark kind="ok" word="As computed" />
                ) : verdict === 'look' ? (
                  <Mark kind="watch" word="Otherwise than computed" />
                ) : null
              }}
            />
          </div>
          <div>
            <AskedReading
              label="Turns, where counted"
              row={{ kind: 'stop-turns', ...row }}
              dimension="number"
              value={step.read?.turns}
              note={note}
              isOf={isOf('stop-turns')}
              judged={() => null}
            />
          </div>
          {step.witness && step.read !== undefined && <Witness id={step.id} />}
        </div>
      )}
    </li>
  )
}

/** Looked at dead after a stop: moved is a stop. */
function Witness({ id }: { id: string }) {
  const plan = usePlan()
  const change = useChange()
  const answer = plan.runIn.witness?.[id]
  return (
    <div
      className="col-span-full flex flex-wrap items-center gap-x-3"
      role="group"
      aria-label="Marks across chuck and nose"
    >
      <span>Dead and locked: do the marks across chuck and nose meet?</span>
      {(['stands', 'moved'] as const).map((value) => (
        <button
          key={value}
          type="button"
          className="btn btn-toggle"
          aria-pressed={answer === value}
          onClick={() =>
            change('Marks looked at', [
              { path: 'runIn.witness', value: withKey(plan.runIn.witness, id, answer === value ? undefined : value) },
            ])
          }
        >
          {value === 'stands' ? 'They meet' : 'It moved'}
        </button>
      ))}
      {answer === 'moved' && (
        <span className="basis-full font-medium text-oxide">
          Stop. A longer ramp or coast; seat it again; then from the lowest speed anew.
        </span>
      )}
    </div>
  )
}
