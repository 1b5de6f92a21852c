import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { act, cleanup, fireEvent, screen } from '@testing-library/react'
import { emptyPlan, type Plan } from '@zesty/core'
import { StepSheet } from '../src/stages/survey/StepSheet'
import { readGears, readSizes } from '../src/stages/survey/readSizes'
import { undone } from '../src/state/planSlice'
import { store } from '../src/state/store'
import { keeps, open, server, show } from './page'

beforeEach(() => void server(keeps))
afterEach(cleanup)

describe('several sizes in one field', () => {
  test.each([
    ['90, 125, 160', [90, 125, 160]],
    ['90 125 160', [90, 125, 160]],
    ['90 mm / 125 mm', [90, 125]],
    ['3,5 in; 5 in', [88.9, 127]],
    ['112', [112]],
    ['90,', [90]],
  ])('%s', (text, sizes) => {
    expect(readSizes(text, 'metric')).toEqual({ ok: true, value: sizes.map((mm) => expect.closeTo(mm, 6)) })
  })
  test.each([
    ['90, wide', /"wide" is not a length/],
    ['90, 0', /"0" is no pulley/],
    ['1 2 3 4 5 6 7 8 9', /At most 8 steps/],
    ['90, 2 kW', /is a power/],
  ])('%s is refused', (text, why) => {
    expect(readSizes(text, 'metric')).toMatchObject({ ok: false, message: expect.stringMatching(why) })
  })
  test('pairs of teeth', () => {
    expect(readGears('28:42, 30/45')).toEqual({
      ok: true,
      value: [
        { driver: 28, driven: 42 },
        { driver: 30, driven: 45 },
      ],
    })
    expect(readGears('28-42')).toMatchObject({ ok: false })
    expect(readGears('2:40')).toMatchObject({ ok: false })
  })
})

describe('positions from step pulleys', () => {
  const type = (label: string, text: string) =>
    fireEvent.change(screen.getByLabelText(label), { target: { value: text } })
  const before: Plan = {
    ...emptyPlan('Lathe'),
    survey: {
      ...emptyPlan('Lathe').survey,
      positions: [{ id: 'old', name: 'Old', transmission: [] }],
      mainPositionId: 'old',
      jobs: [{ id: 'j', name: 'Turning', positionId: 'old' }],
    },
  }
  test('take the place of those there are, in one press that can be undone', () => {
    let closed = false
    show(<StepSheet onDone={() => (closed = true)} />, before)
    type('Motor’s steps', '90, 125, 160')
    type('Facing them', '190, 155, 200')
    type('Back gear, teeth, driver first', '28:42, 30:45')
    expect(screen.getByRole('row', { name: /^Position 3 3 .*step 3 wants a belt/ })).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: 'Put 4 positions in place of the 1 there are' }))
    expect(closed).toBe(true)
    const { survey } = open().plan
    expect(survey.positions.map((p) => p.name)).toEqual(['2', '1', '2, geared', '1, geared'])
    expect([survey.mainPositionId, survey.jobs[0]?.positionId]).toEqual([undefined, undefined])
    expect(
      survey.positions[3]?.transmission.map((s) => [s.kind, s.driverMm ?? s.driverTeeth, s.drivenMm ?? s.drivenTeeth]),
    ).toEqual([
      ['v-belt', 90, 190],
      ['gear-pair', 28, 42],
      ['gear-pair', 30, 45],
    ])
    act(() => void store.dispatch(undone()))
    expect(open().plan.survey).toEqual(before.survey)
  })
  test('one that was left out can be taken in all the same', () => {
    show(<StepSheet onDone={() => undefined} />)
    type('Motor’s steps', '90, 160')
    type('Facing them', '190, 300')
    fireEvent.click(screen.getByRole('checkbox', { name: 'Position 2' }))
    expect(screen.getByRole('button', { name: 'Make 2 positions' })).toBeTruthy()
  })
  test('faces that do not match are said', () => {
    show(<StepSheet onDone={() => undefined} />)
    type('Motor’s steps', '90, 125')
    type('Facing them', '190')
    expect(screen.getByRole('alert').textContent).toMatch(/As many steps/)
    expect(screen.queryByRole('table')).toBeNull()
  })
})
