import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { evaluate, messageText, set, tally, tallyWords } from '@zesty/core'
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { Findings } from '../src/conversion/Findings'
import { JudgedDialog } from '../src/conversion/JudgedDialog'
import { changed } from '../src/state/planSlice'
import { store } from '../src/state/store'
import { keeps, lathe, open, server, show } from './page'

beforeEach(() => void server(keeps))
afterEach(cleanup)

const says = () => tallyWords(tally(evaluate(open().plan).judged))

describe('what was judged', () => {
  test('stands over the findings in a line, and opens', () => {
    show(<Findings stage="survey" />, lathe())
    fireEvent.click(screen.getByRole('button', { name: says() }))
    expect(store.getState().screen.overlay).toBe('judged')
  })
  test('is listed by stage: what is due first, and each of the other answers', () => {
    show(<JudgedDialog onClose={() => undefined} />, lathe())
    const { judged } = evaluate(open().plan)
    const rows = () => screen.getAllByRole('listitem').length
    expect(rows()).toBe(judged.filter((j) => j.answer === 'cannot-be-judged' && j.due).length)
    for (const [word, answer] of [
      ['Found', 'found'],
      ['Good', 'good'],
      ['Does not apply', 'does-not-apply'],
      ['Not judged yet', 'cannot-be-judged'],
    ] as const) {
      fireEvent.click(screen.getByRole('radio', { name: new RegExp(`^${word}`) }))
      expect([word, rows()]).toEqual([word, judged.filter((j) => j.answer === answer).length])
    }
    fireEvent.click(screen.getByRole('radio', { name: /^All/ }))
    expect(rows()).toBe(judged.length)
    expect(within(screen.getByRole('region', { name: 'Motor' })).getAllByRole('listitem')).toHaveLength(
      judged.filter((j) => j.stage === 'motor').length,
    )
  })
  test('is asked by what comes next, which the person says', () => {
    show(<JudgedDialog onClose={() => undefined} />, lathe())
    const due = () => Number(/\d+/.exec(screen.getByRole('radio', { name: /^Due now/ }).textContent)?.[0])
    const before = due()
    fireEvent.click(screen.getByRole('radio', { name: 'In use' }))
    expect(open().plan.survey.comesNext).toBe('in-use')
    expect(due()).toBeGreaterThan(before)
  })
})

test('remedies are those that were tried, also after a change', async () => {
  show(<Findings stage="motor" />, lathe(set('motor.connection', 'delta')))
  act(() => void store.dispatch(changed({ label: 'Links', patch: [set('motor.connection', 'star')] })))
  await waitFor(
    () =>
      expect(screen.getAllByRole('button', { name: 'Plan it: Move links to delta', hidden: false })[0]).toHaveProperty(
        'disabled',
        false,
      ),
    // Each remedy is judged as a plan of its own, which takes its time on a machine that does other things too.
    { timeout: 10_000 },
  )
  const raw = evaluate(open().plan).findings.flatMap((f) => f.remedies.map((r) => messageText(r.label)))
  expect(raw).toContain('Move links to delta')
})
