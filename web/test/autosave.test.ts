import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { emptyPlan, set, type Plan } from '@zesty/core'
import { store } from '../src/state/store'
import { readDrafts } from '../src/state/draft'
import { changed, closed, settled, typedUnread } from '../src/state/planSlice'
import { CONVERSION, conversion, keeps, open, openWith, problem, server } from './page'

const power = (powerW: number) => changed({ label: 'Power', patch: [set('motor.powerW', powerW)] })
const plan: Plan = emptyPlan('Lathe')
/** What this browser holds of the conversion. */
const draft = () => readDrafts().find(({ conversionId }) => conversionId === CONVERSION)
const elapse = (ms: number) => jest.advanceTimersByTimeAsync(ms)

beforeEach(() => {
  jest.useFakeTimers()
  localStorage.clear()
  openWith(plan)
})
afterEach(() => {
  store.dispatch(closed())
  jest.useRealTimers()
})

test('edits in one breath are one save, made to the revision at hand', async () => {
  const sent = server(keeps)
  store.dispatch(power(1000))
  await elapse(100)
  store.dispatch(power(1100))
  expect(open().keeping.state).toBe('keeping')
  await elapse(600)
  expect(sent.map((s) => [s.baseRevision, s.plan.motor.powerW])).toEqual([[1, 1100]])
  expect([open().revision, open().keeping.state]).toEqual([2, 'kept'])
})

test('an edit made while a save is under way follows it, on the new revision', async () => {
  const sent = server((save) => {
    if (save.baseRevision === 1) store.dispatch(power(1500))
    return keeps(save)
  })
  store.dispatch(power(1100))
  await elapse(2000)
  expect(sent.map((s) => [s.baseRevision, s.plan.motor.powerW])).toEqual([
    [1, 1100],
    [2, 1500],
  ])
  expect(open().keptPlan.motor.powerW).toBe(1500)
})

/** A server with a revision of its own, that refuses a save made to another. */
function keepsOnce(wait: (nth: number) => number, loses: (nth: number) => boolean = () => false) {
  let [nth, now] = [0, conversion(plan)]
  return server(async ({ baseRevision, plan: next }) => {
    nth += 1
    const [ms, lost] = [wait(nth), loses(nth)]
    const fits = baseRevision === now.revision
    if (fits) now = conversion(next, now.revision + 1)
    const answer = fits ? { status: 200, body: now } : problem(409, 'changed', { theirs: now })
    await new Promise((done) => setTimeout(done, ms))
    return lost ? new TypeError('fetch failed') : answer
  })
}

test('edits made while a slow save is under way wait for its answer, and are no conflict', async () => {
  const sent = keepsOnce((nth) => (nth === 1 ? 3000 : 0))
  store.dispatch(power(1100))
  await elapse(500)
  store.dispatch(power(1200))
  await elapse(800)
  store.dispatch(power(1300))
  await elapse(1000)
  expect(sent).toHaveLength(1)
  await elapse(2000)
  expect(sent.map((s) => [s.baseRevision, s.plan.motor.powerW])).toEqual([
    [1, 1100],
    [2, 1300],
  ])
  expect([open().theirs, open().keeping.state, open().plan.motor.powerW]).toEqual([undefined, 'kept', 1300])
})

test('until the newest edit is kept, it does not say so', async () => {
  keepsOnce((nth) => (nth === 1 ? 500 : 2000))
  store.dispatch(power(1100))
  await elapse(400)
  store.dispatch(power(1200))
  await elapse(600)
  expect([open().revision, open().keeping.state]).toEqual([2, 'keeping'])
  await elapse(3000)
  expect([open().revision, open().keeping.state]).toEqual([3, 'kept'])
})

test('a save whose answer was lost is no conflict when it is met again', async () => {
  const sent = keepsOnce(
    () => 0,
    (nth) => nth === 1,
  )
  store.dispatch(power(1100))
  await elapse(500)
  expect(open().keeping.state).toBe('waiting')
  store.dispatch(power(1200))
  await elapse(3000)
  expect(sent.map((s) => [s.baseRevision, s.plan.motor.powerW])).toEqual([
    [1, 1100],
    [1, 1200],
    [2, 1200],
  ])
  expect([open().theirs, open().keeping.state, open().revision]).toEqual([undefined, 'kept', 3])
})

describe('while the server is away', () => {
  test('it waits, keeps a draft, and sends when the server is back', async () => {
    let away = true
    const sent = server((save) => (away ? new TypeError('fetch failed') : keeps(save)))
    store.dispatch(power(1100))
    await elapse(500)
    expect(open().keeping.state).toBe('waiting')
    expect(draft()).toMatchObject({ baseRevision: 1, plan: { motor: { powerW: 1100 } } })
    away = false
    await elapse(2500)
    expect([open().keeping.state, sent.length >= 2, draft()]).toEqual(['kept', true, undefined])
  })
  test('a server without its database is waited for as well', async () => {
    server(() => problem(503, 'The database does not answer.'))
    store.dispatch(power(1100))
    await elapse(500)
    expect(open().keeping).toEqual({ state: 'waiting', why: 'The database does not answer.' })
  })
})

describe('an answer that will not change', () => {
  test.each([400, 403, 404, 413, 422, 500, 502])('%d is not asked for again', async (status) => {
    const sent = server(() => problem(status, 'No.'))
    store.dispatch(power(1100))
    await elapse(20_000)
    expect([open().keeping, sent.length]).toEqual([{ state: 'refused', why: 'No.' }, 1])
    // The next edit is another question.
    store.dispatch(power(1200))
    await elapse(600)
    expect(sent).toHaveLength(2)
  })
  test.each([429, 503])('%d may, when the server says', async (status) => {
    const sent = server(() => ({ ...problem(status, 'Later.'), headers: { 'retry-after': '7' } }))
    store.dispatch(power(1100))
    await elapse(6500)
    expect(sent).toHaveLength(1)
    await elapse(1500)
    expect(sent).toHaveLength(2)
  })
})

describe('a field that the server refuses', () => {
  const refusing = (faults: { field: string; message: string }[]) =>
    server((save) =>
      save.plan.motor.powerW === 1100
        ? problem(400, 'plan.motor.powerW must be at most 1000.', { faults })
        : keeps(save),
    )
  test('goes back to what is kept, with its text to mend, and the rest is kept', async () => {
    const sent = refusing([{ field: 'plan.motor.powerW', message: 'must be at most 1000' }])
    store.dispatch(changed({ label: 'Both', patch: [set('motor.powerW', 1100), set('motor.frame', '90L')] }))
    await elapse(2000)
    expect(sent.map(({ plan: { motor } }) => [motor.powerW, motor.frame])).toEqual([
      [1100, '90L'],
      [undefined, '90L'],
    ])
    expect(open().typed).toEqual({
      'motor.powerW': {
        text: expect.stringMatching(/^1\.1\skW$/),
        message: 'must be at most 1000',
      },
    })
    expect([open().keeping.state, open().keptPlan.motor.frame]).toEqual(['kept', '90L'])
    expect(draft()?.typed).toEqual(open().typed)
  })
  test.each([
    ['is none of this page’s', [{ field: 'plan.motor.steam', message: 'is missing' }]],
    ['holds what the server kept already', [{ field: 'plan.motor.frame', message: 'is wrong' }]],
    [
      'is only one of two that are refused',
      [
        { field: 'plan.motor.powerW', message: 'x' },
        { field: '', message: 'y' },
      ],
    ],
  ])('is told and left when it %s', async (_, faults) => {
    const sent = refusing(faults)
    store.dispatch(power(1100))
    await elapse(10_000)
    expect([open().keeping.state, open().plan.motor.powerW, sent.length]).toEqual(['refused', 1100, 1])
  })
})

describe('a browser that keeps nothing', () => {
  const away = () => server(() => new TypeError('fetch failed'))
  afterEach(() => void jest.restoreAllMocks())
  test('because it is full is told, and no longer when there is room again', async () => {
    const full = jest.spyOn(Storage.prototype, 'setItem').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    away()
    store.dispatch(power(1100))
    await elapse(500)
    expect([open().heldBy, open().keeping.state]).toEqual(['page', 'waiting'])
    full.mockRestore()
    await elapse(5000)
    expect([open().heldBy, draft()?.plan.motor.powerW]).toEqual(['browser', 1100])
  })
  test('because it is forbidden is told, and the server still keeps it', async () => {
    jest.spyOn(window, 'localStorage', 'get').mockImplementation(() => {
      throw new DOMException('no', 'SecurityError')
    })
    let gone = true
    server((save) => (gone ? new TypeError('fetch failed') : keeps(save)))
    store.dispatch(power(1100))
    await elapse(500)
    expect(open().heldBy).toBe('page')
    gone = false
    await elapse(5000)
    expect([open().heldBy, open().keeping.state]).toEqual(['server', 'kept'])
  })
  test('because it was told to forget is given it again', async () => {
    away()
    store.dispatch(power(1100))
    await elapse(500)
    localStorage.clear()
    await elapse(5000)
    expect(draft()?.plan.motor.powerW).toBe(1100)
  })
})

test('a refused plan is said and not sent again and again', async () => {
  const sent = server(() => problem(400, 'plan.motor.powerW must be at least 10.'))
  store.dispatch(power(1100))
  await elapse(10_000)
  expect([open().keeping, sent.length]).toEqual([
    { state: 'refused', why: 'plan.motor.powerW must be at least 10.' },
    1,
  ])
})

test('what somebody else changed in other places comes in beside what is typed here, and nobody is asked', async () => {
  const theirs = conversion({ ...plan, motor: { frame: '90L' } }, 7)
  const sent = server((save) => (save.baseRevision === 1 ? problem(409, 'changed', { theirs }) : keeps(save)))
  store.dispatch(power(1100))
  await elapse(2000)
  expect(sent.map((s) => [s.baseRevision, s.plan.motor])).toEqual([
    [1, { powerW: 1100 }],
    [7, { powerW: 1100, frame: '90L' }],
  ])
  expect([open().theirs, open().merges, open().revision, open().keeping.state]).toEqual([undefined, 1, 8, 'kept'])
})

test('a conflict stops sending until it is settled, then goes on top of theirs', async () => {
  const theirs = conversion({ ...plan, motor: { powerW: 750 } }, 7)
  const sent = server((save) => (save.baseRevision === 1 ? problem(409, 'changed', { theirs }) : keeps(save)))
  store.dispatch(power(1100))
  await elapse(600)
  expect(open().theirs?.revision).toBe(7)
  store.dispatch(power(1200))
  await elapse(3000)
  expect(sent).toHaveLength(1)
  store.dispatch(settled('mine'))
  await elapse(600)
  expect(sent.map((s) => [s.baseRevision, s.plan.motor.powerW])).toEqual([
    [1, 1100],
    [7, 1200],
  ])
  expect([open().revision, open().keeping.state]).toEqual([8, 'kept'])
})

describe('drafts', () => {
  test('keep text that does not read, too', () => {
    server(keeps)
    store.dispatch(typedUnread({ path: 'motor.powerW', text: '230 V', message: 'no' }))
    expect(draft()?.typed).toEqual({ 'motor.powerW': { text: '230 V', message: 'no' } })
  })
  test.each(['', '{', '{"baseRevision":1}', '{"baseRevision":1,"plan":{"schemaVersion":9}}', '[]'])(
    'that cannot be read are left alone: %s',
    (text) => {
      localStorage.setItem(`zesty.draft.${CONVERSION}.another-tab`, text)
      expect(draft()).toBeUndefined()
    },
  )
})
