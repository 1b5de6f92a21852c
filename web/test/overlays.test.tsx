import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { claimOf, emptyPlan, evaluate, messageText, set, stageIds, stages, type Plan } from '@zesty/core'
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { ConflictDialog } from '../src/conversion/ConflictDialog'
import { Palette } from '../src/conversion/Palette'
import { Revisions } from '../src/conversion/Revisions'
import { api } from '../src/state/api'
import { changed, conflicted, kept, undone } from '../src/state/planSlice'
import { store } from '../src/state/store'
import { conversion, keeps, lathe, open, problem, server, SHOP, show } from './page'

beforeEach(() => void server(keeps))
afterEach(() => {
  cleanup()
  act(() => void store.dispatch(api.util.resetApiState()))
})

const plain = (text: string | null | undefined) => (text ?? '').replace(/\s/g, ' ')

/** Answers each address by what stands for it; everything else as a shop. */
function answers(bodies: Record<string, unknown>, status = 200) {
  const shop = { id: SHOP, name: 'Shed', units: 'metric', demo: false, createdAt: '2026-01-01T10:00:00Z' }
  globalThis.fetch = jest.fn(({ url }: { url: string }) => {
    const found = Object.keys(bodies).find((end) => url.endsWith(end))
    return Promise.resolve(
      new Response(JSON.stringify(found === undefined ? shop : bodies[found]), {
        status: found === undefined ? 200 : status,
        headers: { 'content-type': 'application/json' },
      }),
    )
  }) as unknown as typeof fetch
}

describe('revisions', () => {
  const lines = [
    {
      revision: 2,
      origin: 'edited',
      savedAt: '2026-01-02T10:00:00Z',
      changed: { count: 5, first: ['Drive, Power', 'Drive, Amps', 'Wall, Volts', 'Wall, Breaker', 'Name'] },
    },
    { revision: 1, origin: 'begun', savedAt: '2026-01-01T10:00:00Z' },
  ]
  const before: Plan = {
    ...lathe(set('drive.powerW', 750)),
    installation: { place: 'in-box' },
    checks: { smell: 'good' },
  }
  const now = lathe(set('installation.place', 'at-machine'), set('checks.smell', 'bad'))
  const shown = async () => {
    answers({
      '/revisions': lines,
      '/revisions/1': { ...lines[1], plan: before },
      '/revisions/2': { revision: 2, origin: 'edited', savedAt: '2026-01-02T10:00:00Z', plan: now },
    })
    let closed = false
    show(<Revisions onClose={() => (closed = true)} />, now)
    act(() => void store.dispatch(kept(conversion(open().plan, 2))))
    fireEvent.click(await screen.findByRole('button', { name: /^1 begun/ }))
    const restore = await screen.findByRole('button', { name: 'Restore revision 1' })
    return { restore, isClosed: () => closed }
  }
  test('say which is the one that is open, and what has changed since another', async () => {
    await shown()
    expect(screen.getByRole('button', { name: /^1 begun/, pressed: true })).toBeTruthy()
    const table = screen.getByRole('table')
    expect(
      within(table)
        .getAllByRole('columnheader')
        .map((h) => h.textContent),
    ).toEqual(expect.arrayContaining(['In revision 1', 'Now']))
    const row = within(table).getByRole('row', { name: /Power/ })
    expect(plain(row.textContent)).toMatch(/0\.75 kW.*1\.5 kW/)
  })
  test('restored, are the whole plan of then, in one step that can be taken back', async () => {
    const { restore, isClosed } = await shown()
    fireEvent.click(restore)
    expect(open().plan).toEqual({ ...before, name: before.name })
    expect([isClosed(), open().undo.map((step) => step.label)]).toEqual([true, ['Restore revision 1']])
    act(() => void store.dispatch(undone()))
    expect(open().plan).toEqual(now)
  })
  test('say what each changed, and show it against the one before', async () => {
    await shown()
    const second = screen.getByRole('button', { name: /^2/ })
    expect(second.textContent).toContain('Drive, Power; Drive, Amps; Wall, Volts and 2 more')
    fireEvent.click(second)
    const table = await screen.findByRole('table')
    await waitFor(() =>
      expect(
        within(table)
          .getAllByRole('columnheader')
          .map((h) => h.textContent),
      ).toEqual(['What', 'In revision 1', 'In 2']),
    )
    fireEvent.click(screen.getByRole('button', { name: 'What has changed since' }))
    expect(screen.getByText('They are the same.')).toBeTruthy()
  })
  test('can be given a name', async () => {
    await shown()
    fireEvent.change(screen.getByLabelText('Its name'), { target: { value: '  As it was ' } })
    fireEvent.click(screen.getByRole('button', { name: 'Name it' }))
    const asked = () =>
      (globalThis.fetch as jest.Mock).mock.calls.map(([request]) => request as { method: string; url: string })
    const put = await waitFor(() => {
      const found = asked().find(({ method }) => method === 'PUT')
      if (!found) throw new Error('nothing was put')
      return found
    })
    expect(put.url).toMatch(/\/revisions\/1\/name$/)
  })
  test('that cannot be had are told with the server’s words', async () => {
    answers({ '/revisions': problem(404, 'There is no such conversion.').body }, 404)
    show(<Revisions onClose={() => undefined} />)
    expect(await screen.findByText('There is no such conversion.')).toBeTruthy()
  })
})

describe('a plan that was changed in two places', () => {
  const theirs = { ...conversion({ ...emptyPlan('Lathe'), motor: { powerW: 2200 } }, 7) }
  const shown = () => {
    show(<ConflictDialog />, emptyPlan('Lathe'))
    act(() => void store.dispatch(changed({ label: 'Power', patch: [set('motor.powerW', 1500)] })))
    act(() => void store.dispatch(conflicted(theirs)))
  }
  test('asks, with both sides beside each other', () => {
    shown()
    const row = screen.getByRole('row', { name: /Power/ })
    expect(plain(row.textContent)).toMatch(/2\.2 kW.*1\.5 kW/)
    expect(screen.getByText(/Nothing is overwritten until you choose/)).toBeTruthy()
  })
  test('keeps what is here on top of theirs', () => {
    shown()
    fireEvent.click(screen.getByRole('button', { name: 'Keep what is here' }))
    expect([open().plan.motor.powerW, open().revision, open().theirs]).toEqual([1500, 7, undefined])
    expect(screen.queryByRole('dialog')).toBeNull()
  })
  test('or takes theirs, and then has nothing of its own to take back', () => {
    shown()
    fireEvent.click(screen.getByRole('button', { name: 'Take what was kept there' }))
    expect([open().plan.motor.powerW, open().revision, open().undo]).toEqual([2200, 7, []])
  })
})

describe('the palette', () => {
  const starred = lathe(set('motor.connection', 'star'))
  const shown = (plan: Plan) => {
    answers({ '/conversions': [] })
    let closed = 0
    show(<Palette onClose={() => (closed += 1)} />, plan)
    return { closed: () => closed }
  }
  const type = (text: string) =>
    fireEvent.change(screen.getByPlaceholderText(/Type what you want/), { target: { value: text } })
  const options = () => screen.getAllByRole('option').map((o) => plain(o.textContent))
  test('has every stage, under its digit, the tenth under 0', () => {
    shown(emptyPlan('Lathe'))
    expect(options()).toEqual(expect.arrayContaining(stageIds.map((id, i) => `${stages[id].name} ${(i + 1) % 10}`)))
  })
  test('has every finding and every remedy of the plan', () => {
    shown(starred)
    const { findings } = evaluate(starred)
    expect(findings.length).toBeGreaterThan(0)
    const said = findings.flatMap((f) => [
      plain(messageText(f.title)),
      ...f.remedies.map((r) => `${claimOf(r.patch) ? 'Plan it: ' : ''}${plain(messageText(r.label))}`),
    ])
    expect(options()).toEqual(expect.arrayContaining(said))
  })
  test('finds every field by its words, filled in or not, wherever it stands', async () => {
    shown(starred)
    type('overload read in the drive')
    expect(options()).toContain('overload amps Settings, read in the drive')
    type('breaker')
    const [breaker] = screen.getAllByRole('option').filter((o) => o.textContent.includes('Survey, wall'))
    fireEvent.click(breaker ?? document.body)
    await waitFor(() => expect(store.getState().screen.wantedStage).toBe('survey'))
  })
  test('finds by a few letters, and says so where there is nothing', () => {
    shown(starred)
    type('mov links')
    expect(options()[0]).toBe('Plan it: Move links to delta')
    type('zzzz')
    expect(screen.queryAllByRole('option')).toEqual([])
    expect(screen.getByText('Nothing goes by that name.')).toBeTruthy()
  })
  test('does what is chosen once it is closed', async () => {
    const { closed } = shown(starred)
    type('mov links')
    const first = () => screen.getAllByRole('option')[0] ?? document.body
    await waitFor(() => expect(first().getAttribute('aria-disabled')).not.toBe('true'))
    fireEvent.click(first())
    expect(closed()).toBe(1)
    await waitFor(() => expect(open().plan.planned).toHaveLength(1))
    expect(open().undo.map((step) => plain(step.label))).toEqual(['Plan it: Move links to delta'])
  })
  test('leads to what is not known yet', () => {
    shown(emptyPlan('Lathe'))
    const { missing } = evaluate(emptyPlan('Lathe'))
    expect(missing.length).toBeGreaterThan(0)
    expect(options()).toEqual(expect.arrayContaining(missing.map((m) => plain(`${m.label} ${stages[m.stage].name}`))))
  })
})
