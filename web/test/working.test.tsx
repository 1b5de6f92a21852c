import { afterEach, describe, expect, test } from '@jest/globals'
import { act, cleanup, fireEvent, screen } from '@testing-library/react'
import { emptyPlan, type Plan } from '@zesty/core'
import { api } from '../src/state/api'
import { store } from '../src/state/store'
import { Working } from '../src/parts/Working'
import { keeps, server, show } from './page'

afterEach(() => {
  cleanup()
  act(() => void store.dispatch(api.util.resetApiState()))
})

const plan: Plan = { ...emptyPlan('Lathe'), motor: { powerW: 1500, ratedSpeedRpm: 1420, ratedFrequencyHz: 50 } }

describe('the working of a figure', () => {
  test('formula and source come from the server, the numbers from the page', async () => {
    server(keeps)
    show(<Working of="motor.torque" />, plan)
    expect((await screen.findByTestId('formula')).textContent).toMatch(/^T\s*=\s*60P2πn$/)
    expect(screen.getByText(/Source: Definition o/)).toBeTruthy()
    expect(screen.getByText(/10\.1\sN m/)).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: /1\.5\skW/ }))
    expect(screen.getByText(/Given: from the plate/)).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: 'Back' }))
    expect(screen.getByTestId('formula')).toBeTruthy()
  })
  test('without the server the numbers stand, and it says where the formula is', async () => {
    server(keeps, false)
    show(<Working of="motor.torque" />, plan)
    expect(await screen.findByText(/The server, which keeps the formulas, does not answer/)).toBeTruthy()
    expect(screen.getByRole('button', { name: /1\.5\skW/ })).toBeTruthy()
  })
  test('what is not known says what it waits for', () => {
    server(keeps)
    show(<Working of="motor.torque" />, { ...plan, motor: { powerW: 1500 } })
    expect(screen.getByText('It waits for:')).toBeTruthy()
    expect(screen.getByRole('button', { name: 'Speed' })).toBeTruthy()
  })
})
