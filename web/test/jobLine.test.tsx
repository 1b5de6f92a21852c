import { afterEach, describe, expect, test } from '@jest/globals'
import { cleanup, fireEvent, screen } from '@testing-library/react'
import { JobLineForm } from '../src/stages/survey/JobLineForm'
import { open, show } from './page'

afterEach(cleanup)

describe('a job in one line', () => {
  test('is shown as understood, and added whole by Enter', () => {
    show(<JobLineForm />)
    const before = open().plan.survey.jobs.length
    fireEvent.change(screen.getByLabelText('A job in one line'), { target: { value: 'drill 16 mm mild steel fast' } })
    expect(screen.getByText(/Diameter 16.mm.*Kind of job Drilling.*Work of Mild steel/)).toBeTruthy()
    expect(screen.getByText('Not read: fast')).toBeTruthy()
    fireEvent.submit(screen.getByLabelText('A job in one line'))
    const { jobs } = open().plan.survey
    expect([jobs.length, jobs.at(-1)]).toEqual([
      before + 1,
      expect.objectContaining({ kind: 'drilling', diameterMm: 16, material: 'mild-steel' }),
    ])
    expect(screen.getByLabelText<HTMLInputElement>('A job in one line').value).toBe('')
  })
  test('adds nothing where nothing was understood', () => {
    show(<JobLineForm />)
    fireEvent.change(screen.getByLabelText('A job in one line'), { target: { value: 'something nice' } })
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Add it' }).disabled).toBe(true)
  })
})
