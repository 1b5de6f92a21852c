import { afterEach, beforeEach, describe, expect, test } from '@jest/globals'
import { evaluate, fieldAt, set } from '@zesty/core'
import { cleanup, fireEvent, screen, within } from '@testing-library/react'
import SettingsStage from '../src/stages/settings/Stage'
import { keeps, lathe, open, pick, server, show } from './page'

beforeEach(() => void server(keeps))
afterEach(cleanup)

const every = () => within(screen.getByRole('region', { name: 'Every setting' }))

/** A line of the list of every setting, by its name. */
function line(name: string) {
  const item = every().getByRole('heading', { level: 3, name }).closest('li')
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

describe('every setting', () => {
  test('is listed once, with its reason', () => {
    show(<SettingsStage />, lathe())
    const { settings } = evaluate(lathe())
    const names = every()
      .getAllByRole('heading', { level: 3 })
      .map((h) => h.textContent)
    expect([...names].sort()).toEqual(settings.map((s) => s.label).sort())
    expect(settings.length).toBeGreaterThan(60)
    expect(settings.every((s) => s.reason.length > 0)).toBe(true)
  })
  test('tells what to enter with its unit, and where the number comes from', () => {
    show(<SettingsStage />, lathe())
    expect(text(line('Overload amps'))).toMatch(/Planned6 A/)
    expect(text(line('Base hertz'))).toMatch(/Planned50 Hz/)
    expect(text(line('Motor volts'))).toMatch(/Planned230 V/)
    expect(text(line('Lowest hertz'))).toMatch(/Planned\d+(\.\d)? Hz(typical|computed), working/)
  })
  test('says of what waits for the plate that it is not known, and enters nothing', () => {
    show(<SettingsStage />, lathe(set('motor', {})))
    expect(text(line('Overload amps'))).toMatch(/Plannednot known/)
    expect(text(line('Motor volts'))).toMatch(/Plannednot known/)
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
    expect(text(line(label))).toContain(`Planned${coast}`)
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
  test('is changed by hand with a reason, which is kept with it', () => {
    show(<SettingsStage />, lathe())
    const field = within(line('Jog hertz')).getByLabelText('Jog hertz, chosen by you')
    fireEvent.focus(field)
    fireEvent.change(field, { target: { value: '7' } })
    fireEvent.blur(field)
    expect(open().plan.settings.chosen.jogHz).toBe(7)
    const why = within(line('Jog hertz')).getByLabelText('Why')
    fireEvent.change(why, { target: { value: 'to find the gear' } })
    fireEvent.blur(why)
    expect(open().plan.settings.why).toEqual({ jogHz: 'to find the gear' })
  })
})

describe('the card', () => {
  const reset = () => lathe(set('settings.state', 'reset'), set('settings.inDrive', {}), set('settings.entered', {}))
  const card = () => within(screen.getByRole('region', { name: 'Settings card' }))
  const codes = () =>
    card()
      .getAllByRole('button', { name: /^Enter / })
      .map((b) => b.getAttribute('aria-label'))

  test('is in the drive’s own codes, what a first spin wants before the rest', () => {
    show(<SettingsStage />, reset())
    expect(card().getByText('Before a first spin')).toBeTruthy()
    expect(codes()).toContain('Enter h03')
    expect(text(screen.getByRole('region', { name: 'Settings card' }))).toMatch(/h03.*Motor amps/)
  })
  test('a line that was entered goes, the drive holds it, and it can be undone', () => {
    show(<SettingsStage />, reset())
    const before = codes().length
    fireEvent.click(card().getByRole('button', { name: 'Enter h03' }))
    fireEvent.click(card().getByRole('button', { name: 'Entered' }))
    expect(codes().length).toBe(before - 1)
    expect(open().plan.settings.inDrive.ratedCurrentA).toBeGreaterThan(0)
    expect(open().plan.settings.entered?.['h03']).toMatchObject({ answer: 'entered' })
  })
  test('a line that was refused stays, with what the drive said and what clears it', () => {
    show(<SettingsStage />, reset())
    fireEvent.click(card().getByRole('button', { name: 'Enter h04' }))
    fireEvent.change(card().getByLabelText('The drive said'), { target: { value: 'no' } })
    fireEvent.click(card().getByRole('button', { name: 'Refused' }))
    expect(open().plan.settings.entered?.['h04']).toMatchObject({ answer: 'refused', said: 'no' })
    expect(card().getByText(/It was refused. What it may be/)).toBeTruthy()
    expect(card().getByText('Stop it, wait until it stands, enter it again.')).toBeTruthy()
  })
  test('one line at a time has the same answers, and goes on by itself', () => {
    show(<SettingsStage />, reset())
    fireEvent.click(card().getByRole('button', { name: 'One line at a time' }))
    const region = () => text(screen.getByRole('region', { name: 'Settings card' }))
    expect(region()).toMatch(/line 1 of \d+/)
    const count = () => Number(/, (\d+) to enter/.exec(region())?.[1])
    const before = count()
    fireEvent.click(card().getByRole('button', { name: 'Entered' }))
    expect(count()).toBe(before - 1)
  })
  test('a reset takes away what was entered', () => {
    show(<SettingsStage />, lathe(set('settings.state', 'second-hand'), set('settings.inDrive', { maximumHz: 60 })))
    fireEvent.click(screen.getByRole('button', { name: 'It was reset' }))
    expect(open().plan.settings).toMatchObject({ state: 'reset', inDrive: {} })
  })
  test('what is read back beside it is kept as typed, and told where it means nothing', () => {
    show(<SettingsStage />, reset())
    const table = within(screen.getByRole('region', { name: 'As found, planned, read back' }))
    const field = table.getByLabelText('h12, read back')
    fireEvent.change(field, { target: { value: '60,0' } })
    fireEvent.blur(field)
    expect(open().plan.settings.inDrive.maximumHz).toBe(60)
    const other = table.getByLabelText('h30, read back')
    fireEvent.change(other, { target: { value: '9' } })
    fireEvent.blur(other)
    expect(table.getByRole('alert').textContent).toMatch(/Not one of its values/)
    expect(open().plan.settings.entered?.['h30']?.readBack).toBe('9')
  })
})

describe('a list that is pasted', () => {
  test('is seen through before it is taken, and what was not read is told', () => {
    show(<SettingsStage />, lathe(set('settings.state', 'second-hand'), set('settings.inDrive', {})))
    const box = screen.getByLabelText(/Lines such as/)
    fireEvent.change(box, { target: { value: 'h12 = 75\nH30 1\nz9 4 top hertz\nbuy oil' } })
    expect(screen.getByText('buy oil')).toBeTruthy()
    fireEvent.click(screen.getByRole('button', { name: 'Take 2 as read in the drive' }))
    expect(open().plan.settings.inDrive).toMatchObject({ maximumHz: 75, commandSource: 'terminals' })
    expect(open().plan.settings.asFound).toEqual({ h12: '75', h30: '1' })
  })
  test('as a table has its columns chosen otherwise than guessed', () => {
    show(<SettingsStage />, lathe(set('settings.state', 'second-hand'), set('settings.inDrive', {})))
    fireEvent.change(screen.getByLabelText(/Lines such as/), {
      target: { value: 'code;old;new\nh12;50;60\nh13;5;6' },
    })
    const columns = within(screen.getByRole('group', { name: 'What each column is' }))
    fireEvent.change(columns.getByLabelText(/^new/), { target: { value: 'value' } })
    fireEvent.click(screen.getByRole('button', { name: 'Take 2 as read in the drive' }))
    expect(open().plan.settings.inDrive.maximumHz).toBe(60)
  })
})

describe('a drive of which nothing is known', () => {
  test('is tried, and what that tells is noted', () => {
    show(<SettingsStage />, lathe(set('settings.state', 'second-hand'), set('settings.inDrive', {})))
    const probe = within(screen.getByRole('region', { name: /^Try it/ }))
    fireEvent.change(probe.getByLabelText('By the switch'), { target: { value: 'nothing' } })
    fireEvent.change(probe.getByLabelText('By the key'), { target: { value: 'runs' } })
    fireEvent.change(probe.getByLabelText('By the switch then'), { target: { value: 'runs' } })
    fireEvent.click(probe.getByRole('button', { name: 'Note it as what the drive holds' }))
    expect(open().plan.settings).toMatchObject({ keyState: 'keypad', inDrive: { commandSource: 'terminals' } })
  })
  test('that does nothing on RUN is asked after until one thing is left', () => {
    show(<SettingsStage />, lathe(set('settings.state', 'second-hand'), set('settings.inDrive', {})))
    const search = within(screen.getByRole('region', { name: 'It does nothing on RUN' }))
    fireEvent.click(search.getByRole('button', { name: 'A code or a value of its menu' }))
    expect(search.getByText('It is this')).toBeTruthy()
    expect(search.getByText(/Leave the menu/)).toBeTruthy()
    fireEvent.click(search.getByRole('button', { name: 'Otherwise' }))
    expect(search.getByText(/Still possible/)).toBeTruthy()
  })
})
