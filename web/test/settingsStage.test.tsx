import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { evaluate, fieldAt, set } from '@zesty/core'
import { cleanup, fireEvent, screen, within } from '@testing-library/react'
import SettingsStage from '../src/stages/settings/Stage'
import { keeps, lathe, open, pick, server, show } from './page'

beforeEach(() => void server(keeps))
afterEach(cleanup)

/** A line of the card, by the name of its setting. */
function line(name: string) {
  const item = screen.getByRole('heading', { level: 3, name }).closest('li')
  if (!item) throw new Error(`no line ${name}`)
  return item
}

const text = (of: HTMLElement) => of.textContent.replace(/\s/g, ' ')

/** Types what was read in the drive on a line. */
function readBack(name: string, value: string) {
  const field = within(line(name)).getByLabelText('Read in the drive')
  fireEvent.focus(field)
  fireEvent.change(field, { target: { value } })
  fireEvent.blur(field)
  return field
}

describe('the settings card', () => {
  test('has every setting, in the order in which it is entered, each with its reason', () => {
    show(<SettingsStage />, lathe())
    const { settings } = evaluate(lathe())
    const names = within(screen.getByRole('region', { name: 'Settings card' }))
      .getAllByRole('heading', { level: 3 })
      .map((h) => h.textContent)
    expect(names).toEqual(settings.map((s) => s.label))
    expect(settings.length).toBe(14)
    expect(settings.every((s) => s.reason.length > 0)).toBe(true)
  })
  test('tells what to enter with its unit, and where the number comes from', () => {
    show(<SettingsStage />, lathe())
    expect(text(line('Overload amps'))).toMatch(/Enter6 A/)
    expect(text(line('Base hertz'))).toMatch(/Enter50 Hz/)
    expect(text(line('Motor volts'))).toMatch(/Enter230 V/)
    expect(text(line('Lowest hertz'))).toMatch(/Enter\d+(\.\d)? Hz(typical|computed), working/)
  })
  test('says of what waits for the plate that it is not known, and enters nothing', () => {
    show(<SettingsStage />, lathe(set('motor', {})))
    expect(text(line('Overload amps'))).toMatch(/Enternot known/)
    expect(text(line('Motor volts'))).toMatch(/Enternot known/)
  })
  test('takes what was read in the drive, and marks what differs', () => {
    show(<SettingsStage />, lathe())
    readBack('Overload amps', '6 A')
    expect(open().plan.settings.inDrive.overloadA).toBe(6)
    expect(line('Overload amps').querySelector('.bg-brass-wash')).toBeNull()
    readBack('Overload amps', '7')
    expect(open().plan.settings.inDrive.overloadA).toBe(7)
    expect(line('Overload amps').querySelector('.bg-brass-wash')).not.toBeNull()
    const { findings } = evaluate(open().plan)
    expect(findings.some((f) => f.id.startsWith('motor.overload') && f.severity === 'stop')).toBe(true)
  })
  test('keeps a reading that cannot be one, says why, and leaves the plan', () => {
    show(<SettingsStage />, lathe())
    const field = readBack('Base hertz', '50 A')
    expect(field).toHaveProperty('value', '50 A')
    expect(within(line('Base hertz')).getByRole('alert').textContent).toMatch(
      /"A" is a current; this takes a frequency/,
    )
    expect(open().plan.settings.inDrive.baseFrequencyHz).toBeUndefined()
  })
  test('lets a choice be made otherwise than planned, and goes back', () => {
    show(<SettingsStage />, lathe())
    const { label, options } = fieldAt('settings.chosen.stopMode')
    const coast = options?.['coast'] ?? ''
    expect(coast).not.toBe('')
    pick(`${label}, chosen by you`, coast)
    expect(open().plan.settings.chosen.stopMode).toBe('coast')
    expect(text(line(label))).toContain(`Enter${coast}`)
    pick(`${label}, chosen by you`, 'as planned')
    expect(open().plan.settings.chosen.stopMode).toBeUndefined()
  })
  test('a choice read in the drive is taken by its words', () => {
    show(<SettingsStage />, lathe())
    const { label, options } = fieldAt('settings.inDrive.restart')
    const [value, words] = Object.entries(options ?? {})[0] ?? []
    const list = within(line(label)).getByLabelText<HTMLSelectElement>('Read in the drive')
    expect([...list.options].map((o) => o.text)).toContain(words)
    fireEvent.change(list, { target: { value } })
    expect(open().plan.settings.inDrive.restart).toBe(value)
  })
  test('has room for what else a drive may hold', () => {
    show(<SettingsStage />, lathe())
    const more = screen.getByText('More that the drive may hold').closest('details')
    const labels = [...(more?.querySelectorAll('label') ?? [])].map((l) => l.textContent)
    expect(labels).toEqual(
      (
        [
          'boostV',
          'middleHz',
          'middleV',
          'fixedStartHz',
          'skipHz',
          'skipBandHz',
          'rampShape',
          'jogStopS',
          'turningStart',
          'rideThrough',
          'overVoltage',
        ] as const
      ).map((id) => fieldAt(`settings.inDrive.${id}`).label),
    )
  })
})
