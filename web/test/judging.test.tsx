import { afterEach, describe, expect, jest, test } from '@jest/globals'
import { applyPatch, emptyPlan, evaluate, messageText, set, type Plan } from '@zesty/core'
import { judgedConversionSchema } from '@zesty/core/http'
import { configureStore } from '@reduxjs/toolkit'
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { Provider } from 'react-redux'
import { Chain } from '../src/conversion/Chain'
import { useJudge } from '../src/conversion/useJudge'
import { api } from '../src/state/api'
import { fetchJudge, judgingReducer, type Judge } from '../src/state/judging'
import { changed, opened, planReducer } from '../src/state/planSlice'
import { screenReducer } from '../src/state/screenSlice'
import { demoPlan, judged } from './page'

/** A page that was just opened: nobody has touched it, so that the judge is not there yet. */
const freshStore = () =>
  configureStore({
    reducer: { plan: planReducer, screen: screenReducer, judging: judgingReducer, [api.reducerPath]: api.reducer },
    middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }),
  })

const demo = (): Plan => demoPlan('gap-bed-lathe')

const larger = [set('drive.powerW', 4440)]
/** What the chain says of the drive that is larger. */
const saidOfDrive = (plan: Plan) => {
  const drive = evaluate(plan).chain.find(({ id }) => id === 'drive')
  return drive ? messageText(drive.headline) + messageText(drive.detail) : ''
}
const expected = saidOfDrive(applyPatch(demo(), larger))

function Touched() {
  useJudge()
  return <Chain />
}

function showFresh(plan: Plan, evaluation = evaluate(plan)) {
  const store = freshStore()
  store.dispatch(opened({ ...judged(plan), evaluation }))
  render(
    <Provider store={store}>
      <Touched />
    </Provider>,
  )
  return store
}

afterEach(cleanup)

describe('a conversion just opened', () => {
  test('shows what the server said of it, and fetches nothing to judge by', () => {
    const said = evaluate(applyPatch(demo(), larger))
    expect(expected).not.toBe(saidOfDrive(demo()))
    const store = showFresh(demo(), said)
    expect(store.getState().judging.judge).toBeUndefined()
    expect(screen.getByRole('navigation').textContent).toContain(expected)
  })
  for (const touch of ['pointerMove', 'keyDown', 'focusIn'] as const)
    test(`is judged here from the first ${touch}`, async () => {
      const store = showFresh(emptyPlan('Lathe'))
      fireEvent[touch](window)
      await waitFor(() => expect(store.getState().judging.judge).toBeDefined())
    })
  test('that is changed before the judge came is judged when it comes', async () => {
    const store = showFresh(demo())
    act(() => void store.dispatch(changed({ label: 'Power', patch: larger })))
    expect(screen.getByRole('navigation').getAttribute('aria-busy')).toBe('true')
    await waitFor(() => expect(screen.getByRole('navigation').textContent).toContain(expected))
    expect(screen.getByRole('navigation').getAttribute('aria-busy')).toBe('false')
    expect(screen.queryByRole('alert')).toBeNull()
  })
})

describe('a judge that cannot be fetched', () => {
  const lost = fetchJudge.rejected(new Error('Failed to fetch'), 'r', undefined)
  test('is not told while the verdicts are still those of the plan', () => {
    const store = showFresh(emptyPlan('Lathe'))
    act(() => void store.dispatch(lost))
    expect(screen.queryByRole('alert')).toBeNull()
  })
  test('is told as soon as they are not, and asked for again at a change', async () => {
    const store = freshStore()
    store.dispatch(opened(judged(demo())))
    store.dispatch(lost)
    store.dispatch(changed({ label: 'Power', patch: larger }))
    const { rerender } = render(
      <Provider store={store}>
        <Chain />
      </Provider>,
    )
    expect(screen.getByRole('alert').textContent).toMatch(/from before your change.*Nothing you typed is lost/)
    rerender(
      <Provider store={store}>
        <Touched />
      </Provider>,
    )
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull())
    expect(screen.getByRole('navigation').textContent).toContain(expected)
  })
  test('that comes twice is the first', async () => {
    const store = freshStore()
    await store.dispatch(fetchJudge())
    const { judge } = store.getState().judging
    const again = jest.fn<Judge>()
    store.dispatch(fetchJudge.fulfilled({ judge: again, tryRemedy: () => true, makers: undefined }, 'r', undefined))
    expect(store.getState().judging.judge).toBe(judge)
  })
})

test('an evaluation is the same after its way over the wire', () => {
  const sent = judged(demo())
  expect(judgedConversionSchema.parse(JSON.parse(JSON.stringify(sent)))).toEqual(sent)
})
