import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { emptyPlan, mergePlans, planDifference, set, type Plan } from '@zesty/core'
import { act, cleanup, screen } from '@testing-library/react'
import { PairField, QuantityField } from '../src/parts/QuantityField'
import { api } from '../src/state/api'
import { changed, undone } from '../src/state/planSlice'
import { store } from '../src/state/store'
import { keeps, open, server, show, type } from './page'

beforeEach(() => void server(keeps))
afterEach(() => {
  cleanup()
  act(() => void store.dispatch(api.util.resetApiState()))
})

const value = (label: string) => screen.getByLabelText<HTMLInputElement>(label).value

describe('what was typed', () => {
  test('in another unit stands beside the value, as long as it is that value', () => {
    show(<QuantityField path="survey.noseThreadMm" label="Thread" />)
    type('Thread', '2 1/4 in')
    expect([value('Thread'), open().plan.survey.noseThreadMm]).toEqual(['57.15 mm', 57.15])
    expect(screen.getByText(/typed as 2 1\/4 in/)).toBeTruthy()
    act(() => void store.dispatch(changed({ label: 'x', patch: [set('survey.noseThreadMm', 60)] })))
    expect(screen.queryByText(/typed as/)).toBeNull()
    act(() => void store.dispatch(undone()))
    expect(screen.getByText(/typed as 2 1\/4 in/)).toBeTruthy()
  })
  test('goes when something is typed that says no more than the value', () => {
    show(<QuantityField path="survey.noseThreadMm" label="Thread" />)
    type('Thread', '2 1/4 in')
    type('Thread', '60 mm')
    expect(open().plan).not.toHaveProperty('asTyped')
    expect(screen.queryByText(/typed as/)).toBeNull()
  })
  test('as a range of a plate stays to be read', () => {
    show(<PairField low="motor.lowVoltageV" high="motor.highVoltageV" label="Volts" />)
    type('Volts', '208-230/460')
    expect(value('Volts')).toBe('230 / 460 V')
    expect(screen.getByText(/typed as 208-230\/460/)).toBeTruthy()
    expect(open().plan.asTyped).toEqual({ 'motor.lowVoltageV': '208-230/460' })
  })
  test('left as it is changes nothing, whatever it was', () => {
    show(<QuantityField path="survey.noseThreadMm" label="Thread" />)
    type('Thread', '2 1/4 in')
    const before = open().plan
    type('Thread', value('Thread'))
    type('Thread', '2.25 in')
    expect(open().plan).toBe(before)
  })
  test('is no difference of two plans, and two sides may each have typed theirs', () => {
    const of = (path: string, text: string, motor: Plan['motor']): Plan => ({
      ...emptyPlan('Lathe'),
      motor,
      asTyped: { [path]: text },
    })
    const [mine, theirs] = [
      of('motor.powerW', '2 hp', { powerW: 1491.4 }),
      of('motor.ratedSpeedRpm', '1420 tr/min', { ratedSpeedRpm: 1420 }),
    ]
    expect(mergePlans(emptyPlan('Lathe'), mine, theirs)?.asTyped).toEqual({ ...mine.asTyped, ...theirs.asTyped })
    expect(planDifference(emptyPlan('Lathe'), mine).map(({ label }) => label)).toEqual(['Motor, Power'])
  })
})
