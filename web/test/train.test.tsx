import { readFileSync } from 'node:fs'
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { act, cleanup, fireEvent, screen, within } from '@testing-library/react'
import { applyPatch, readConversionFile, set, type Patch, type Plan } from '@zesty/core'
import { store } from '../src/state/store'
import { changed } from '../src/state/planSlice'
import { AmountField, DetachedField } from '../src/parts/DetachedField'
import { TrainSideView } from '../src/drawings/TrainSideView'
import { TrainSheet } from '../src/stages/speeds/TrainSheet'
import { BeltSheet } from '../src/stages/survey/BeltSheet'
import { keeps, open, server, show } from './page'

beforeEach(() => void server(keeps))
afterEach(cleanup)

function lathe(...patch: Patch): Plan {
  const read = readConversionFile(
    JSON.parse(readFileSync(new URL('../../demo/1-saltpan-row/gap-bed-lathe.json', import.meta.url), 'utf8')),
  )
  if (!read.ok) throw new Error('demo')
  return applyPatch(read.value.plan, patch)
}
const position = (plan: Plan, at = 1) => {
  const found = plan.survey.positions[at]
  if (!found) throw new Error('no position')
  return found
}
const edit = (...patch: Patch) => act(() => void store.dispatch(changed({ label: 'x', patch })))
const plain = (element: HTMLElement) => element.textContent.replace(/\s/g, ' ')

describe('the side view', () => {
  const draw = (plan: Plan, at = 1) => {
    const { container } = show(<TrainSideView position={position(plan, at)} path={`survey.positions.${at}`} />, plan)
    return container
  }
  test('tells shafts, speeds and rotations in words beside the picture', () => {
    draw(lathe())
    const shafts = within(screen.getByRole('list', { name: 'Shafts' }))
      .getAllByRole('listitem')
      .map(plain)
    expect(shafts).toEqual(['1 motor, 1 420 rpm, counter-clockwise', '2 spindle, 570.5 rpm, counter-clockwise'])
    expect(screen.getByText(/^Seen as you face the spindle’s nose/)).toBeTruthy()
  })
  test('without knowing where the motor points it is seen at the motor', () => {
    draw(lathe(set('survey.motorFaces', undefined)))
    expect(screen.getByText(/^Seen at the motor’s shaft end/)).toBeTruthy()
    expect(plain(screen.getByRole('list', { name: 'Shafts' }))).toMatch(/1 motor, 1 420 rpm, clockwise/)
  })
  test('sizes and wrap stand at the pulleys, the distance below', () => {
    const text = plain(draw(lathe()))
    expect(text).toMatch(/90 mm, 161°/)
    expect(text).toMatch(/224 mm, 199°/)
    expect(text).toMatch(/412 mm centre to centre/)
  })
  test('a train with gears numbers every shaft; teeth have no rim to hold', () => {
    const container = draw(lathe(), 2)
    expect(screen.getAllByRole('listitem')).toHaveLength(4)
    expect(container.querySelectorAll('circle.cursor-ew-resize')).toHaveLength(2)
  })
  test('a rim drawn out is one change to a stock size; let go of by the system, none', () => {
    const container = draw(lathe())
    const [rim] = container.querySelectorAll('circle.cursor-ew-resize')
    if (!rim) throw new Error('no rim')
    Object.assign(rim, { setPointerCapture: () => undefined })
    const at = {
      x: Number(rim.getAttribute('cx')),
      y: Number(rim.getAttribute('cy')),
      r: Number(rim.getAttribute('r')),
    }
    // The environment has no pointer events of its own; a mouse's carries the place under the same name.
    const pointer = (kind: string, times: number) =>
      fireEvent(rim, new MouseEvent(kind, { bubbles: true, clientX: at.x - times * at.r, clientY: at.y }))
    pointer('pointerdown', 1)
    pointer('pointermove', 1.25)
    pointer('pointercancel', 1.25)
    expect(position(open().plan).transmission[0]?.driverMm).toBe(90)
    pointer('pointerdown', 1)
    pointer('pointermove', 1.25)
    pointer('pointerup', 1.25)
    expect(position(open().plan).transmission[0]?.driverMm).toBe(112)
    expect(open().undo).toHaveLength(1)
  })
  test('nothing is drawn where no size is known', () => {
    const plan = lathe(set('survey.positions.1.transmission', [{ kind: 'v-belt' }]))
    expect(draw(plan).querySelector('svg')).toBeNull()
  })
})

describe('the train in Speeds', () => {
  test('shows the position used most, and another when it is chosen', () => {
    show(<TrainSheet />, lathe())
    expect(screen.getByRole('table', { name: 'On B' })).toBeTruthy()
    expect(screen.getByText(/That is forward\./)).toBeTruthy()
    fireEvent.click(screen.getByRole('radio', { name: 'C, back gear' }))
    expect(screen.getByRole('table', { name: 'On C, back gear' })).toBeTruthy()
    expect(plain(screen.getByRole('row', { name: /Spindle per motor turn/ }))).toMatch(/0\.179/)
  })
  test('asks where the motor points before it says which way the spindle turns', () => {
    show(<TrainSheet />, lathe(set('survey.motorFaces', undefined)))
    expect(screen.getByRole('button', { name: 'Say where it points' })).toBeTruthy()
    edit(set('survey.motorFaces', 'same'))
    expect(screen.getByText(/For forward, two of them are swapped\./)).toBeTruthy()
  })
  test('twist and inertia tell where it shakes', () => {
    show(<TrainSheet />, lathe(set('survey.positions.1.stiffnessNmPerRad', 2000)))
    expect(plain(screen.getByRole('row', { name: /The train swings at/ }))).toMatch(/not known/i)
    edit(set('motor.rotorKgM2', 0.005))
    expect(plain(screen.getByRole('row', { name: /The train swings at/ }))).toMatch(/\d+(\.\d+)? Hz/)
  })
})

describe('the belt sheet', () => {
  const sheet = (plan: Plan) => {
    const [stage] = position(plan).transmission
    if (!stage) throw new Error('no stage')
    show(<BeltSheet at="survey.positions.1.transmission.0" id="position.b.belt1" stage={stage} first />, plan)
  }
  test('names what it waits for until something is measured', () => {
    sheet(lathe(set('survey.positions.1.transmission.0', { kind: 'v-belt', driverMm: 90, drivenMm: 224 })))
    expect(screen.getByText(/Type what you measured/)).toBeTruthy()
    expect(screen.queryByRole('table')).toBeNull()
  })
  test('offers the belts of its kind', () => {
    sheet(
      lathe(
        set('survey.positions.1.transmission.0', {
          kind: 'timing-belt',
          driverTeeth: 24,
          drivenTeeth: 60,
          centreMm: 400,
        }),
      ),
    )
    const names = within(screen.getByLabelText('Belt')).getAllByRole('option').map(plain)
    expect(names).toEqual(['Not known', 'Timing XL, 5.08 mm', 'Timing L, 9.525 mm', 'Timing H, 12.7 mm'])
    expect(screen.queryByLabelText('Maker’s rating, one belt')).toBeNull()
  })
  test('says when the stock belt would put the motor outside its slot', () => {
    sheet(lathe())
    expect(plain(screen.getByRole('row', { name: /The motor then sits at/ }))).toMatch(/outside its slot/)
    edit(set('survey.positions.1.transmission.0.slotLeastMm', 360))
    cleanup()
    sheet(lathe(set('survey.positions.1.transmission.0.slotLeastMm', 360)))
    expect(plain(screen.getByRole('row', { name: /The motor then sits at/ }))).not.toMatch(/outside its slot/)
  })
})

describe('a field that is no part of a plan', () => {
  test('hands on what reads, nothing else, and says why', () => {
    const read: (number | undefined)[] = []
    show(<AmountField label="Budget" dimension="money" placeholder="no limit" onRead={(v) => read.push(v)} />)
    const field = screen.getByLabelText('Budget')
    for (const text of ['120', 'much', '-5', '']) fireEvent.change(field, { target: { value: text } })
    expect(read).toEqual([120, undefined, undefined, undefined])
    fireEvent.change(field, { target: { value: '-5' } })
    expect(screen.getByRole('alert').textContent).toBe('Not below nothing.')
    expect(field.getAttribute('aria-invalid')).toBe('true')
    expect(document.getElementById(field.getAttribute('aria-describedby') ?? '')?.textContent).toBe(
      'Not below nothing.',
    )
  })
  test('begins with what it is given', () => {
    show(
      <DetachedField
        label="Sizes"
        placeholder=""
        initial="90"
        read={() => ({ ok: true, value: 1 })}
        onRead={() => undefined}
      />,
    )
    expect(screen.getByLabelText<HTMLInputElement>('Sizes').value).toBe('90')
  })
})
