import { describe, expect, test } from '@jest/globals'
import { evaluate, type Evaluation } from '../src/evaluate/evaluate'
import type { Plan } from '../src/plan'
import { messageText } from '../src/quantities'
import { demoPlans } from './demoPlans'
import { mistakes, soundPlan, spoiled } from './mistakes'

/**
 * What every plan of the tests comes to, kept as it was when it was last looked at: a change of any figure, setting or
 * verdict of a link shows here, on the plan on which it shows. Told anew, on purpose, with jest's `-u`.
 */

const rounded = (value: number | string): string =>
  typeof value === 'number' ? String(Number(value.toPrecision(6))) : value

/** Everything an evaluation says beside its findings, a line for each thing. */
function told(evaluation: Evaluation): Record<string, string> {
  const lines: Record<string, string> = {}
  for (const [id, figure] of Object.entries(evaluation.figures))
    if (figure)
      lines[id] = [
        rounded(figure.value),
        figure.dimension,
        figure.basis,
        figure.restsOnTypical && figure.basis !== 'typical' ? 'resting on typical' : '',
        figure.ruleId ?? figure.path ?? figure.citation ?? '',
        `"${figure.label}"`,
      ]
        .filter((part) => part !== '')
        .join(' ')
  for (const [id, blocked] of Object.entries(evaluation.blocked))
    if (blocked) lines[`${id}, unknown`] = blocked.refusal ?? `for want of ${blocked.missing.join(', ')}`
  for (const { id, value, basis, reason, missing } of evaluation.settings)
    lines[`setting ${id}`] = `${rounded(value ?? 'unknown')} ${basis} ${messageText(reason)} ${missing.join(' ')}`
  for (const { id, state, headline, detail } of evaluation.chain)
    lines[`link ${id}`] = `${state}: ${messageText(headline)}, ${messageText(detail)}`
  for (const { id, reach, reachedOn, positionId } of evaluation.jobs)
    lines[`job ${id}`] = `${reach} on ${positionId ?? 'none'}, also ${reachedOn.join(' ')}`
  for (const { id, main, reversed, jobsReached } of evaluation.positions)
    lines[`position ${id}`] = `${main ? 'main' : 'other'} ${String(reversed)} reaches ${jobsReached}`
  for (const { id, state, missing, stops, watches } of evaluation.stages)
    lines[`stage ${id}`] = `${state} ${missing} ${stops} ${watches}`
  const { next, earthLeakageType, sizeUpReasons, checks, delta87Hz, limits } = evaluation
  lines['next'] = next ? `${next.stage} ${next.text} ${next.path ?? ''} ${next.findingId ?? ''}` : 'nothing'
  lines['rest'] = JSON.stringify({ earthLeakageType, sizeUpReasons, checks, delta87Hz, limits })
  return lines
}

/** The lines that are other than on the sound plan; what is gone is told too. */
function differences(plan: Plan): Record<string, string> {
  const [before, after] = [sound, told(evaluate(plan))]
  const ids = [...new Set([...Object.keys(before), ...Object.keys(after)])]
  return Object.fromEntries(ids.filter((id) => before[id] !== after[id]).map((id) => [id, after[id] ?? 'gone']))
}

const sound = told(evaluate(soundPlan()))

describe('what a plan comes to', () => {
  test('the sound plan', () => {
    expect(Object.keys(sound).length).toBeGreaterThan(250)
    expect(sound).toMatchSnapshot()
  })
  test.each([...demoPlans])('%s of the demo shops', (_, plan) => expect(told(evaluate(plan))).toMatchSnapshot())
  test.each(mistakes.map(([id, , patch], i) => [`${i} ${id}`, patch] as const))('with mistake %s', (_, patch) =>
    expect(differences(spoiled(...patch))).toMatchSnapshot(),
  )
})
