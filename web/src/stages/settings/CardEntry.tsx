import {
  answerLine,
  recordKey,
  readBackLine,
  unanswerLine,
  whyRefused,
  type CardLine,
  type LineAnswer,
} from '@zesty/core/settings'
import { Check, Undo2, X } from 'lucide-react'
import { useState, type ReactNode } from 'react'
import { KeptInput } from '../../parts/KeptInput'
import { Labelled } from '../../parts/Labelled'
import { Text } from '../../parts/Text'
import { useEvaluation } from '../../state/evaluation'
import { useChange, usePlan } from '../../state/openPlan'
import { today } from '../../parts/today'

const fromWords = { read: 'read', entered: 'entered', default: 'as it comes' } as const

/** One line of the card: what to type, and what became of it. What is pressed to answer it stands beside its head. */
export function CardEntry({
  line,
  place,
  open,
  beside,
}: {
  line: CardLine
  place: number
  open: boolean
  beside?: ReactNode
}) {
  const { code, value, words, means, from, fromBy, why, menu, keys, problem } = line
  const refused = line.record?.answer === 'refused'
  return (
    <div className="flex items-start gap-3">
      <span className="hidden w-[26px] shrink-0 pt-1 font-cond text-[18px] font-semibold text-ink-2 @narrow:block print:block">
        {place}
      </span>
      <div className="min-w-0 flex-1">
        <div className="flex flex-wrap items-baseline gap-x-3 gap-y-0.5">
          {code !== undefined && <b className="font-cond text-[22px] leading-tight font-semibold">{code}</b>}
          <b className="rounded border border-manila-edge bg-manila px-2 font-cond text-[24px] leading-tight font-semibold">
            {value}
          </b>
          <h3 className="min-w-0 leading-tight font-semibold">{words}</h3>
          {line.chosen === true && <span className="text-[14px] text-brass">changed by you</span>}
          {refused && <b className="text-[15px] text-oxide">refused</b>}
          {line.stale === true && <b className="text-[15px] text-brass">entered as {line.record?.value}</b>}
        </div>
        <p className="mt-0.5 text-[15px] leading-tight text-ink-2">
          {means.length > 0 && (
            <>
              <span className="text-ink">
                <Text said={means} />
              </span>
              {'. '}
            </>
          )}
          <Text said={why} />{' '}
          {from === undefined ? 'What it holds is not known.' : `Now ${from}${fromBy ? `, ${fromWords[fromBy]}` : ''}.`}
          {menu === undefined ? '' : ` Menu: ${menu}.`}
          {line.atFirstPower === true ? ' It may ask for this at first power.' : ''}
          {line.onlyStopped === true ? ' Only while it stands.' : ''}
          {line.onlyUnplugged === true ? ' Remote station unplugged.' : ''}
          {line.byPosition === true ? ' It changes with the belt: see the change-over card.' : ''}
        </p>
        {keys !== undefined && open && <p className="mt-0.5 text-[15px]">Keys: {keys}.</p>}
        {line.caution !== undefined && open && (
          <p className="mt-1 flex gap-2 rounded bg-brass-wash px-2 py-1 text-[15px]">
            <b className="text-brass">Watch</b>
            <span>{line.caution}</span>
          </p>
        )}
        {problem && (
          <p className="mt-1 flex gap-2 rounded bg-oxide-wash px-2 py-1 text-[15px]">
            <b className="text-oxide">Cannot be entered so</b>
            <span>
              <Text said={problem.says} />
            </span>
          </p>
        )}
      </div>
      {beside}
    </div>
  )
}

/** What may be answered to a line, and what was read of it; a refusal says why it may have been, and what clears it. */
export function CardAnswers({ line, onDone }: { line: CardLine; onDone?: () => void }) {
  const plan = usePlan()
  const change = useChange()
  const { settings } = useEvaluation()
  const [said, setSaid] = useState(line.record?.said ?? '')
  const answer = (given: LineAnswer['answer'], words: string) => {
    change(
      `${line.code ?? line.words}: ${words}`,
      answerLine(plan, settings, line, { answer: given, said: said.trim(), on: today() }),
    )
    onDone?.()
  }
  const refused = line.record?.answer === 'refused'
  return (
    <div className="mt-1.5 @narrow:ml-[38px] print:hidden">
      <div className="flex flex-wrap items-end gap-2">
        {line.problem === undefined && (
          <button type="button" className="btn btn-main" onClick={() => answer('entered', 'entered')}>
            <Check size={18} aria-hidden="true" /> Entered
          </button>
        )}
        <button type="button" className="btn" onClick={() => answer('refused', 'refused')}>
          <X size={18} aria-hidden="true" /> Refused
        </button>
        <Labelled label="The drive said" className="w-40">
          {(id) => (
            <input id={id} className="field" maxLength={120} value={said} onChange={(e) => setSaid(e.target.value)} />
          )}
        </Labelled>
        <ReadBackField line={line} />
        {line.record !== undefined && (
          <button
            type="button"
            className="btn"
            onClick={() => change(`${line.code ?? line.words}: not answered`, unanswerLine(plan, line))}
          >
            <Undo2 size={18} aria-hidden="true" /> Take back
          </button>
        )}
      </div>
      {refused && <Refusal line={line} />}
    </div>
  )
}

/** Why a drive may have refused a line, and what clears each. */
function Refusal({ line }: { line: CardLine }) {
  const plan = usePlan()
  const { settings } = useEvaluation()
  const reasons = whyRefused(plan, settings, line)
  return (
    <div className="mt-2 rounded border border-oxide p-2">
      <h4 className="font-semibold">It was refused. What it may be, likeliest first</h4>
      <ol className="ml-5 list-decimal text-[15px]">
        {reasons.map(({ why, says, clears, certain }, i) => (
          <li key={`${why}${i}`} className="mt-1">
            {certain && <b>By its manual now: </b>}
            {says} <span className="font-semibold">{clears}</span>
          </li>
        ))}
      </ol>
    </div>
  )
}

/** What was read back of a line, as the drive writes it. */
export function ReadBackField({
  line,
  label = 'Read back',
  bare = false,
}: {
  line: CardLine
  label?: string
  bare?: boolean
}) {
  const plan = usePlan()
  const change = useChange()
  const { settings } = useEvaluation()
  const held = plan.settings.entered?.[recordKey(line)]?.readBack ?? ''
  const keep = (text: string) =>
    change(`${line.code ?? line.words} read back`, readBackLine(plan, settings, line, text, today()).patch)
  const strange =
    held !== '' && line.settings.length > 0 && line.settings.every((id) => plan.settings.inDrive[id] === undefined)
  const field = (id?: string) => (
    <>
      <KeptInput
        id={id}
        className="field w-32"
        maxLength={40}
        placeholder="not read yet"
        aria-label={bare ? label : undefined}
        held={held}
        onKeep={keep}
      />
      {strange && (
        <span role="alert" className="block text-[14px] text-oxide">
          Not one of its values. It is kept as read.
        </span>
      )}
    </>
  )
  return bare ? field() : <Labelled label={label}>{field}</Labelled>
}
