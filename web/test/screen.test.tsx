import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { emptyPlan, evaluate, fieldAt, isPlanPath, set, stageIds, stages, type Plan } from '@zesty/core'
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { Profiler } from 'react'
import { Provider } from 'react-redux'
import { MemoryRouter, Route, Routes, useLocation } from 'react-router'
import { Chain } from '../src/conversion/Chain'
import { ConversionScreen } from '../src/conversion/ConversionScreen'
import { Findings } from '../src/conversion/Findings'
import { RouteCard } from '../src/conversion/RouteCard'
import { TopBar } from '../src/conversion/TopBar'
import { useKeys } from '../src/conversion/useKeys'
import { api } from '../src/state/api'
import { changed, closed, kept } from '../src/state/planSlice'
import { overlayChanged } from '../src/state/screenSlice'
import { store } from '../src/state/store'
import { CONVERSION, conversion, judged, keeps, open, problem, server, SHOP, show } from './page'

afterEach(() => {
  cleanup()
  store.dispatch(closed())
  store.dispatch(overlayChanged(undefined))
  store.dispatch(api.util.resetApiState())
})

const Where = () => <p data-testid="where">{useLocation().pathname}</p>

/** The whole screen of a conversion that a server holds. */
function screenOf(plan: Plan, stage: string) {
  localStorage.clear()
  const shop = { id: SHOP, name: 'Shed', units: 'imperial', demo: false, createdAt: '2026-01-01T10:00:00Z' }
  globalThis.fetch = jest.fn(({ url }: { url: string }) =>
    Promise.resolve(
      new Response(JSON.stringify(url.includes('/shops/') ? shop : judged(plan)), {
        headers: { 'content-type': 'application/json' },
      }),
    ),
  ) as unknown as typeof fetch
  render(
    <Provider store={store}>
      <MemoryRouter initialEntries={[`/conversions/${CONVERSION}/${stage}`]}>
        <Routes>
          <Route path="/conversions/:id/:stage?" element={<ConversionScreen />} />
        </Routes>
        <Where />
      </MemoryRouter>
    </Provider>,
  )
}
const heading = (name: string) => screen.findByRole('heading', { level: 1, name }, { timeout: 10_000 })
const where = () => screen.getByTestId('where').textContent

describe('the screen of a conversion', () => {
  test.each(stageIds)('opens %s by its address, under the name and purpose of the one table', async (id) => {
    screenOf(emptyPlan('Lathe'), id)
    await heading(stages[id].name)
    expect(screen.getByText(stages[id].purpose)).toBeTruthy()
  })
  test('an address of no stage is the first', async () => {
    screenOf(emptyPlan('Lathe'), 'attic')
    await heading(stages.survey.name)
  })
  test('shows amounts as the shop prefers them', async () => {
    screenOf({ ...emptyPlan('Lathe'), motor: { powerW: 745.7 } }, 'motor')
    await heading('Motor')
    await waitFor(() => expect(screen.getByLabelText('Power')).toHaveProperty('value', '1 hp'))
  })
  test('most of what a stage asks is its own', async () => {
    for (const id of ['drive', 'settings', 'route'] as const) {
      screenOf({ ...emptyPlan('Lathe'), drive: { kind: 'digital' } }, id)
      await heading(stages[id].name)
      const drawn: string[] = [
        ...document.querySelectorAll<HTMLElement>('input[data-path], select[data-path]'),
      ].flatMap((el) => el.dataset['path']?.split(' ') ?? [])
      const known = drawn.filter(isPlanPath)
      expect(known.length).toBeGreaterThan(0)
      // A stage may show a field of another too; most are its own.
      const own = known.filter((path) => fieldAt(path).stage === id)
      expect([id, own.length * 2 > known.length]).toEqual([id, true])
      cleanup()
      store.dispatch(closed())
    }
  })
  test('a plan that the server does not give is told, with the way on', async () => {
    server(keeps)
    const { body } = problem(422, 'The stored plan cannot be read by this release: motor.kind is steam.')
    globalThis.fetch = jest.fn(() =>
      Promise.resolve(
        new Response(JSON.stringify(body), { status: 422, headers: { 'content-type': 'application/problem+json' } }),
      ),
    )
    render(
      <Provider store={store}>
        <MemoryRouter initialEntries={[`/conversions/${CONVERSION}/motor`]}>
          <Routes>
            <Route path="/conversions/:id/:stage" element={<ConversionScreen />} />
          </Routes>
        </MemoryRouter>
      </Provider>,
    )
    await screen.findByText(/cannot be read by this release: motor\.kind is steam/)
    expect(screen.getByRole('button', { name: 'Try again' })).toBeTruthy()
  })
})

describe('keys', () => {
  const press = (key: string) => void fireEvent.keyDown(document.body, { key })
  test('open stages by digit and by step, and end where there are no more', async () => {
    screenOf(emptyPlan('Lathe'), 'survey')
    await heading('Survey')
    for (const [i, id] of stageIds.entries()) {
      press(String(i + 1))
      expect(where()).toBe(`/conversions/${CONVERSION}/${id}`)
    }
    press(']')
    expect(where()).toBe(`/conversions/${CONVERSION}/${stageIds[stageIds.length - 1]}`)
    press('[')
    expect(where()).toBe(`/conversions/${CONVERSION}/${stageIds[stageIds.length - 2]}`)
  })
  const Keys = () => {
    useKeys('motor')
    return <input aria-label="anything" />
  }
  beforeEach(() => void server(keeps))
  test('undo and redo, with either hand’s key', () => {
    show(<Keys />, emptyPlan('Lathe'))
    act(() => void store.dispatch(changed({ label: 'Power', patch: [set('motor.powerW', 1500)] })))
    fireEvent.keyDown(document.body, { key: 'z', ctrlKey: true })
    expect(open().plan.motor.powerW).toBeUndefined()
    fireEvent.keyDown(document.body, { key: 'z', metaKey: true, shiftKey: true })
    expect(open().plan.motor.powerW).toBe(1500)
    fireEvent.keyDown(document.body, { key: 'z', metaKey: true })
    fireEvent.keyDown(document.body, { key: 'y', ctrlKey: true })
    expect(open().plan.motor.powerW).toBe(1500)
  })
  test('open the palette and the list of keys, but not while typing, with a command key, or under a dialog', () => {
    show(<Keys />, emptyPlan('Lathe'))
    const overlay = () => store.getState().screen.overlay
    fireEvent.keyDown(screen.getByLabelText('anything'), { key: '/' })
    fireEvent.keyDown(document.body, { key: '/', ctrlKey: true })
    fireEvent.keyDown(document.body, { key: '/', altKey: true })
    expect(overlay()).toBeUndefined()
    fireEvent.keyDown(document.body, { key: '/' })
    expect(overlay()).toBe('palette')
    fireEvent.keyDown(document.body, { key: '?' })
    expect(overlay()).toBe('keys')
    const dialog = document.body.appendChild(document.createElement('div'))
    dialog.setAttribute('role', 'dialog')
    fireEvent.keyDown(document.body, { key: '/' })
    expect(overlay()).toBe('keys')
    dialog.remove()
  })
})

test('the answer to a save draws nothing anew but its mark', () => {
  server(keeps)
  const drawn: string[] = []
  const told = (id: string) => drawn.push(id)
  const Watched = ({ id, children }: { id: string; children: React.ReactNode }) => (
    <Profiler id={id} onRender={told}>
      {children}
    </Profiler>
  )
  const Keys = () => {
    useKeys('motor')
    return null
  }
  const plan: Plan = { ...emptyPlan('Lathe'), motor: { powerW: 1500, ratedSpeedRpm: 1420, ratedFrequencyHz: 50 } }
  show(
    <>
      <Watched id="top">
        <TopBar />
      </Watched>
      <Watched id="chain">
        <Chain />
      </Watched>
      <Watched id="card">
        <RouteCard stage="motor" />
      </Watched>
      <Watched id="findings">
        <Findings stage="motor" />
      </Watched>
      <Watched id="keys">
        <Keys />
      </Watched>
    </>,
    plan,
  )
  drawn.length = 0
  act(() => void store.dispatch(kept({ ...conversion(open().plan, 2), savedAt: '2026-01-01T11:11:00Z' })))
  // The mark is in the top bar; nothing else was touched.
  expect(drawn).toEqual(['top'])
  expect(screen.getByRole('status').textContent).toMatch(/^Kept \d\d:11$/)
  act(() => void store.dispatch(changed({ label: 'Power', patch: [set('motor.powerW', 750)] })))
  expect(new Set(drawn)).toEqual(new Set(['top', 'chain', 'card', 'findings']))
})

test('what the page judges with is what core judges', () => {
  show(<Chain />, emptyPlan('Lathe'))
  const names = evaluate(emptyPlan('Lathe')).chain.map((link) => link.name)
  expect(names.every((name) => screen.getAllByText(name).length > 0)).toBe(true)
})
