import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import type { KeptItem, ReadableLine } from '@zesty/core/http'
import { cleanup, fireEvent, render, screen, waitFor, within } from '@testing-library/react'
import type { ReactNode } from 'react'
import { Provider } from 'react-redux'
import { api } from '../src/state/api'
import { store } from '../src/state/store'
import { ItemForm } from '../src/library/ItemForm'
import { LibraryTable } from '../src/library/LibraryTable'
import { Circuits } from '../src/shop/Circuits'
import { CircuitForm } from '../src/shop/CircuitForm'
import { problem, type } from './page'

/** What the page asked of the server, and what it is told. */
const idOf = (nth: number) => `00000000-0000-4000-8000-00000000000${nth}`
const CIRCUIT = idOf(8)

interface Asked {
  method: string
  url: string
  body: unknown
}

/** Answers the library as given and takes every change, or refuses it. */
function library(items: readonly KeptItem[], refusal?: string): Asked[] {
  const asked: Asked[] = []
  globalThis.fetch = jest.fn(({ url, method = 'GET', body }: { url: string; method?: string; body?: string }) => {
    asked.push({ method, url, body: body === undefined ? undefined : JSON.parse(body) })
    const reply = (status: number, answer: unknown) =>
      Promise.resolve(new Response(JSON.stringify(answer), { status, headers: { 'content-type': 'application/json' } }))
    if (method === 'GET') return reply(200, items)
    return refusal === undefined ? reply(200, items[0]) : reply(409, problem(409, refusal).body)
  }) as unknown as typeof fetch
  return asked
}

const show = (part: ReactNode) => {
  store.dispatch(api.util.resetApiState())
  return render(<Provider store={store}>{part}</Provider>)
}

const motor: KeptItem = {
  id: idOf(9),
  version: 6,
  kind: 'motor',
  name: 'Bench motor',
  item: { kind: 'induction', powerW: 750 },
}
const rows: (KeptItem & { kind: 'motor' })[] = [
  {
    id: idOf(1),
    version: 6,
    kind: 'motor',
    name: 'Ash 10',
    item: { kind: 'induction', powerW: 2200, enclosure: 'IP55' },
  },
  { id: idOf(2), version: 6, kind: 'motor', name: 'Ash 2', item: { kind: 'induction', powerW: 745.7 } },
  { id: idOf(3), version: 6, kind: 'motor', name: 'Box', item: { kind: 'high-frequency' } },
]

afterEach(cleanup)

describe('the table of the library', () => {
  const names = () => screen.getAllByRole('rowheader').map((r) => r.textContent)
  beforeEach(() => {
    library([])
    show(<LibraryTable kind="motor" items={rows} actions={() => null} />)
  })
  test('sorts names as people count, and numbers with the unknown last', () => {
    expect(names()).toEqual(['Ash 2', 'Ash 10', 'Box'])
    fireEvent.click(screen.getByRole('button', { name: /^Power/ }))
    expect(names()).toEqual(['Ash 10', 'Ash 2', 'Box'])
    fireEvent.click(screen.getByRole('button', { name: /^Power/ }))
    expect(names()).toEqual(['Ash 2', 'Ash 10', 'Box'])
  })
  test('narrows by a word, a kind and a nominal power', () => {
    fireEvent.change(screen.getByLabelText('Find'), { target: { value: 'ip55' } })
    expect(names()).toEqual(['Ash 10'])
    fireEvent.change(screen.getByLabelText('Find'), { target: { value: '' } })
    fireEvent.change(screen.getByLabelText('Kind'), { target: { value: 'High-frequency' } })
    expect(names()).toEqual(['Box'])
    fireEvent.change(screen.getByLabelText('Kind'), { target: { value: '' } })
    fireEvent.change(screen.getByLabelText('Power to'), { target: { value: '1 hp' } })
    expect(names()).toEqual(['Ash 2'])
    expect(screen.getByText('1 of 3')).toBeTruthy()
  })
  test('says so where nothing is left, and where a power does not read', () => {
    fireEvent.change(screen.getByLabelText('Find'), { target: { value: 'zinc' } })
    expect(screen.getByRole('status').textContent).toMatch(/Nothing answers to that/)
    fireEvent.change(screen.getByLabelText('Power from'), { target: { value: '3 m' } })
    expect(screen.getByRole('alert').textContent).toMatch(/is a length/)
  })
})

describe('an item is edited where it is kept', () => {
  test('each change goes to the server whole, in order', async () => {
    const asked = library([motor])
    show(<ItemForm item={motor} onClose={() => undefined} />)
    type('Power', '1.1 kW')
    type('Called', 'Spare')
    await waitFor(() => expect(asked.filter((a) => a.method === 'PUT')).toHaveLength(2))
    expect(asked.filter((a) => a.method === 'PUT').map((a) => a.body)).toEqual([
      { kind: 'motor', name: 'Bench motor', item: { kind: 'induction', powerW: 1100 } },
      { kind: 'motor', name: 'Spare', item: { kind: 'induction', powerW: 1100 } },
    ])
  })
  test('what does not read stays, is explained, and holds the form open', () => {
    library([motor])
    show(<ItemForm item={motor} onClose={() => undefined} />)
    expect(type('Power', 'strong')).toHaveProperty('value', 'strong')
    expect(screen.getByRole('alert').textContent).toBe('"strong" is not a power.')
    expect(screen.getByRole('button', { name: '1 entry does not read yet' })).toHaveProperty('disabled', true)
    type('Power', '2 hp')
    expect(screen.getByRole('button', { name: 'Done' })).toHaveProperty('disabled', false)
  })
  test('a refusal is told, and the text stays', async () => {
    library([motor], 'The library has a motor called Twin already; give this one another name.')
    show(<ItemForm item={motor} onClose={() => undefined} />)
    type('Called', 'Twin')
    await waitFor(() => expect(screen.getByRole('alert').textContent).toMatch(/^Not kept: The library has a motor/))
    expect(screen.getByLabelText('Called')).toHaveProperty('value', 'Twin')
  })
  test('a converter asks for its idler, a transformer for its rating', () => {
    const circuit: KeptItem = { id: CIRCUIT, version: 6, kind: 'circuit', name: 'Wall', item: { voltageV: 230 } }
    library([circuit])
    show(<CircuitForm circuit={circuit} onClose={() => undefined} />)
    expect(screen.queryByLabelText('Idler motor')).toBeNull()
    fireEvent.change(screen.getByLabelText('Comes from'), { target: { value: 'rotary-converter' } })
    expect(screen.getByLabelText('Idler motor')).toBeTruthy()
    fireEvent.change(screen.getByLabelText('Comes from'), { target: { value: 'transformer' } })
    expect([screen.queryByLabelText('Idler motor'), screen.getByLabelText('Rating').tagName]).toEqual([null, 'INPUT'])
  })
})

describe('circuits of the shop', () => {
  const circuit: KeptItem = {
    id: CIRCUIT,
    version: 6,
    kind: 'circuit',
    name: 'North wall',
    item: { voltageV: 230, phases: 1, breakerA: 32 },
  }
  const machine = (name: string, inputA: number | undefined): ReadableLine => ({
    id: idOf(name.length),
    name,
    revision: 1,
    savedAt: '2026-01-01T10:00:00Z',
    branchCircuitId: CIRCUIT,
    chain: [],
    stages: [],
    next: { kind: 'do', stage: 'settings', text: 'Print the card' },
    stops: 0,
    watches: 0,
    ...(inputA === undefined ? {} : { inputA }),
  })
  const shown = async (...machines: ReadableLine[]) => {
    library([circuit])
    show(<Circuits shopId={idOf(5)} machines={machines} units="metric" />)
    return within(await screen.findByRole('region', { name: 'Circuits at the wall' }))
  }
  test.each([
    [[machine('Lathe', 14), machine('Mill', 10)], /all may run at once, 8\sA to spare/],
    [[machine('Lathe', 20), machine('Mill', 18)], /38\sA if all ran at full load: not all at once/],
    [[machine('Lathe', 40)], /Lathe: alone more than the breaker/],
    [[machine('Lathe', 14), machine('Mill', undefined)], /Amps not known yet: Mill/],
    [[], /No machine is put on it yet/],
  ])('%#', async (machines, says) => {
    expect((await shown(...machines)).getByText(says)).toBeTruthy()
  })
})
