import {
  answers,
  answerWords,
  askedOf,
  milestones,
  stageIds,
  stages,
  tally,
  tallyWords,
  type JudgedLine,
} from '@zesty/core'
import { ToggleGroup } from 'radix-ui'
import { useState } from 'react'
import { ChoiceField } from '../parts/ChoiceField'
import { Mark, type MarkKind } from '../parts/Mark'
import { Overlay } from '../parts/Overlay'
import { Text } from '../parts/Text'
import { useEvaluation } from '../state/evaluation'
import { goToField } from '../state/goToField'
import { usePlan } from '../state/openPlan'
import { focusFinding } from './focusFinding'

type Shown = 'due' | JudgedLine['answer'] | 'all'

const shows: Record<Shown, string> = { due: 'Due now', ...answers, all: 'All' }

const isShown = (line: JudgedLine, shown: Shown): boolean =>
  shown === 'all' || (shown === 'due' ? line.answer === 'cannot-be-judged' && line.due : line.answer === shown)

const markOf = ({ answer, severity = 'note' }: JudgedLine): MarkKind =>
  answer === 'found' ? severity : answer === 'good' ? 'ok' : 'open'

/** Everything that was asked of the plan, by stage, with each answer. */
export function JudgedDialog({ onClose }: { onClose: () => void }) {
  const { judged, comesNext } = useEvaluation()
  const said = usePlan().survey.comesNext
  const counts = tally(judged)
  const [shown, setShown] = useState<Shown>(counts.due > 0 ? 'due' : 'all')
  const lines = judged.filter((line) => isShown(line, shown))
  return (
    <Overlay
      title="What was judged"
      says={`${tallyWords(counts)}; ${counts.doesNotApply} do not apply here.`}
      open
      onClose={onClose}
      wide
    >
      <ChoiceField path="survey.comesNext" />
      {said === undefined && (
        <p className="lead -mt-2">Taken to be {milestones[comesNext].toLowerCase()}, as far as the plan shows it.</p>
      )}
      <ToggleGroup.Root
        type="single"
        aria-label="Which answers"
        value={shown}
        onValueChange={(to) => to !== '' && setShown(to as Shown)}
        className="flex flex-wrap gap-1.5"
      >
        {Object.entries(shows).map(([value, word]) => (
          <ToggleGroup.Item
            key={value}
            value={value}
            className="btn btn-quiet px-3 text-[15px] data-[state=on]:border-ink data-[state=on]:bg-blue-wash"
          >
            {word} {judged.filter((line) => isShown(line, value as Shown)).length}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      {lines.length === 0 && <p className="lead">Nothing of that kind.</p>}
      {stageIds.map((stage) => {
        const here = lines.filter((line) => line.stage === stage)
        if (here.length === 0) return null
        return (
          <section key={stage} aria-label={stages[stage].name}>
            <h3 className="h-part border-b border-rule pb-1">{stages[stage].name}</h3>
            <ul>
              {here.map((line) => (
                <JudgedRow key={line.id} line={line} onClose={onClose} />
              ))}
            </ul>
          </section>
        )
      })}
    </Overlay>
  )
}

function JudgedRow({ line, onClose }: { line: JudgedLine; onClose: () => void }) {
  const plan = usePlan()
  const { id, answer, by, due, missing } = line
  const [first] = missing
  // After the dialog has given the focus back, so that where we jump keeps it.
  const jump = (go: () => void) => () => {
    onClose()
    setTimeout(go, 60)
  }
  return (
    <li className="grid grid-cols-[auto_1fr_auto] items-center gap-x-2.5 border-b border-rule py-1.5">
      <Mark kind={markOf(line)} silent={answer !== 'found'} />
      <div className="min-w-0">
        <p className="font-cond text-[17px] leading-tight font-semibold">
          {askedOf(plan, line)}
          {answer === 'cannot-be-judged' && (
            <span className={`ml-2 text-[14px] font-medium ${due ? 'text-brass' : 'text-ink-2'}`}>
              {due ? 'due now' : `by: ${milestones[by].toLowerCase()}`}
            </span>
          )}
        </p>
        <p className="text-[15px] leading-[1.3] text-ink-2">
          <Text said={answerWords(line)} />
        </p>
      </div>
      {answer === 'found' ? (
        <button type="button" className="btn btn-quiet text-[15px]" onClick={jump(() => focusFinding(id))}>
          Show
        </button>
      ) : first === undefined ? (
        <span />
      ) : (
        <button type="button" className="btn btn-quiet text-[15px]" onClick={jump(() => goToField(first))}>
          To the field
        </button>
      )}
    </li>
  )
}
