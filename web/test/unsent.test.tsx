import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { applyPatch, emptyPlan, replacePlan, set, type Plan } from '@zesty/core'
import { act, cleanup, fireEvent, render, screen, waitFor } from '@testing-library/react'
import { Provider } from 'react-redux'
import { MemoryRouter, Route, Routes } from 'react-router'
import { ConversionScreen } from '../src/conversion/ConversionScreen'
import { UnsentHere } from '../src/shop/UnsentHere'
import { api } from '../src/state/api'
import { readDrafts } from '../src/state/draft'
import { changed, closed } from '../src/state/planSlice'
import { store } from '../src/state/store'
import { makeAgain, takeBack } from '../src/state/takeBack'
import { CONVERSION, conversion, judged, open, SHOP } from './page'

const plan: Plan = emptyPlan('Lathe')
const withPower = (powerW: number) => applyPatch(plan, [set('motor.powerW', powerW)])

/** As a tab that is gone left it. */
function leave(tab: string, at: string, baseRevision: number, draft: Plan, of = CONVERSION, base?: Plan) {
  localStorage.setItem(`zesty.draft.${of}.${tab}`, JSON.stringify({ at, baseRevision, base, plan: draft, typed: {} }))
}

function openScreen(revision = 1, kept = plan) {
  const now = { ...judged(kept), conversion: { ...conversion(kept, revision), savedAt: '2026-03-03T12:00:00Z' } }
  const shop = { id: SHOP, name: 'Shed', units: 'metric', demo: false, createdAt: '2026-01-01T10:00:00Z' }
  globalThis.fetch = jest.fn((request: string | { url: string }) =>
    typeof request === 'string'
      ? Promise.reject(new TypeError('fetch failed'))
      : Promise.resolve(
          new Response(JSON.stringify(request.url.includes('/shops/') ? shop : now), {
            headers: { 'content-type': 'application/json' },
          }),
        ),
  ) as unknown as typeof fetch
  render(
    <Provider store={store}>
      <MemoryRouter initialEntries={[`/conversions/${CONVERSION}/motor`]}>
        <Routes>
          <Route path="/conversions/:id/:stage?" element={<ConversionScreen />} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  )
}
const dialog = (name: string) => screen.findByRole('dialog', { name }, { timeout: 10_000 })
const button = (name: string) => screen.getByRole('button', { name })
const isMain = (name: string) => button(name).className.includes('btn-main')

beforeEach(() => {
  localStorage.clear()
  sessionStorage.clear()
})
afterEach(() => {
  cleanup()
  store.dispatch(closed())
  store.dispatch(api.util.resetApiState())
})

describe('what one tab left', () => {
  test('goes on where it ended, and is this tab’s own from then on', async () => {
    leave('gone', '2026-03-03T12:30:00Z', 1, withPower(1500))
    openScreen()
    await waitFor(() => expect(open().plan.motor.powerW).toBe(1500), { timeout: 10_000 })
    expect(screen.queryByRole('dialog')).toBeNull()
    expect(readDrafts().map(({ tab }) => tab)).not.toContain('gone')
    expect(readDrafts()[0]?.plan.motor.powerW).toBe(1500)
  })
  test('comes together with what the server took meanwhile, though the revision between is gone', async () => {
    leave('gone', '2026-03-03T12:30:00Z', 1, withPower(1500), CONVERSION, plan)
    openScreen(4, applyPatch(plan, [set('motor.ratedSpeedRpm', 1420)]))
    await waitFor(() => expect(open().plan.motor).toMatchObject({ powerW: 1500, ratedSpeedRpm: 1420 }), {
      timeout: 10_000,
    })
    expect([open().revision, screen.queryByRole('dialog')]).toEqual([4, null])
  })
  test.each([
    ['earlier', '2026-03-03T11:00:00Z', 'Take what was kept there'],
    ['later', '2026-03-03T13:00:00Z', 'Keep what is here'],
  ])('%s than what the server has meanwhile: the later of the two is the main choice', async (_, at, main) => {
    leave('gone', at, 1, withPower(1500))
    openScreen(4)
    await dialog('Changed in two places')
    expect(['Keep what is here', 'Take what was kept there'].filter(isMain)).toEqual([main])
  })
})

describe('what several tabs left', () => {
  beforeEach(() => {
    leave('first', '2026-03-03T12:30:00Z', 1, withPower(1500))
    leave('second', '2026-03-03T12:40:00Z', 1, withPower(2200))
    leave('elsewhere', '2026-03-03T12:50:00Z', 1, withPower(100), '00000000-0000-4000-8000-00000000000d')
  })
  test('is listed, the latest first and as the main choice, over the plan as the server keeps it', async () => {
    openScreen()
    const list = await dialog('Typed here and not sent')
    expect(list.querySelectorAll('li')).toHaveLength(2)
    expect(list.querySelectorAll('li')[0]?.textContent).toMatch(/:40/)
    expect(list.textContent).toMatch(/Power/)
    const main = screen.getAllByRole('button').filter((b) => b.className.includes('btn-main') && list.contains(b))
    expect(main).toEqual([screen.getAllByRole('button', { name: 'Take it' })[0]])
    expect(open().plan.motor.powerW).toBeUndefined()
  })
  test('can be taken, one, and the other stays to be taken or left', async () => {
    openScreen()
    await dialog('Typed here and not sent')
    fireEvent.click(screen.getAllByRole('button', { name: 'Take it' })[1] as HTMLElement)
    expect(open().plan.motor.powerW).toBe(1500)
    fireEvent.click(await screen.findByRole('button', { name: 'Throw it away' }))
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
    expect(
      readDrafts()
        .map(({ plan: { motor } }) => motor.powerW)
        .sort(),
    ).toEqual([100, 1500])
  })
  test('can wait', async () => {
    openScreen()
    await dialog('Typed here and not sent')
    fireEvent.click(button('Go on with what is kept'))
    await waitFor(() => expect(screen.queryByRole('dialog')).toBeNull())
    expect(readDrafts()).toHaveLength(3)
  })
})

describe('what could be taken back before the page was loaded anew', () => {
  const edits = () => {
    openScreen()
    return waitFor(() => expect(open().plan).toEqual(plan), { timeout: 10_000 })
  }
  /** As a reload: everything in memory is gone, what the browser keeps is not. */
  const reload = (revision: number, kept: Plan) => {
    cleanup()
    store.dispatch(closed())
    store.dispatch(api.util.resetApiState())
    localStorage.clear()
    openScreen(revision, kept)
    return waitFor(() => expect(store.getState().plan.open).toBeDefined(), { timeout: 10_000 })
  }
  test('still can be, and made again', async () => {
    await edits()
    act(() => void store.dispatch(changed({ label: 'Power', patch: [set('motor.powerW', 1100)] })))
    act(() => void store.dispatch(changed({ label: 'Power again', patch: [set('motor.powerW', 1500)] })))
    act(() => takeBack())
    await reload(3, withPower(1100))
    expect([open().undo.map(({ label }) => label), open().redo.map(({ label }) => label)]).toEqual([
      ['Power'],
      ['Power again'],
    ])
    act(() => makeAgain())
    expect(open().plan.motor.powerW).toBe(1500)
    act(() => takeBack())
    act(() => takeBack())
    expect(open().plan).toEqual(plan)
  })
  test('cannot be where the plan is another by now', async () => {
    await edits()
    act(() => void store.dispatch(changed({ label: 'Power', patch: [set('motor.powerW', 1100)] })))
    await reload(5, withPower(2200))
    expect(open().undo).toEqual([])
  })
  test('cannot be where what the browser kept is not what was written', async () => {
    sessionStorage.setItem(`zesty.history.${CONVERSION}`, '{"plan":{},"undo":[{"label":1}],"redo":"x"}')
    await edits()
    expect(open().undo).toEqual([])
  })
})

test('what is taken back is shown at its stage', async () => {
  openScreen()
  await waitFor(() => expect(open().plan).toEqual(plan), { timeout: 10_000 })
  act(() => void store.dispatch(changed({ label: 'Volts', patch: [set('supply.voltageV', 230)] })))
  expect(screen.queryByRole('heading', { level: 1, name: 'Survey' })).toBeNull()
  act(() => takeBack())
  await waitFor(() => expect(screen.getByRole('heading', { level: 1, name: 'Survey' })).toBeTruthy())
})

test('a restore that is taken back is shown at what it changed, not at what it wrote as it was', async () => {
  openScreen()
  await waitFor(() => expect(open().plan).toEqual(plan), { timeout: 10_000 })
  const old = { ...open().plan, supply: { ...open().plan.supply, voltageV: 208 } }
  act(() => void store.dispatch(changed({ label: 'Restore', patch: replacePlan(old) })))
  expect(screen.queryByRole('heading', { level: 1, name: 'Survey' })).toBeNull()
  act(() => takeBack())
  await waitFor(() => expect(screen.getByRole('heading', { level: 1, name: 'Survey' })).toBeTruthy())
  const power = { ...open().plan, motor: { ...open().plan.motor, powerW: 1234 } }
  act(() => void store.dispatch(changed({ label: 'Restore', patch: replacePlan(power) })))
  act(() => takeBack())
  await waitFor(() => expect(screen.getByRole('heading', { level: 1, name: 'Motor' })).toBeTruthy())
})

test('a tab that is still open keeps what is its own', async () => {
  const held = [{ name: 'zesty.tab.open' }]
  Object.defineProperty(navigator, 'locks', { configurable: true, value: { query: () => Promise.resolve({ held }) } })
  leave('open', '2026-03-03T12:30:00Z', 1, withPower(1500))
  openScreen()
  await waitFor(() => expect(store.getState().plan.open).toBeDefined(), { timeout: 10_000 })
  Reflect.deleteProperty(navigator, 'locks')
  expect(open().plan.motor.powerW).toBeUndefined()
  expect(readDrafts()).toHaveLength(1)
})

test('the shop lists what its machines wait for, to go on with or to throw away', async () => {
  leave('gone', '2026-03-03T12:30:00Z', 1, withPower(1500))
  leave('strange', '2026-03-03T12:30:00Z', 1, withPower(100), '00000000-0000-4000-8000-00000000000d')
  const machine = { id: CONVERSION, revision: 1, savedAt: '2026-03-03T12:00:00Z', name: 'Old lathe', unreadable: 'x' }
  render(
    <MemoryRouter>
      <UnsentHere machines={[machine]} />
    </MemoryRouter>,
  )
  expect((await screen.findByText(/Old lathe, typed .*:30/)).textContent).toBeTruthy()
  expect(screen.getByRole('link', { name: 'Go on with it' }).getAttribute('href')).toBe(`/conversions/${CONVERSION}`)
  fireEvent.click(button('Throw it away'))
  expect(screen.queryByText(/Old lathe/)).toBeNull()
  expect(readDrafts()).toHaveLength(1)
})

describe('when the page goes', () => {
  const going = (type: 'beforeunload' | 'pagehide') => {
    const event = new Event(type, { cancelable: true })
    act(() => void window.dispatchEvent(event))
    return event.defaultPrevented
  }
  const typeInto = async (label: string, text: string) => {
    const field = await screen.findByLabelText(label, {}, { timeout: 10_000 })
    act(() => field.focus())
    fireEvent.change(field, { target: { value: text } })
  }
  test('what stands in a field that was not left is kept', async () => {
    openScreen()
    await typeInto('Power', '2.2 kW')
    expect(open().plan.motor.powerW).toBeUndefined()
    expect(going('beforeunload')).toBe(false)
    expect(readDrafts()[0]?.plan.motor.powerW).toBe(2200)
  })
  test('so is what does not read yet', async () => {
    openScreen()
    await typeInto('Power', '2.2 horses')
    going('pagehide')
    expect(readDrafts()[0]?.typed['motor.powerW']?.text).toBe('2.2 horses')
  })
  test('it asks first where nobody else has what was typed, and sends it at last', async () => {
    openScreen()
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    await typeInto('Power', '2.2 kW')
    expect(going('beforeunload')).toBe(true)
    going('pagehide')
    full.mockRestore()
    const calls = (globalThis.fetch as jest.Mock).mock.calls as [string, { keepalive?: boolean; body: string }?][]
    const last = calls.filter(([, init]) => init?.keepalive).at(-1)
    expect(JSON.parse(last?.[1]?.body ?? '{}')).toMatchObject({
      baseRevision: 1,
      changes: [{ path: 'motor.powerW', value: 2200 }],
    })
  })
})
