import { afterEach, describe, expect, jest, test } from '@jest/globals'
import type { MachineLine } from '@zesty/core/http'
import { cleanup, render, screen, within } from '@testing-library/react'
import type { ReactNode } from 'react'
import { Provider } from 'react-redux'
import { MemoryRouter, Route, Routes } from 'react-router'
import { LibraryScreen } from '../src/library/LibraryScreen'
import { Circuits } from '../src/shop/Circuits'
import { api } from '../src/state/api'
import { store } from '../src/state/store'
import { SHOP } from './page'

afterEach(() => {
  cleanup()
  store.dispatch(api.util.resetApiState())
})

const idOf = (n: number) => `00000000-0000-4000-8000-0000000001${String(n).padStart(2, '0')}`

/** Answers the shop and its library, and shows a part of the page beside them. */
function showShop(library: readonly object[], part: ReactNode, at = '/') {
  const shop = { id: SHOP, name: 'Shed', units: 'metric', demo: false, createdAt: '2026-01-01T10:00:00Z' }
  globalThis.fetch = jest.fn(({ url }: { url: string }) =>
    Promise.resolve(
      new Response(JSON.stringify(url.endsWith('/library') ? library : shop), {
        headers: { 'content-type': 'application/json' },
      }),
    ),
  ) as unknown as typeof fetch
  render(
    <Provider store={store}>
      <MemoryRouter initialEntries={[at]}>
        <Routes>
          <Route path="/" element={part} />
          <Route path="/shops/:shopId/library/:kind" element={part} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  )
}

const stored = { revision: 1, savedAt: '2026-01-01T10:00:00Z' }
const machine = (n: number, name: string, inputA?: number, branchCircuitId = idOf(1)): MachineLine => ({
  id: idOf(40 + n),
  ...stored,
  name,
  ...(inputA === undefined ? {} : { inputA }),
  branchCircuitId,
  chain: [],
  stages: [],
  next: { kind: 'do', stage: 'settings', text: 'Print the card' },
  stops: 0,
  watches: 0,
})
const circuit = (n: number, name: string, item: object) => ({ id: idOf(n), version: 6, kind: 'circuit', name, item })
const plain = (text: string | null | undefined) => (text ?? '').replace(/\s/g, ' ')

describe('the circuits of a shop', () => {
  const bay = circuit(1, 'East bay', { breakerA: 32, voltageV: 230, phases: 1 })
  const lineOf = async (name: string) => {
    const item = (await screen.findByRole('heading', { level: 3, name })).closest('li')
    if (!item) throw new Error(`no circuit ${name}`)
    return item
  }
  const show = (machines: readonly MachineLine[], circuits: readonly object[] = [bay]) =>
    showShop(circuits, <Circuits shopId={SHOP} machines={machines} units="metric" />)

  test('add their machines, and say whether all may run at once', async () => {
    show([machine(1, 'Lathe', 14.5), machine(2, 'Grinder', 10)])
    expect(plain((await lineOf('East bay')).textContent)).toMatch(/230 V, one phase, 32 A breaker/)
    expect(plain((await lineOf('East bay')).textContent)).toMatch(/all may run at once, 7\.5 A to spare/)
  })
  test('warn of what is too much together, and stop at what is too much alone', async () => {
    show([machine(1, 'Lathe', 14.5), machine(2, 'Mill', 20), machine(3, 'Press', 40)])
    const says = plain((await lineOf('East bay')).textContent)
    expect(says).toMatch(/Press: alone more than the breaker/)
    expect(says).toMatch(/74\.5 A if all ran at full load: not all at once/)
  })
  test('do not promise anything while the amps of one are not known', async () => {
    show([machine(1, 'Lathe', 14.5), machine(2, 'Mill')])
    const says = plain((await lineOf('East bay')).textContent)
    expect(says).toMatch(/Amps not known yet: Mill/)
    expect(says).not.toMatch(/all may run at once/)
  })
  test('leave the machines of another alone', async () => {
    show([machine(1, 'Lathe', 14.5), machine(2, 'Mill', 30, idOf(2))], [bay, circuit(2, 'West bay', {})])
    expect(plain((await lineOf('East bay')).textContent)).toMatch(/17\.5 A to spare/)
    expect(plain((await lineOf('West bay')).textContent)).toMatch(
      /volts not known, phases not known, breaker not known/,
    )
  })
  test('say which machine is not counted because its plan cannot be read', async () => {
    show([
      machine(1, 'Lathe', 14.5),
      { id: idOf(50), ...stored, name: 'Old shaper', unreadable: 'motor.kind is steam' },
    ])
    await lineOf('East bay')
    expect(screen.getByText('Not counted on any: Old shaper, whose plan this release cannot read')).toBeTruthy()
  })
})

describe('the library', () => {
  test('tells of an item that is kept and cannot be read, and shows the others', async () => {
    showShop(
      [
        { id: idOf(1), version: 6, kind: 'motor', name: 'Elm', item: { powerW: 1500 } },
        { id: idOf(2), kind: 'motor', name: 'Oak', unreadable: 'kind must be one of those listed' },
        { id: idOf(3), kind: 'drive', name: 'Ash', unreadable: 'input must be one of those listed' },
      ],
      <LibraryScreen />,
      `/shops/${SHOP}/library/motors`,
    )
    const note = await screen.findByRole('note')
    expect(plain(note.textContent)).toMatch(/Oak cannot be read by this release: kind must be .*It is kept as it is\./)
    expect(screen.queryByText('Ash')).toBeNull()
    expect(within(await screen.findByRole('table')).getByText('Elm')).toBeTruthy()
  })
})
