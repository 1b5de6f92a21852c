import { afterEach, describe, expect, jest, test } from '@jest/globals'
import * as core from '@zesty/core'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { countRenders } from './renders'

let made = 0
jest.unstable_mockModule('@zesty/core', () => ({
  ...core,
  conversion: (...given: Parameters<typeof core.conversion>) => {
    made += 1
    return core.conversion(...given)
  },
}))
const { act, cleanup, fireEvent, render, screen } = await import('@testing-library/react')
const { Provider } = await import('react-redux')
const { MemoryRouter, Route, Routes } = await import('react-router')
const { ConversionScreen } = await import('../src/conversion/ConversionScreen')
const { api } = await import('../src/state/api')
const { closed } = await import('../src/state/planSlice')
const { store } = await import('../src/state/store')
const { CONVERSION, demoPlan, judged, SHOP } = await import('./page')

/** What is counted, and at most: the one file of such limits. */
const limits = JSON.parse(readFileSync(join(import.meta.dirname, '../../budgets.json'), 'utf8')) as Record<
  string,
  Record<string, number>
>
const isAtMost = (group: string, name: string, count: number) =>
  expect({ group, name, count, isWithin: count <= (limits[group]?.[name] ?? -1) }).toEqual({
    ...{ group, name, count },
    isWithin: true,
  })

afterEach(() => {
  cleanup()
  store.dispatch(closed())
  store.dispatch(api.util.resetApiState())
})

const asked: string[] = []

/** The whole screen of the fullest demo machine, as it is opened. */
async function opened(stage: core.StageId) {
  localStorage.clear()
  asked.length = 0
  const plan = demoPlan('gap-bed-lathe')
  const shop = { id: SHOP, name: 'Shed', units: 'metric', demo: false, createdAt: '2026-01-01T10:00:00Z' }
  globalThis.fetch = jest.fn((request: string | { url: string }) => {
    const url = typeof request === 'string' ? request : request.url
    asked.push(url)
    const body = url.includes('/judged') ? judged(plan) : url.includes(`/shops/${SHOP}`) ? shop : []
    return Promise.resolve(new Response(JSON.stringify(body), { headers: { 'content-type': 'application/json' } }))
  }) as unknown as typeof fetch
  render(
    <Provider store={store}>
      <MemoryRouter initialEntries={[`/conversions/${CONVERSION}/${stage}`]}>
        <Routes>
          <Route path="/conversions/:id/:stage?" element={<ConversionScreen />} />
        </Routes>
      </MemoryRouter>
    </Provider>,
  )
  await screen.findByRole('heading', { level: 1, name: core.stages[stage].name })
  await settled()
}

/** Until nothing more comes by itself: what is asked for, drawn late or tried in idle time. */
const settled = () => act(() => new Promise((resolve) => setTimeout(resolve, 400)))

describe('counted, and never more than', () => {
  test.each(core.stageIds)('requests of the API to open %s', async (stage) => {
    await opened(stage)
    isAtMost('requests to open a stage', stage, asked.length)
  })
  test.each([
    ['the name', 'survey', 'Machine', 'Lathe two'],
    ['motor power', 'motor', 'Power', '1.4 kW'],
    ['drive output amps', 'drive', 'Output amps', '8'],
  ] as const)('evaluations and components of a key in %s', async (name, stage, label, text) => {
    await opened(stage)
    const [field] = screen.getAllByLabelText(label)
    if (!field) throw new Error(`no field ${label}`)
    fireEvent.focus(field)
    await settled()
    made = 0
    const renders = countRenders()
    fireEvent.change(field, { target: { value: text } })
    fireEvent.blur(field)
    const count = renders.stop()
    expect(made).toBeGreaterThan(0)
    isAtMost('evaluations per key', name, made)
    isAtMost('components rendered per key', name, count)
    expect(count).toBeGreaterThan(0)
  })
})
