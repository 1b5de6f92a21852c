import { fieldAt, messageText } from '@zesty/core'
import { takenKey } from '@zesty/core/measurements'
import {
  bandText,
  isExpected,
  judgeRunIn,
  type JudgedReading,
  type JudgedStage,
  type RunInVerdict,
} from '@zesty/core/run-in'
import { AskedReading } from '../../measurements/AskedReading'
import { ExpectedValue } from './ExpectedValue'
import { Mark, type MarkKind } from '../../parts/Mark'
import { Text } from '../../parts/Text'
import { goToField } from '../../state/goToField'
import { useUnits } from '../../state/units'

const marks: Partial<Record<RunInVerdict, { kind: MarkKind; word: string }>> = {
  good: { kind: 'ok', word: 'Good' },
  look: { kind: 'watch', word: 'Look' },
  stop: { kind: 'stop', word: 'Stop: nothing goes on' },
  'not-judged': { kind: 'open', word: 'Kept; not judged yet' },
}

/** What is read at one stage, with what it should be. */
export function StageReadings({ stage }: { stage: JudgedStage }) {
  return (
    <ul className="mt-2 grid items-start gap-x-5 gap-y-3 @narrow:grid-cols-2 @wide:grid-cols-3">
      {stage.readings.map((reading, i) => (
        <li key={reading.id} className={reading.causes.length > 0 ? 'col-span-full' : ''}>
          <OneReading stage={stage} reading={reading} before={stage.readings[i - 1]} />
        </li>
      ))}
    </ul>
  )
}

function OneReading({
  stage,
  reading,
  before,
}: {
  stage: JudgedStage
  reading: JudgedReading
  /** What was told of the reading before is not told again. */
  before: JudgedReading | undefined
}) {
  const units = useUnits()
  const { expected, row, dimension, label, value } = reading
  const toldBy = before && isExpected(before.expected) ? messageText(before.expected.by, units) : undefined
  return (
    <div className="max-w-[640px]">
      <AskedReading
        label={
          <>
            {label}
            {isExpected(expected) && <span className="font-normal">: {bandText(reading, units)}</span>}
          </>
        }
        row={row}
        dimension={dimension}
        value={value}
        note={stage.name}
        isOf={(other) => takenKey(other) === takenKey(row)}
        judged={(of) => {
          const mark = marks[judgeRunIn(reading, of)]
          return mark ? <Mark kind={mark.kind} word={mark.word} /> : null
        }}
      />
      {isExpected(expected) ? (
        <div className="text-[15px] text-ink-2">
          <span className="flex items-center gap-1">
            Expected <ExpectedValue label={label} dimension={dimension} expected={expected} />
          </span>
          {messageText(expected.by, units) !== toldBy && (
            <p>
              <Text said={expected.by} />
              {expected.typical && ' Rests on a planning value.'}
            </p>
          )}
        </div>
      ) : (
        <p className="text-[15px] text-ink-2">
          Not expected yet. {expected.because}
          {expected.missing.slice(0, 2).map((path) => (
            <button
              key={path}
              type="button"
              className="ml-1 min-h-11 font-semibold text-blue underline underline-offset-4 print:hidden"
              onClick={() => goToField(path)}
            >
              {fieldAt(path).label}
            </button>
          ))}
        </p>
      )}
      {reading.how !== undefined && reading.how !== before?.how && (
        <p className="text-[15px] text-ink-2">{reading.how}</p>
      )}
      <Causes reading={reading} />
    </div>
  )
}

/** What may be behind a reading that is off, the likeliest first, each with how to find out. */
function Causes({ reading: { causes } }: { reading: JudgedReading }) {
  if (causes.length === 0) return null
  const [first, ...others] = causes
  return (
    <div className="mt-1 rounded-md border border-brass bg-brass-wash px-3 py-2 text-[15px]">
      {first && (
        <>
          <p>
            <b>Likeliest:</b> <Text said={first.says} />
            {first.fits && ' That is what was read.'}
          </p>
          <p>
            <b>Find out:</b> {first.test}
          </p>
          <p>
            <b>Then:</b> {first.change}
          </p>
        </>
      )}
      {others.length > 0 && (
        <details>
          <summary className="min-h-11 content-center font-semibold text-blue">
            Or one of {others.length} others
          </summary>
          <ol className="list-decimal pl-5">
            {others.map((cause) => (
              <li key={cause.id} className="mt-1">
                <Text said={cause.says} /> {cause.test} {cause.change}
              </li>
            ))}
          </ol>
        </details>
      )}
    </div>
  )
}
