import {
  fieldAt,
  MAINS_WORK,
  milestones,
  tally,
  tallyWords,
  type Finding,
  type Remedy,
  type Severity,
  type StageId,
} from '@zesty/core'
import { memo, useState } from 'react'
import { shallowEqual } from 'react-redux'
import { useAppDispatch, useAppSelector } from '../state/store'
import { FigureValue } from '../parts/FigureValue'
import { Mark } from '../parts/Mark'
import { goToField } from '../state/goToField'
import { Text } from '../parts/Text'
import { selectEvaluation, useEvaluation } from '../state/evaluation'
import { useOffers } from '../state/offers'
import { RemedyButtons } from './RemedyButtons'
import { overlayChanged } from '../state/screenSlice'

const sentence = (words: string) => `${words.charAt(0).toUpperCase()}${words.slice(1)}.`

const bar: Record<Severity, string> = { stop: 'border-l-oxide', watch: 'border-l-brass', note: 'border-l-blue' }

/** What is wrong or worth knowing, stops first; this stage's before the others'. */
export function Findings({ stage, folded = false }: { stage: StageId; folded?: boolean }) {
  const { findings, firstSteps, judged } = useEvaluation()
  const offers = useOffers()
  const dispatch = useAppDispatch()
  const [all, setAll] = useState(true)
  const shown = all ? findings : findings.filter((f) => f.stage === stage)
  const count = (severity: Severity) => findings.filter((f) => f.severity === severity).length
  const begun = firstSteps.some((s) => s.done)
  return (
    <aside
      aria-label="Findings"
      id="findings"
      className={`flex -scroll-mt-11 flex-col gap-2.5 border-rule bg-[color-mix(in_srgb,var(--paper)_60%,var(--card))] px-3 py-3.5 max-lg:border-t lg:overflow-auto lg:border-l ${folded ? 'lg:hidden print:flex' : ''}`}
      tabIndex={-1}
    >
      <div className="flex items-center gap-3">
        <h2 className="h-part">Findings</h2>
        {(['stop', 'watch', 'note'] as const).map(
          (s) => count(s) > 0 && <Mark key={s} kind={s} word={String(count(s))} />,
        )}
        <button
          type="button"
          aria-pressed={!all}
          className="btn btn-quiet ml-auto px-2.5 text-[14px]"
          onClick={() => setAll(!all)}
        >
          {all ? 'All stages' : 'This stage'}
        </button>
      </div>
      {begun && (
        <button
          type="button"
          className="min-h-11 text-left text-[15px] leading-tight text-ink-2 underline underline-offset-4"
          onClick={() => dispatch(overlayChanged('judged'))}
        >
          {tallyWords(tally(judged))}
        </button>
      )}
      {shown.length === 0 && (
        <p className="lead">
          {findings.length > 0
            ? 'Nothing on this stage.'
            : begun
              ? 'Nothing found in what is known so far.'
              : 'What is wrong, and how to mend it, appears here as you type.'}
        </p>
      )}
      {shown
        .filter((f) => !shown.some((cause) => cause.id === f.follows))
        .map((f) => (
          <FindingCard
            key={f.id}
            stage={stage}
            finding={f}
            effects={shown.filter((effect) => effect.follows === f.id)}
            remedies={offers.of(f.id)}
            tried={offers.isTried(f.id)}
          />
        ))}
    </aside>
  )
}

interface CardProps {
  /** The one that is open. */
  stage: StageId
  finding: Finding
  /** What follows from it, and goes with it. */
  effects: Finding[]
  remedies: Remedy[]
  /** Whether they were tried since the last change. */
  tried: boolean
}

function isSameCard(a: CardProps, b: CardProps): boolean {
  return (
    a.stage === b.stage &&
    a.finding === b.finding &&
    a.tried === b.tried &&
    shallowEqual(a.effects, b.effects) &&
    shallowEqual(a.remedies, b.remedies)
  )
}

/** Shown anew only where what it shows is another: the lists of what follows from it are made anew each time. */
const FindingCard = memo(function FindingCard({ stage: openStage, finding, effects, remedies, tried }: CardProps) {
  const { id, severity, title, says, why, figures, path, due, by } = finding
  const labels = useAppSelector((state) => figures.map((f) => selectEvaluation(state).figures[f]?.label), shallowEqual)
  const known = figures.filter((_, i) => labels[i] !== undefined)
  return (
    <article
      data-finding={id}
      tabIndex={-1}
      className={`rounded-md border border-l-[6px] border-rule bg-card px-3 pt-2 pb-2.5 ${due ? bar[severity] : 'border-dashed'}`}
    >
      <div className="flex flex-wrap items-baseline gap-x-3">
        <Mark kind={severity} word />
        {!due && <span className="text-[14px] text-ink-2">not due yet: by {milestones[by].toLowerCase()}</span>}
      </div>
      <h3 className="font-cond text-[18px] leading-tight font-semibold">
        <Text said={title} />
      </h3>
      <p className="mt-1 text-[15px] leading-[1.32]">
        <Text said={says} />
      </p>
      <p className="mt-1 text-[15px] leading-[1.32] text-ink-2">{why}</p>
      {remedies.length > 0 && (
        <RemedyButtons
          remedies={remedies}
          tried={tried}
          onTaken={({ patch: [first] }) => {
            // Where it can be seen, what changed is shown; the card that was pressed is gone.
            if (first && fieldAt(first.path).stage === openStage) goToField(first.path)
            else document.getElementById('findings')?.focus({ preventScroll: true })
          }}
        />
      )}
      {remedies.some((r) => r.mains) && <p className="mt-1 text-[14px] text-ink-2">{sentence(MAINS_WORK)}</p>}
      {effects.length > 0 && (
        <div className="mt-2 border-t border-rule pt-1.5">
          <p className="label">Follows from it</p>
          <ul>
            {effects.map((effect) => (
              <li key={effect.id} data-finding={effect.id} tabIndex={-1} className="mt-1 text-[15px] leading-[1.3]">
                <Mark kind={effect.severity} />{' '}
                <h4 className="inline font-cond text-[16px] font-semibold">
                  <Text said={effect.title} />.
                </h4>{' '}
                <Text said={effect.says} />
              </li>
            ))}
          </ul>
        </div>
      )}
      {(known.length > 0 || path) && (
        <div className="mt-0.5 flex flex-wrap items-center gap-x-2 text-[15px]">
          {path && (
            <button
              type="button"
              className="min-h-11 pr-1 font-semibold text-blue underline underline-offset-4"
              onClick={() => goToField(path)}
            >
              To the field
            </button>
          )}
          {known.length > 0 && (
            <span className="flex flex-wrap items-center text-ink-2">
              {known.slice(0, 2).map((f) => (
                <span key={f} className="inline-flex flex-wrap items-center">
                  {labels[figures.indexOf(f)]}
                  <FigureValue id={f} className="!min-w-0 !text-ink" />
                </span>
              ))}
            </span>
          )}
        </div>
      )}
    </article>
  )
}, isSameCard)
