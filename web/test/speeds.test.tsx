import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals'
import { set } from '@zesty/core'
import { usualCriteria, type SearchCriteria } from '@zesty/core/search'
import { cleanup, fireEvent, screen, within } from '@testing-library/react'
import { Belts } from '../src/stages/survey/Belts'
import { Jobs } from '../src/stages/survey/Jobs'
import { MachineCards } from '../src/stages/speeds/MachineCards'
import { SpeedMapSheet } from '../src/stages/speeds/SpeedMapSheet'
import { CriteriaForm } from '../src/stages/speeds/CriteriaForm'
import { keeps, lathe, open, server, show, type } from './page'

beforeEach(() => void server(keeps))
afterEach(cleanup)

describe('the speed map in words', () => {
  test('each job on each position, with the torque in hand', () => {
    show(<SpeedMapSheet />, lathe())
    const face = within(screen.getByRole('row', { name: /Face 200 mm cast iron/ }))
    expect(face.getByText(/14\.2\sN m/)).toBeTruthy()
    expect(face.getAllByText(/times what it asks/).length).toBe(3)
    expect(screen.getByText(/^No gap between the positions: .* share \d+ to/)).toBeTruthy()
  })
  test('one position and two, with what is lost', () => {
    show(<SpeedMapSheet />, lathe())
    const alone = within(screen.getByRole('row', { name: /^B \d of 6/ }))
    expect(alone.getByText(/Thread 2 mm pitch: too fast for it/)).toBeTruthy()
  })
  test('speeds that no position reaches are named', () => {
    show(<SpeedMapSheet />, lathe(set('settings.chosen.minimumHz', 45), set('settings.chosen.maximumHz', 50)))
    expect(
      screen.getByText(/^Speeds that no position reaches: 268 to 542 rpm, between C, back gear and B/),
    ).toBeTruthy()
  })
  test('says what it waits for', () => {
    show(<SpeedMapSheet />, lathe(set('motor', {})))
    expect(screen.getByText(/The map appears once the motor’s plate/)).toBeTruthy()
  })
})

describe('cards for the machine', () => {
  const crossed = [
    set('survey.positions.0.transmission.0.kind', 'worm'),
    set('survey.positions.1.transmission.0.kind', 'crossed-belt'),
  ]
  test('a worm’s sense is not known, a crossed belt turns it', () => {
    show(<MachineCards />, lathe(...crossed, set('survey.motorFaces', undefined)))
    expect(screen.getByRole('row', { name: /^A not known/ })).toBeTruthy()
    expect(screen.getByRole('row', { name: /^B used most against the motor/ })).toBeTruthy()
    expect(screen.getByRole('row', { name: /^C, back gear with the motor/ })).toBeTruthy()
  })
  test('once it is known where the motor points, as you face the nose, forward where it is used most', () => {
    show(<MachineCards />, lathe(...crossed, set('survey.motorFaces', 'other')))
    expect(screen.getByRole('row', { name: /^A not known/ })).toBeTruthy()
    expect(screen.getByRole('row', { name: /^B used most counter-clockwise/ })).toBeTruthy()
    expect(screen.getByRole('row', { name: /^C, back gear clockwise/ })).toBeTruthy()
  })
  test('surface speed at a diameter; what does not read is said', () => {
    show(<MachineCards />, lathe())
    const field = screen.getByLabelText('Surface speed at diameter')
    fireEvent.change(field, { target: { value: '4 in' } })
    expect(screen.getByRole('row', { name: /^50 .*m\/min/ })).toBeTruthy()
    fireEvent.change(field, { target: { value: 'wide' } })
    expect(screen.getByRole('alert').textContent).toBe('"wide" is not a length.')
  })
})

describe('jobs', () => {
  test('the cut asks for what its kind wants, and no more', () => {
    show(<Jobs />, lathe(set('survey.jobs', [{ id: 'j', name: 'Drill', kind: 'drilling', diameterMm: 10 }])))
    fireEvent.click(screen.getByRole('button', { name: 'The cut' }))
    expect([screen.queryByLabelText('Depth of cut'), screen.getByLabelText('Feed a turn').tagName]).toEqual([
      null,
      'INPUT',
    ])
    fireEvent.change(screen.getByLabelText('Work of'), { target: { value: 'mild-steel' } })
    type('Feed a turn', '0.1 mm')
    expect(open().plan.survey.jobs[0]).toMatchObject({ material: 'mild-steel', feedMm: 0.1 })
    expect(screen.getByRole('button', { name: /Drill: torque at the spindle: \d/ })).toBeTruthy()
  })
})

describe('belts', () => {
  test('a belt that was measured is told its stock neighbour', () => {
    show(<Belts />, lathe(set('survey.positions.1.transmission.0.section', 'z')))
    const b = screen.getByRole('button', { name: 'Take position B away' }).closest('li')
    if (!b) throw new Error('no row')
    fireEvent.click(within(b).getByRole('button', { name: 'Drawn to scale, and the belt' }))
    expect(within(b).getByRole('row', { name: /Stock belt next to it/ }).textContent).toMatch(/1.330\smm/)
  })
})

describe('criteria of a search', () => {
  test('amounts are read with their units; what does not read is no wish', () => {
    const told: SearchCriteria[] = []
    const onChange = jest.fn((w: SearchCriteria) => void told.push(w))
    show(<CriteriaForm criteria={usualCriteria} onChange={onChange} />)
    fireEvent.change(screen.getByLabelText('Budget'), { target: { value: '£500' } })
    fireEvent.change(screen.getByLabelText('Room for the motor'), { target: { value: '13 in' } })
    fireEvent.change(screen.getByLabelText('Room for the motor'), { target: { value: '-4' } })
    fireEvent.click(screen.getByLabelText('Keep the motor'))
    expect(told.map((w) => [w.budget, w.roomMm?.toFixed(1), w.keepMotor])).toEqual([
      [500, undefined, false],
      [undefined, '330.2', false],
      [undefined, undefined, false],
      [undefined, undefined, true],
    ])
    expect(screen.getByRole('alert').textContent).toBe('Not below nothing.')
  })
})
