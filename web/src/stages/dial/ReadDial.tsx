import { dialScale, type DialPosition } from '@zesty/core/dial'
import { AskedReading } from '../../measurements/AskedReading'
import { useReadings } from '../../measurements/useReadings'
import { Mark } from '../../parts/Mark'
import { Text } from '../../parts/Text'
import { usePrint } from '../../parts/usePrint'
import { useChange, usePlan } from '../../state/openPlan'
import { DialChart } from './DialChart'

const MARKS = 10

/** The dial read mark by mark on one position, and what the readings come to. */
export function ReadDial({ position }: { position: DialPosition }) {
  const plan = usePlan()
  const change = useChange()
  const print = usePrint()
  const { readings } = useReadings()
  const { from, to } = dialScale(plan.dial)
  const marks = Array.from({ length: MARKS + 1 }, (_, i) => Math.round((from + ((to - from) * i) / MARKS) * 100) / 100)
  const { fit, ratio, read, planned, stale, advice } = position
  const odd = new Set(fit?.outliers.map((o) => o.dial) ?? [])
  const newest = (mark: number) =>
    readings.filter((r) => r.kind === 'spindle-speed' && r.dial === mark && r.positionId === position.id).at(-1)?.value
  return (
    <>
      <ul className="mt-2 grid grid-cols-2 gap-x-4 gap-y-2 @narrow:grid-cols-3 @wide:grid-cols-6">
        {marks.map((mark) => (
          <li key={mark}>
            <AskedReading
              label={`Mark ${mark}, rpm`}
              row={{ kind: 'spindle-speed', dial: mark, positionId: position.id }}
              dimension="speed"
              value={newest(mark)}
              note="The dial read"
              isOf={(r) => r.kind === 'spindle-speed' && r.dial === mark && r.positionId === position.id}
              judged={(value) =>
                value !== undefined && odd.has(mark) ? <Mark kind="watch" word="Left out: read again" /> : null
              }
            />
          </li>
        ))}
      </ul>
      {fit && read ? (
        <>
          <DialChart position={position} />
          <p>
            {fit.straight ? 'A straight line' : 'No straight line fits: it goes from mark to mark'}, every reading that
            belongs within {print('speed', fit.maxErrorRpm)}. From {print('speed', Math.max(0, read.fromRpm))} at mark{' '}
            {from} to {print('speed', read.toRpm)} at mark {to}
            {planned ? `; settings and pulleys make it ${print('speed', planned.toRpm)}` : ''}.
          </p>
          {fit.outliers.length > 0 && (
            <p>
              <b>Left out:</b> {fit.outliers.map((o) => `mark ${o.dial} with ${print('speed', o.rpm)}`).join('; ')}.
              Read again, and take the wrong ones away.
            </p>
          )}
          {ratio && (
            <p className="text-[15px] text-ink-2">
              The spindle turns {ratio.effective.toFixed(3)} for one of the field
              {ratio.slip === undefined
                ? ''
                : `: ${Math.abs(ratio.slip * 100).toFixed(1)} % ${ratio.slip >= 0 ? 'less' : 'more'} than the pulleys make`}
              .
            </p>
          )}
          {stale && (
            <p className="font-medium text-brass">
              These readings are of other hertz or another pulley than the plan has now. Read the dial again.
            </p>
          )}
          {advice.length > 0 && (
            <>
              <h3 className="mt-2 font-semibold">So that it reads round numbers</h3>
              <ul>
                {advice.map((one) => (
                  <li key={one.id} className="flex flex-wrap items-center gap-2 border-b border-rule py-1">
                    <span className="min-w-0 flex-1 basis-[280px]">
                      <Text said={one.says} />
                    </span>
                    {one.patch && (
                      <button
                        type="button"
                        className="btn"
                        onClick={() => one.patch && change('The end of the dial at a round number', one.patch)}
                      >
                        Plan it
                      </button>
                    )}
                  </li>
                ))}
              </ul>
            </>
          )}
        </>
      ) : (
        <p className="mt-2 text-[15px] text-ink-2">
          Three marks or more make a dial; ten make a good one. Let it settle at each mark; a tachometer at the end of
          the spindle, sleeves tight.
        </p>
      )}
    </>
  )
}
