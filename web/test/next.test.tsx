import { afterEach, describe, expect, jest, test } from '@jest/globals'
import { emptyPlan, set, type Evaluation, type Finding } from '@zesty/core'
import { act, cleanup, fireEvent, screen } from '@testing-library/react'
import { RouteCard } from '../src/conversion/RouteCard'
import { stepAfter } from '../src/conversion/useNext'
import { passedForgotten } from '../src/state/screenSlice'
import { changed } from '../src/state/planSlice'
import { store } from '../src/state/store'
import { lathe, show } from './page'

jest.useFakeTimers()
afterEach(() => {
  cleanup()
  store.dispatch(passedForgotten())
})

const next = () => document.querySelector('button[data-kind]')
const press = () => {
  const button = next()
  if (button) fireEvent.click(button)
}

describe('what stands first and was not passed by', () => {
  const agenda: Evaluation['agenda'] = [
    {
      kind: 'ask' as const,
      stage: 'survey' as const,
      text: 'Two',
      paths: ['supply.voltageV' as const, 'supply.phases' as const],
    },
    { kind: 'stop' as const, stage: 'motor' as const, text: 'Stop', findingId: 'motor.kind' as Finding['id'] },
    { kind: 'do' as const, stage: 'settings' as const, text: 'Do' },
  ]
  test.each([
    [[], 'Two', 'supply.voltageV'],
    [['supply.voltageV'], 'Two', 'supply.phases'],
    [['supply.voltageV', 'supply.phases'], 'Stop', undefined],
    [['supply.voltageV', 'supply.phases', 'motor.kind'], 'Do', undefined],
  ])('after %j: %s', (passed, text, path) => {
    const found = stepAfter(agenda, passed)
    expect([found?.step.text, found?.path]).toEqual([text, path])
  })
})

describe('Next on the route card', () => {
  test('goes on to the next field when nothing was typed, and never stalls', () => {
    show(<RouteCard stage="survey" />, emptyPlan('Lathe'))
    const texts: string[] = []
    for (let turn = 0; turn < 60 && next()?.getAttribute('data-kind') !== 'do'; turn += 1) {
      texts.push(next()?.textContent ?? '')
      press()
    }
    expect(texts[0]).toBe('Say what machine it is')
    expect(texts).toContain('Type the motor’s plate')
    expect(next()?.getAttribute('data-kind')).toBe('do')
    // What was left is offered again.
    fireEvent.click(screen.getByRole('button', { name: /passed by: go through them again/ }))
    expect(next()?.textContent).toBe('Say what machine it is')
  })

  test('passes by a stop after showing it', () => {
    show(
      <RouteCard stage="settings" />,
      lathe(set('settings.inDrive', { overloadA: 6 }), set('motor.connection', 'star')),
    )
    for (let turn = 0; turn < 60 && next()?.getAttribute('data-kind') === 'ask'; turn += 1) press()
    expect(next()?.getAttribute('data-kind')).toBe('stop')
    const stops = () => store.getState().screen.passed.filter((key) => !key.includes('survey.')).length
    const before = stops()
    press()
    expect(stops()).toBe(before + 1)
  })

  test('a field that is filled in is not asked again', () => {
    show(<RouteCard stage="survey" />, emptyPlan('Lathe'))
    press()
    act(() => void store.dispatch(changed({ label: 'Kind', patch: [set('survey.machineKind', 'mill')] })))
    expect(next()?.textContent).toBe('Type what the wall gives')
  })
})
