import { withKey } from '@zesty/core'
import { seenKey, type JudgedStage, type RunInStageState, type SeenItem } from '@zesty/core/run-in'
import { ShieldAlert } from 'lucide-react'
import { useState } from 'react'
import { Mark, type MarkKind } from '../../parts/Mark'
import { today } from '../../parts/today'
import { usePrint } from '../../parts/usePrint'
import { useEvaluation } from '../../state/evaluation'
import { useChange, usePlan } from '../../state/openPlan'
import { StageReadings } from './StageReadings'
import { usePart } from '../../parts/usePart'

const marks: Record<RunInStageState, { kind: MarkKind; word: string }> = {
  open: { kind: 'open', word: 'Open' },
  good: { kind: 'ok', word: 'Read, hold point open' },
  look: { kind: 'watch', word: 'Look' },
  stop: { kind: 'stop', word: 'Stop' },
  passed: { kind: 'done', word: 'Passed' },
}

/** The stages of the run-in with their hold points; the first that is not passed stands open. */
export function RunInSheet() {
  const { stages } = usePart('runIn')
  const { findings } = useEvaluation()
  // What the run-in itself found stands at its reading.
  const stops = findings.filter((f) => f.severity === 'stop' && f.follows === undefined && f.stage !== 'run-in').length
  const [chosen, setChosen] = useState<string>()
  const next = stages.find((s) => s.state !== 'passed')
  const passed = stages.filter((s) => s.state === 'passed').length
  const openId = chosen ?? next?.id
  if (stages.length === 0)
    return (
      <section className="sheet" aria-labelledby="sheet">
        <h2 id="sheet" tabIndex={-1} className="h-part">
          Run-in sheet
        </h2>
        <p>It is made from motor, drive and belts. Type those first; then each reading has its expected value here.</p>
      </section>
    )
  return (
    <section className="rounded-lg border border-manila-edge bg-card" aria-labelledby="sheet">
      <div className="flex flex-wrap items-baseline gap-x-3 rounded-t-lg border-b border-dashed border-manila-edge bg-manila px-3.5 py-2">
        <h2 id="sheet" tabIndex={-1} className="h-part">
          Run-in sheet
        </h2>
        <span className="text-[15px]">
          {passed} of {stages.length} hold points passed
          {next ? `; next: ${next.name}` : '. All through.'}
        </span>
      </div>
      <p className="border-b border-rule px-3.5 py-2 text-[15px]">
        Each expected value is computed for this machine at that setting. Clips and clamps go on dead; covers stay shut.
        One that is off is found at this stage, before the next adds more that it may be.
      </p>
      {stops > 0 && (
        <p className="flex items-center gap-2 border-b border-rule bg-oxide-wash px-3.5 py-2 font-medium">
          <Mark kind="stop" />
          {stops === 1 ? 'A stop is open' : `${stops} stops are open`} among the findings: nothing turns until
          {stops === 1 ? ' it is' : ' they are'} cleared.
        </p>
      )}
      <ol>
        {stages.map((stage, i) => (
          <li key={stage.id} className="break-inside-avoid border-b border-rule last:border-b-0">
            <button
              type="button"
              className="flex min-h-12 w-full flex-wrap items-center gap-x-3 px-3.5 py-1.5 text-left"
              aria-expanded={openId === stage.id}
              onClick={() => setChosen(openId === stage.id ? '' : stage.id)}
            >
              <span className="w-6 font-cond text-[20px] font-semibold tabular-nums">{i + 1}</span>
              <span className="font-semibold">{stage.name}</span>
              <span className="ml-auto flex items-center gap-2">
                {stage.passed !== undefined && stage.state === 'passed' && (
                  <span className="text-[15px] text-ink-2">{stage.passed}</span>
                )}
                <Mark {...marks[stage.state]} />
              </span>
            </button>
            {openId === stage.id && <OpenStage stage={stage} onPassed={() => setChosen(undefined)} />}
          </li>
        ))}
      </ol>
    </section>
  )
}

function OpenStage({ stage, onPassed }: { stage: JudgedStage; onPassed: () => void }) {
  const plan = usePlan()
  const change = useChange()
  const print = usePrint()
  const pass = (day: string | undefined) =>
    change(day === undefined ? `${stage.name}: hold point open again` : `${stage.name}: hold point passed`, [
      { path: 'runIn.passed', value: withKey(plan.runIn.passed, stage.id, day) },
    ])
  const setTo =
    stage.hz !== undefined
      ? print('frequency', stage.hz)
      : stage.motorRpm === undefined
        ? undefined
        : print('speed', stage.motorRpm)
  const isThrough = stage.left === 0 && stage.state === 'good'
  return (
    <div className="border-t border-rule bg-paper px-3.5 py-3">
      <div className="flex flex-wrap items-start gap-x-6 gap-y-2">
        {setTo !== undefined && (
          <p className="font-cond leading-none">
            <span className="block text-[34px] font-semibold tabular-nums">{setTo}</span>
            <span className="text-[15px]">
              {[stage.hz === undefined ? 'of the motor' : undefined, stage.position?.name, stage.holder?.name]
                .filter((w) => w !== undefined)
                .join(', ') || 'belt off'}
            </span>
          </p>
        )}
        <ul className="max-w-[620px] min-w-0 flex-1 list-disc pl-5">
          {stage.do.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </ul>
      </div>
      {stage.caution !== undefined && (
        <p className="mt-2 flex gap-2 rounded-md border border-oxide bg-oxide-wash px-3 py-2 font-medium">
          <ShieldAlert size={20} className="mt-0.5 shrink-0 text-oxide" aria-hidden="true" />
          {stage.caution}
        </p>
      )}
      <StageReadings stage={stage} />
      {stage.seen.length > 0 && (
        <ul className="mt-3 flex flex-col gap-2">
          {stage.seen.map((item) => (
            <Seen key={item.id} stage={stage} item={item} />
          ))}
        </ul>
      )}
      <div className="mt-3 flex flex-wrap items-center gap-3 border-t border-dashed border-edge pt-3">
        <span>
          <b>Hold point.</b> {stage.hold}
        </span>
        {stage.passed === undefined ? (
          <button
            type="button"
            className="btn btn-main ml-auto"
            disabled={!isThrough}
            onClick={() => {
              pass(today())
              onPassed()
            }}
          >
            {isThrough
              ? 'Passed: go on'
              : stage.left > 0
                ? `${stage.left} still to read or see`
                : 'Not with what is off'}
          </button>
        ) : (
          <button type="button" className="btn btn-quiet ml-auto" onClick={() => pass(undefined)}>
            Open it again
          </button>
        )}
      </div>
    </div>
  )
}

/** Looked at, heard or felt: as it should be, or not. */
function Seen({ stage, item }: { stage: JudgedStage; item: SeenItem }) {
  const plan = usePlan()
  const change = useChange()
  const key = seenKey(stage, item)
  const answer = plan.runIn.seen?.[key]
  const say = (value: 'good' | 'bad') =>
    change(`${stage.name}: looked at`, [
      { path: 'runIn.seen', value: withKey(plan.runIn.seen, key, answer === value ? undefined : value) },
    ])
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1">
      <span className="max-w-[560px] min-w-0 flex-1 basis-[260px]">{item.ask}</span>
      <span className="flex gap-1.5" role="group" aria-label={item.ask}>
        {(['good', 'bad'] as const).map((value) => (
          <button
            key={value}
            type="button"
            className="btn btn-toggle"
            aria-pressed={answer === value}
            onClick={() => say(value)}
          >
            {value === 'good' ? 'Yes' : 'No'}
          </button>
        ))}
      </span>
      {answer === 'bad' && (
        <span className="basis-full text-[15px] font-medium text-oxide">
          {item.stops ? 'Stop. ' : ''}
          {item.ifBad}
        </span>
      )}
    </li>
  )
}
