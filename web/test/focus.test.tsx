import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { evaluate, messageText, set } from '@zesty/core'
import { act, cleanup, screen, waitFor } from '@testing-library/react'
import { Findings } from '../src/conversion/Findings'
import { focusFinding, focusNextFinding } from '../src/conversion/focusFinding'
import { ChoiceField, SelectField } from '../src/parts/ChoiceField'
import { QuantityField } from '../src/parts/QuantityField'
import { goToField } from '../src/state/goToField'
import { stageOpened } from '../src/state/screenSlice'
import { store } from '../src/state/store'
import { keeps, lathe, server, show } from './page'

beforeEach(() => void server(keeps))
afterEach(() => {
  cleanup()
  act(() => void store.dispatch(stageOpened()))
})

const wanted = () => store.getState().screen.wantedStage

describe('going to a field', () => {
  test('asks for its stage and puts the caret in it', async () => {
    show(<QuantityField path="motor.powerW" />)
    act(() => goToField('motor.powerW'))
    expect(wanted()).toBe('motor')
    await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('Power')))
  })
  test('opens the closed parts that it lies in', async () => {
    show(
      <details data-testid="outer">
        <details data-testid="inner">
          <QuantityField path="settings.inDrive.boostV" />
        </details>
      </details>,
    )
    act(() => goToField('settings.inDrive.boostV'))
    await waitFor(() => expect(screen.getByTestId('inner')).toHaveProperty('open', true))
    expect(screen.getByTestId('outer')).toHaveProperty('open', true)
  })
  test('waits for a stage that is still on its way', async () => {
    show(<p>Opening the stage</p>)
    act(() => goToField('supply.voltageV'))
    expect(wanted()).toBe('survey')
    cleanup()
    show(<QuantityField path="supply.voltageV" label="Volts" />)
    await waitFor(() => expect(document.activeElement).toBe(screen.getByLabelText('Volts')))
  })
  test('of choices goes to the first of them, and of a list to the list', async () => {
    show(
      <>
        <ChoiceField path="drive.input" />
        <SelectField path="controls.stopBy" />
      </>,
    )
    act(() => goToField('drive.input'))
    await waitFor(() => expect(document.activeElement?.tagName).toBe('BUTTON'))
    act(() => goToField('controls.stopBy'))
    await waitFor(() => expect(document.activeElement?.tagName).toBe('SELECT'))
    expect(wanted()).toBe('wiring')
  })
  test('of an item that is shown whole goes to the item', async () => {
    show(
      <div data-path="survey.positions.1" tabIndex={-1}>
        Position B
      </div>,
      lathe(),
    )
    act(() => goToField('survey.positions.1.resonanceHz'))
    await waitFor(() => expect(document.activeElement?.textContent).toBe('Position B'), { timeout: 3000 })
  })
})

describe('going through the findings', () => {
  const plan = lathe(set('motor.connection', 'star'), set('settings.inDrive.overloadA', 7))
  const heading = () => document.activeElement?.querySelector('h3, h4')?.textContent.replace(/\s/g, ' ')
  const titles = () => evaluate(plan).findings.map((f) => messageText(f.title).replace(/\s/g, ' '))
  test('one after the other, and round again', () => {
    show(<Findings stage="motor" />, plan)
    const seen = Array.from({ length: titles().length + 1 }, () => {
      act(() => focusNextFinding())
      return heading()
    })
    expect(new Set(seen).size).toBe(titles().length)
    expect(seen[titles().length]).toBe(seen[0])
  })
  test('straight to one that was asked for', async () => {
    show(<Findings stage="motor" />, plan)
    const last = evaluate(plan).findings.at(-1)
    act(() => focusFinding(last?.id ?? ''))
    await waitFor(() => expect(heading()).toBe(titles().at(-1)))
  })
})
