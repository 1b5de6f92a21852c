import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { conversion, evaluate, fieldAt, set, type Plan } from '@zesty/core'
import { fitMeasurements, type Measurement } from '@zesty/core/measurements'
import { emptyManual } from '@zesty/core/manual'
import { steps, wiringOf, type Wiring } from '@zesty/core/wiring'
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { api } from '../src/state/api'
import { usePlan } from '../src/state/openPlan'
import { store } from '../src/state/store'
import { AsFoundSheet } from '../src/stages/survey/AsFoundSheet'
import { BuildSheet } from '../src/stages/wiring/BuildSheet'
import { ChecksSheet } from '../src/stages/wiring/ChecksSheet'
import { ControlsSheet } from '../src/stages/wiring/ControlsSheet'
import { Drawings } from '../src/stages/wiring/Drawings'
import { OldWires } from '../src/stages/wiring/OldWires'
import { PartsSheet } from '../src/stages/wiring/PartsSheet'
import { WireList } from '../src/stages/wiring/WireList'
import { Worksheet } from '../src/stages/wiring/Worksheet'
import { keeps, lathe, open, pick, server, show } from './page'

beforeEach(() => void server(keeps))
afterEach(() => {
  cleanup()
  // Readings of one test are not the next one's.
  store.dispatch(api.util.resetApiState())
})

/** A sheet of the stage, with the wiring of the plan as it is at that moment. */
function Live({ of: Sheet }: { of: (props: { wiring: Wiring }) => React.ReactNode }) {
  return <Sheet wiring={wiringOf(usePlan())} />
}

const wired = (plan: Plan = open().plan): Wiring => wiringOf(plan)

describe('the wire list', () => {
  test('has every wire of the drawing, sorted by what is pressed', () => {
    show(<Live of={WireList} />, lathe())
    const rows = () => within(screen.getByRole('table')).getAllByRole('row').slice(1)
    expect(rows().length).toBe(wired().wires.length)
    const numbers = () => rows().map((r) => Number(r.querySelector('td')?.textContent))
    expect(numbers()).toEqual([...numbers()].sort((a, b) => a - b))
    fireEvent.click(screen.getByRole('button', { name: 'No.' }))
    expect(numbers()).toEqual([...numbers()].sort((a, b) => b - a))
  })
  test('finds by any word', () => {
    show(<Live of={WireList} />, lathe(set('controls.reference', 'knob')))
    fireEvent.change(screen.getByLabelText('Find'), { target: { value: 'knob' } })
    const rows = within(screen.getByRole('table')).getAllByRole('row').slice(1)
    expect(rows.length).toBeGreaterThan(2)
    expect(rows.every((r) => /knob/i.test(r.textContent))).toBe(true)
  })
  test('a tick in the list is the tick of the step that makes the wire, both ways', () => {
    show(<Live of={WireList} />, lathe())
    const wire = wired().wires.find((w) => w.key === 'motor-u/1')
    const box = () => screen.getByRole('checkbox', { name: `Wire ${wire?.number ?? ''} is tugged` })
    fireEvent.click(box())
    expect(open().plan.wiring.steps?.['motor']?.tugged).toEqual(['motor-u/1'])
    expect(box().getAttribute('aria-checked')).toBe('true')
    const count = () => within(screen.getByRole('table')).getAllByRole('row').length - 1
    fireEvent.change(screen.getByLabelText('Show'), { target: { value: 'not-tugged' } })
    expect(count()).toBe(wired().wires.length - 1)
    fireEvent.change(screen.getByLabelText('Show'), { target: { value: 'all' } })
    fireEvent.click(box())
    expect(open().plan.wiring.steps?.['motor']?.tugged).toEqual([])
  })
  test('a wire changed by hand is marked and can be as planned again', () => {
    show(<Live of={WireList} />, lathe())
    const wire = wired().wires.find((w) => w.key === 'motor-u/1')
    fireEvent.click(screen.getByRole('button', { name: `Change wire ${wire?.number ?? ''}` }))
    const dialog = within(screen.getByRole('dialog'))
    fireEvent.change(dialog.getByLabelText('What is different'), { target: { value: 'swapped' } })
    fireEvent.change(dialog.getByLabelText('Which end'), { target: { value: 'from' } })
    fireEvent.change(dialog.getByLabelText('With wire'), { target: { value: 'motor-v/1' } })
    fireEvent.change(dialog.getByLabelText('Why'), { target: { value: 'the box is turned' } })
    fireEvent.click(dialog.getByRole('button', { name: 'Keep it so' }))
    const [u, v] = ['motor-u/1', 'motor-v/1'].map((key) => wired().wires.find((w) => w.key === key)?.from)
    expect([u, v]).toEqual(['drive.v', 'drive.u'])
    expect(screen.getAllByText(/by hand: the box is turned/).length).toBe(2)
    fireEvent.click(screen.getByRole('button', { name: 'As planned again' }))
    expect(open().plan.wiring.changes).toBeUndefined()
  })
})

test('a wire more is drawn, listed, and kept', () => {
  show(<Live of={WireList} />, lathe())
  const before = wired().wires.length
  fireEvent.click(screen.getByRole('button', { name: 'A wire more' }))
  const dialog = within(screen.getByRole('dialog'))
  const keep = dialog.getByRole('button', { name: 'Keep it so' })
  fireEvent.change(dialog.getByLabelText('From'), { target: { value: 'drive.u' } })
  fireEvent.change(dialog.getByLabelText('To'), { target: { value: 'drive.u' } })
  expect(dialog.getByRole('alert').textContent).toMatch(/one terminal/)
  expect(keep).toHaveProperty('disabled', true)
  fireEvent.change(dialog.getByLabelText('To'), { target: { value: 'drive.v' } })
  fireEvent.change(dialog.getByLabelText('Size, where it is another'), { target: { value: '900 mm2' } })
  expect(keep).toHaveProperty('disabled', true)
  fireEvent.change(dialog.getByLabelText('Size, where it is another'), { target: { value: '1.5' } })
  fireEvent.change(dialog.getByLabelText('What it is for'), { target: { value: 'a probe' } })
  fireEvent.click(keep)
  expect(wired().wires).toHaveLength(before + 1)
  expect(wired().wires.at(-1)).toMatchObject({ from: 'drive.u', to: 'drive.v', areaMm2: 1.5, byHand: 'a probe' })
  expect(screen.getByRole('heading', { name: `Wire list, ${before + 1} wires` })).toBeTruthy()
})

describe('build and prove', () => {
  const current = () => screen.getByRole('article')
  test('goes on where somebody stopped, and keeps the day', () => {
    show(<Live of={BuildSheet} />, lathe())
    const built = conversion(open().plan).of(steps)
    expect(within(current()).getByRole('heading').textContent).toBe(built[0]?.title)
    fireEvent.click(screen.getByRole('button', { name: 'Done' }))
    expect(open().plan.wiring.steps?.['arrival']?.on).toMatch(/^\d{4}-\d\d-\d\d$/)
    expect(within(current()).getByRole('heading').textContent).toBe(built[1]?.title)
    // Numbers stay from the first answer on.
    expect(Object.keys(open().plan.wiring.numbers ?? {}).length).toBe(wired().wires.length)
  })
  test('the wrong way opens its own steps, and the wiring keeps the change', () => {
    show(<Live of={BuildSheet} />, lathe())
    fireEvent.change(screen.getByLabelText('Step'), { target: { value: 'first-spin' } })
    fireEvent.click(screen.getByRole('button', { name: 'It turns the wrong way' }))
    expect(screen.getByText(/Wait ten minutes/)).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: 'I have changed the two leads over' }))
    expect(wired().wires.find((w) => w.key === 'motor-u/1')?.from).toBe('drive.v')
    expect(open().plan.wiring.changes?.[0]?.why).toBe('It turned the wrong way')
    fireEvent.click(screen.getByRole('button', { name: 'They are as planned again' }))
    expect(wired().wires.find((w) => w.key === 'motor-u/1')?.from).toBe('drive.u')
  })
  test('judges a reading as it is typed, keeps it as a row among the readings, and refuses what it cannot read', async () => {
    const rows: Measurement[] = []
    const answer = (body: unknown, status = 200) =>
      Promise.resolve(new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } }))
    globalThis.fetch = jest.fn((request: { url: string; method?: string; body?: string }) => {
      if (!request.url.endsWith('/measurements')) return answer([])
      if (request.method === 'POST')
        rows.push(...(JSON.parse(request.body ?? '') as { measurements: Measurement[] }).measurements)
      return request.method === 'POST' ? answer({ added: 1, measured: fitMeasurements(rows) }, 201) : answer(rows)
    }) as unknown as typeof fetch
    show(<Live of={BuildSheet} />, lathe())
    fireEvent.change(screen.getByLabelText('Step'), { target: { value: 'earth' } })
    const type = (value: string) => {
      const field = screen.getByLabelText(/^Frame to the earth bar/)
      fireEvent.change(field, { target: { value } })
      fireEvent.blur(field)
    }
    type('0.05')
    expect(await screen.findByText('Good')).toBeTruthy()
    await waitFor(() => expect(rows).toMatchObject([{ kind: 'resistance', value: 0.05, of: 'Frame to the earth bar' }]))
    type('much')
    expect(rows).toHaveLength(1)
    type('0.4')
    expect(await screen.findByText('Not as it should be: stop here')).toBeTruthy()
    expect(open().plan.wiring.steps?.['earth']?.readings).toBeUndefined()
  })
  test('the day it may go back stands in the step of its first starts', () => {
    show(<Live of={BuildSheet} />, lathe())
    fireEvent.change(screen.getByLabelText('Step'), { target: { value: 'arrival' } })
    fireEvent.change(screen.getByLabelText(fieldAt('wiring.sendBackBy').label), { target: { value: '2027-01-20' } })
    expect(open().plan.wiring.sendBackBy).toBe('2027-01-20')
    fireEvent.change(screen.getByLabelText('Step'), { target: { value: 'ten-starts' } })
    expect(within(current()).getByText(/Before 2027-01-20: ten starts/)).toBeTruthy()
  })
  test('what is left for later is a loose end; a typed one goes when it is undone', () => {
    show(<Live of={BuildSheet} />, lathe())
    fireEvent.change(screen.getByLabelText('Step'), { target: { value: 'earth' } })
    fireEvent.click(screen.getByRole('button', { name: 'Left for later' }))
    expect(screen.getByText('Frame and motor are not bonded')).toBeTruthy()
    expect(screen.getByText(/Not to be used: 1 of them is a stop/)).toBeTruthy()
    fireEvent.change(screen.getByLabelText('Something temporary'), { target: { value: 'Test switch' } })
    fireEvent.click(screen.getByRole('button', { name: 'Note it' }))
    fireEvent.click(screen.getByRole('button', { name: 'It is undone' }))
    expect(screen.queryByText('Test switch')).toBeNull()
    expect(open().plan.wiring.looseEnds?.[0]?.undone).toBe(true)
  })
})

describe('the drawings', () => {
  test('one sheet in view, and a pressed wire with both its ends', () => {
    show(<Live of={Drawings} />, lathe())
    const tabs = screen.getAllByRole('tab').map((t) => t.textContent)
    expect(tabs).toContain('Motor box')
    expect(tabs).toContain('Panel')
    const wire = screen.getAllByRole('img')[0]?.querySelector('g.cursor-pointer')
    if (!wire) throw new Error('no wire can be pressed')
    fireEvent.click(wire)
    expect(within(screen.getByRole('region', { name: /^Wire \d/ })).getByText('Dead')).toBeTruthy()
    expect(within(screen.getByRole('region', { name: /^Wire \d/ })).getByText('Live')).toBeTruthy()
  })
})

describe('parts, checks, and what was found', () => {
  test('a price counts until the part is had', () => {
    show(<Live of={PartsSheet} />, lathe())
    const price = screen.getByLabelText(/^Price of Cable glands/)
    fireEvent.change(price, { target: { value: '12,50' } })
    fireEvent.blur(price)
    expect(open().plan.wiring.parts?.['glands']?.price).toBe(12.5)
    expect(screen.getByText(/^Still to pay for.*: \D*1[23]/)).toBeTruthy()
    fireEvent.change(screen.getByLabelText(/^Cable glands is/), { target: { value: 'had' } })
    expect(open().plan.wiring.parts?.['glands']).toEqual({ price: 12.5, state: 'had' })
  })
  test('parts and tools are a table: sorted, found, filtered; what is no price is said', () => {
    show(<Live of={PartsSheet} />, lathe())
    const rows = () => within(screen.getByRole('table')).getAllByRole('row').slice(1)
    const all = rows().length
    fireEvent.click(screen.getByRole('button', { name: 'Part or tool' }))
    const first = () => rows()[0]?.querySelector('td')?.textContent ?? ''
    expect(first()).toMatch(/^Cable glands/)
    fireEvent.click(screen.getByRole('button', { name: 'Part or tool' }))
    expect(first()).toMatch(/^3 cores/)
    fireEvent.change(screen.getByLabelText('Show'), { target: { value: 'tool' } })
    expect(rows().length).toBeLessThan(all)
    // As tight as this drive's manual says.
    expect(rows().some((r) => /Torque screwdriver, [\d.]+( to [\d.]+)? N m/.test(r.textContent))).toBe(true)
    fireEvent.change(screen.getByLabelText('Find'), { target: { value: 'clamp meter' } })
    expect(rows()).toHaveLength(1)
    const price = screen.getByLabelText(/^Price of Clamp meter/)
    fireEvent.change(price, { target: { value: 'dear' } })
    fireEvent.blur(price)
    expect(screen.getByRole('alert').textContent).toMatch(/A number from 0/)
    expect(open().plan.wiring.parts?.['tool-clamp']).toBeUndefined()
  })
  test('what is paid is not to be paid once more', () => {
    show(<Live of={PartsSheet} />, lathe(set('wiring.parts', { glands: { price: 12, state: 'paid' } })))
    expect(screen.getByText(/^Still to pay for.*: \D*0/)).toBeTruthy()
  })
  test('an old wire is told what becomes of it, and the step says so', () => {
    show(<Live of={OldWires} />, lathe())
    const oldOff = () =>
      conversion(open().plan)
        .of(steps)
        .find(({ id }) => id === 'old-off')?.do
    expect(oldOff()?.[2]).toMatch(/nobody said what becomes of it/)
    fireEvent.change(screen.getByLabelText('What becomes of 1'), { target: { value: 'stays' } })
    fireEvent.change(screen.getByLabelText('What becomes of 3'), { target: { value: 'used' } })
    const wire = wired().wires.find((w) => w.key === 'motor-u/1')
    fireEvent.change(screen.getByLabelText('3 is used again as'), { target: { value: wire?.key } })
    expect(oldOff()?.[0]).toMatch(/: stays where it is/)
    expect(oldOff()?.[1]).toMatch(/: off, at both ends/)
    expect(oldOff()?.[2]).toContain(`is wire ${wire?.number ?? ''} from now on`)
  })
  test('every check of the wiring has its answer', () => {
    show(<ChecksSheet />, lathe())
    const asked = evaluate(open().plan).judged.filter((l) => l.id.startsWith('wiring.')).length
    expect(screen.getByRole('heading', { name: `Checks of the wiring, ${asked}` })).toBeTruthy()
    const counts = screen.getAllByRole('tab').map((t) => Number(/, (\d+)$/.exec(t.textContent)?.[1]))
    expect(counts.reduce((a, b) => a + b, 0)).toBe(asked)
  })
  test('wires as found are kept line by line', () => {
    show(<AsFoundSheet />, lathe(set('wiring.asFound', undefined)))
    fireEvent.click(screen.getByRole('button', { name: 'A wire' }))
    const from = screen.getByLabelText('From')
    fireEvent.change(from, { target: { value: 'Drum switch 1' } })
    fireEvent.blur(from)
    expect(open().plan.wiring.asFound?.[0]).toMatchObject({ tag: '1', from: 'Drum switch 1' })
  })
})

describe('the worksheet', () => {
  test('grows a manual from what was found, and assumes the rest', () => {
    const made: unknown[] = []
    show(<Worksheet manual={emptyManual('A board')} onTake={(m) => made.push(m)} />, lathe())
    fireEvent.change(screen.getByLabelText('Run forward'), { target: { value: 'S1' } })
    fireEvent.change(screen.getByLabelText('Common of the switches'), { target: { value: 'COM' } })
    fireEvent.click(screen.getByRole('button', { name: 'Make the manual from it' }))
    const [manual] = made as { terminals: { prints: string; does: string; basis: string }[] }[]
    const of = (does: string) => manual?.terminals.find((t) => t.does === does)
    expect([of('run-forward')?.prints, of('run-forward')?.basis]).toEqual(['S1', 'printed'])
    expect(of('motor-u')?.basis).toBe('assumed')
    expect(of('relay-open')).toBeUndefined()
  })
})

describe('how it is run and stopped', () => {
  const asked = (label: string) => screen.queryByText(label) !== null
  test('asks what the knob reads only where there is a knob', () => {
    show(<ControlsSheet />, lathe(set('controls.reference', 'keypad')))
    expect(asked(fieldAt('controls.knobMode').label)).toBe(false)
    cleanup()
    show(<ControlsSheet />, lathe(set('controls.reference', 'knob')))
    expect(asked(fieldAt('controls.knobMode').label)).toBe(true)
  })
  test('asks for the seconds of a quick emergency ramp only where the mushroom makes one', () => {
    const label = fieldAt('controls.quickRampS').label
    show(<ControlsSheet />, lathe(set('controls.emergencyStop', 'contactor')))
    expect(asked(label)).toBe(false)
    cleanup()
    show(<ControlsSheet />, lathe(set('controls.emergencyStop', 'ramp-input')))
    expect(asked(label)).toBe(true)
  })
  test('asks what resetting does only where there is something to reset', () => {
    const label = fieldAt('controls.resetStarts').label
    for (const [stop, expected] of [
      ['none', false],
      [undefined, false],
      ['contactor', true],
    ] as const) {
      show(<ControlsSheet />, lathe(set('controls.emergencyStop', stop)))
      expect([stop, asked(label)]).toEqual([stop, expected])
      cleanup()
    }
  })
  test('asks for a lock only where reverse would unscrew the chuck', () => {
    const label = fieldAt('controls.reverseLocked').label
    show(<ControlsSheet />, lathe(set('survey.spindleNose', 'threaded'), set('controls.reverseWanted', true)))
    expect(asked(label)).toBe(true)
    cleanup()
    show(<ControlsSheet />, lathe(set('survey.spindleNose', 'cam-lock'), set('controls.reverseWanted', true)))
    expect(asked(label)).toBe(false)
  })
  test('a mushroom chosen is in the plan, and judged', () => {
    show(<ControlsSheet />, lathe())
    const { label, options } = fieldAt('controls.emergencyStop')
    pick(label, options?.['none'] ?? '')
    expect(open().plan.controls.emergencyStop).toBe('none')
    expect(evaluate(open().plan).findings.some((f) => f.id === 'controls.emergency-stop/none')).toBe(true)
  })
})
