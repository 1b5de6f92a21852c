import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { applyPatch, emptyPlan, set, type Plan } from '@zesty/core'
import { act, cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react'
import { Chain } from '../src/conversion/Chain'
import { Findings } from '../src/conversion/Findings'
import { FirstVerdict } from '../src/conversion/FirstVerdict'
import { ChoiceField, YesNoField } from '../src/parts/ChoiceField'
import { FigureValue } from '../src/parts/FigureValue'
import { PairField, QuantityField } from '../src/parts/QuantityField'
import { PlateReader } from '../src/stages/motor/PlateReader'
import { TerminalBox } from '../src/stages/motor/TerminalBox'
import { changed, undone } from '../src/state/planSlice'
import { store } from '../src/state/store'
import { keeps, lathe, open, server, show, type } from './page'

beforeEach(() => void server(keeps))
afterEach(cleanup)

const motor = (fields: Plan['motor']): Plan => applyPatch(emptyPlan('Lathe'), [set('motor', fields)])
const plate = {
  kind: 'induction',
  powerW: 1500,
  lowVoltageV: 230,
  highVoltageV: 400,
  lowVoltageA: 6,
  highVoltageA: 3.5,
  ratedFrequencyHz: 50,
  ratedSpeedRpm: 1420,
  leads: '6',
  connection: 'star',
} as const
const starOn230 = applyPatch(motor(plate), [set('supply', { voltageV: 230, phases: 1 })])

describe('a quantity field', () => {
  test('fills the plan when it is left and prints what it holds', () => {
    show(<QuantityField path="motor.powerW" />)
    const field = type('Power', '3/4 hp')
    expect(open().plan.motor.powerW).toBeCloseTo(559.27, 1)
    expect(field).toHaveProperty('value', '0.559 kW')
  })
  test('does nothing to the plan while it is typed in', () => {
    show(<QuantityField path="motor.powerW" />)
    fireEvent.change(screen.getByLabelText('Power'), { target: { value: '1' } })
    expect(open().plan.motor.powerW).toBeUndefined()
  })
  test('keeps what it cannot read, says why, and leaves the plan as it was', () => {
    show(<QuantityField path="motor.powerW" />, motor({ powerW: 1500 }))
    const field = type('Power', '7 A')
    expect(field).toHaveProperty('value', '7 A')
    expect(field.getAttribute('aria-invalid')).toBe('true')
    expect(screen.getByRole('alert').textContent).toBe('"A" is a current; this takes a power in W, kW, hp, PS.')
    expect(open().plan.motor.powerW).toBe(1500)
    fireEvent.keyDown(field, { key: 'Escape' })
    expect(field).toHaveProperty('value', '1.5 kW')
    expect(screen.queryByRole('alert')).toBeNull()
  })
  test('left as it was, makes no step', () => {
    show(<QuantityField path="motor.powerW" />, motor({ powerW: 1491.4 }))
    type('Power', '1.49 kW')
    expect([open().undo, open().plan.motor.powerW]).toEqual([[], 1491.4])
  })
  test('emptied, is unknown', () => {
    show(<QuantityField path="motor.powerW" />, motor({ powerW: 1500 }))
    type('Power', ' ')
    expect('powerW' in open().plan.motor).toBe(false)
  })
  test('a pair fills both of its fields in one step', () => {
    show(<PairField low="motor.lowVoltageV" high="motor.highVoltageV" label="Volts" />)
    expect(type('Volts', '230/400')).toHaveProperty('value', '230 / 400 V')
    expect([open().plan.motor, open().undo.length]).toEqual([{ lowVoltageV: 230, highVoltageV: 400 }, 1])
  })
})

describe('choices', () => {
  test('pressed once hold, pressed again are unknown', () => {
    show(<ChoiceField path="motor.cooling" />)
    const blower = screen.getByRole('radio', { name: 'Blower of its own' })
    fireEvent.click(blower)
    expect(open().plan.motor.cooling).toBe('blower')
    fireEvent.click(blower)
    expect('cooling' in open().plan.motor).toBe(false)
  })
  test('are chosen by the arrows too, and by no tab into them', async () => {
    show(<ChoiceField path="motor.cooling" />)
    const [first = document.body, second] = screen.getAllByRole('radio')
    act(() => first.focus())
    expect('cooling' in open().plan.motor).toBe(false)
    fireEvent.keyDown(first, { key: 'ArrowRight' })
    await waitFor(() => expect(second?.getAttribute('aria-checked')).toBe('true'))
    expect(document.activeElement).toBe(second)
    act(() => second?.blur())
    act(() => first.focus())
    expect(second?.getAttribute('aria-checked')).toBe('true')
  })
  test('yes and no are neither until said', () => {
    show(<YesNoField path="supply.isolatorInReach" />)
    expect(screen.getAllByRole('radio').map((r) => r.getAttribute('aria-checked'))).toEqual(['false', 'false'])
    fireEvent.click(screen.getByRole('radio', { name: 'No' }))
    expect(open().plan.supply.isolatorInReach).toBe(false)
  })
})

describe('a figure', () => {
  test('opens to formula, inputs and source, and from there to what it came from', async () => {
    show(<FigureValue id="motor.slip" />, motor(plate))
    fireEvent.click(screen.getByRole('button', { name: /^Slip at full load: 5\.3/ }))
    const formula = await screen.findByTestId('formula', {}, { timeout: 10_000 })
    // The last of its clauses: what the synchronous speed is over the speed, as a part of it.
    expect([...formula.getElementsByTagName('mfrac')].at(-1)?.textContent).toBe('ns−nns')
    fireEvent.click(within(screen.getByRole('row', { name: /Plate speed/ })).getByRole('button'))
    expect(screen.getByRole('heading', { name: 'Plate speed' })).toBeTruthy()
    expect(screen.getByText('Given: from the plate or typed by you')).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: 'Back' }))
    expect(screen.getByTestId('formula')).toBeTruthy()
  })
  test('that is not known names what it waits for', async () => {
    show(<FigureValue id="motor.torque" />, motor({ powerW: 1500 }))
    fireEvent.click(screen.getByRole('button', { name: /Not known yet/ }))
    await waitFor(() => screen.getByText('It waits for:'), { timeout: 10_000 })
    expect(within(screen.getByRole('dialog')).getByRole('button').textContent).toBe('Speed')
  })
})

/** Presses a remedy as soon as it may be pressed: it is tried first. */
async function press(name: string) {
  const button = screen.getByRole<HTMLButtonElement>('button', { name })
  await waitFor(() => expect(button.disabled).toBe(false))
  fireEvent.click(button)
}

describe('findings', () => {
  test('a decision mends in one press, once it was tried', async () => {
    show(<Findings stage="route" />, lathe(set('route.chosen', 'converter-starters')))
    await press('A drive on each machine instead')
    expect(open().plan.route.chosen).toBe('drive-each')
    expect(open().plan.planned).toBeUndefined()
    expect(open().undo.map((s) => s.label)).toEqual(['A drive on each machine instead'])
  })
  test('work is planned by one press and claimed by none; who looks settles it, and undo brings it back', async () => {
    show(<Findings stage="motor" />, starOn230)
    const star = screen.getByRole('article', { name: '' })
    expect(star.textContent).toMatch(/Links are in star: torque is lost/)
    await press('Plan it: Move links to delta')
    expect(open().plan.motor.connection).toBe('star')
    expect(open().plan.planned).toEqual([{ label: 'Move links to delta', path: 'motor.connection' }])
    expect(screen.getByText('Planned: Move links to delta')).toBeTruthy()
    expect(screen.getByText(/Links are in star/)).toBeTruthy()
    // What was seen in the box, typed.
    act(() => void store.dispatch(changed({ label: 'Links', patch: [set('motor.connection', 'delta')] })))
    expect(open().plan.planned).toEqual([])
    expect(screen.queryByText(/Links are in star/)).toBeNull()
    act(() => void store.dispatch(undone()))
    expect(open().plan.planned).toHaveLength(1)
  })
  test('can be kept to this stage', () => {
    show(<Findings stage="speeds" />, starOn230)
    fireEvent.click(screen.getByRole('button', { name: 'All stages' }))
    expect(screen.queryByRole('article')).toBeNull()
    expect(screen.getByText('Nothing on this stage.')).toBeTruthy()
  })
  test('an empty plan says what will appear', () => {
    show(<Findings stage="survey" />)
    expect(screen.getByText(/appears here as you type/)).toBeTruthy()
  })
})

test('the chain answers a change at once', () => {
  show(
    <>
      <Chain />
      <QuantityField path="motor.powerW" />
    </>,
    starOn230,
  )
  const link = () => screen.getByRole('button', { name: /^Motor/ }).textContent.replace(/\u00a0/g, ' ')
  expect(link()).toContain('5.8 N m of 10.1 N m left')
  type('Power', '750 W')
  expect(link()).toContain('of 5.04 N m left')
})

test('the way to a first verdict shows the step at hand and goes when all are done', () => {
  const { rerender } = show(<FirstVerdict />)
  expect(screen.getByRole('button', { current: 'step' }).textContent).toContain('Machine')
  rerender(<></>)
  cleanup()
  show(
    <FirstVerdict />,
    applyPatch(starOn230, [
      set('survey.machineKind', 'lathe'),
      set('supply.breakerA', 16),
      set('supply.frequencyHz', 50),
      set('drive', { input: '1', inputVoltageV: 230, ratedOutputA: 7 }),
      set('survey.positions', [{ id: 'a', transmission: [{ kind: 'direct' }] }]),
    ]),
  )
  expect(screen.queryByText(/first verdict/)).toBeNull()
})

describe('the plate reader', () => {
  test('shows what it understood of each line and fills the plate in one step', () => {
    show(<PlateReader />)
    fireEvent.change(screen.getByRole('textbox'), { target: { value: '1.5 kW 1420 rpm\nserial 77' } })
    expect(screen.getByText(/Speed 1\s?420/)).toBeTruthy()
    expect(screen.getByText('Not read: serial 77')).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: 'Put this on the plate' }))
    expect([open().plan.motor, open().undo.length]).toEqual([{ powerW: 1500, ratedSpeedRpm: 1420 }, 1])
  })
  test('what is doubtful is put on the plate only where it is pressed', () => {
    show(<PlateReader />)
    fireEvent.change(screen.getByRole('textbox'), { target: { value: '1.5 kW 1725 rpm 50 Hz' } })
    expect(screen.getByText('Doubtful: speed, 1725 rpm is no speed at 50 Hz')).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: 'Take 50 Hz'.replace(' 50 ', ' 50\u00a0') }))
    fireEvent.click(screen.getByRole('button', { name: 'Put this on the plate' }))
    expect(open().plan.motor).toEqual({ powerW: 1500, ratedFrequencyHz: 50 })
  })
  test('offers nothing where nothing was understood', () => {
    show(<PlateReader />)
    fireEvent.change(screen.getByRole('textbox'), { target: { value: 'made with care' } })
    expect(screen.queryByRole('button', { name: 'Put this on the plate' })).toBeNull()
  })
})

test('a terminal box draws every lead once and one bar for each group', () => {
  const { container } = show(
    <TerminalBox
      leads="9-star"
      linked={{
        connection: 'low',
        links: [
          ['1', '7'],
          ['2', '8'],
          ['3', '9'],
          ['4', '5', '6'],
        ],
        lines: { L1: '1', L2: '2', L3: '3' },
      }}
    />,
  )
  expect([...container.querySelectorAll('text')].map((t) => t.textContent).sort()).toEqual([
    '1',
    '2',
    '3',
    '4',
    '5',
    '6',
    '7',
    '8',
    '9',
    'L1',
    'L2',
    'L3',
  ])
  expect(container.querySelectorAll('g[stroke="var(--copper)"] path')).toHaveLength(4)
})
