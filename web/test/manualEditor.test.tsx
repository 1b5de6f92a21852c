import { afterEach, describe, expect, test } from '@jest/globals'
import { readManual, type Manual } from '@zesty/core/manual'
import { cleanup, fireEvent, render, screen, within } from '@testing-library/react'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { ManualEditor } from '../src/stages/wiring/manual/ManualEditor'
import { ManualBoard } from '../src/stages/wiring/manual/ManualBoard'
import { at, put } from '../src/stages/wiring/manual/pathed'

afterEach(cleanup)

function shipped(name: string): Manual {
  const file = join(import.meta.dirname, '../../samples/manuals', `${name}.json`)
  const read = readManual(JSON.parse(readFileSync(file, 'utf8')))
  if (!read.ok) throw new Error(JSON.stringify(read.faults))
  return read.value
}

/** The editor of one manual, and what it kept. */
function edited(manual: Manual): Manual[] {
  const kept: Manual[] = []
  render(<ManualEditor manual={manual} onKeep={(m) => kept.push(m)} />)
  return kept
}

const list = (name: string) => {
  const details = screen.getByText(name, { selector: 'summary' }).closest('details')
  if (!details) throw new Error(`no list ${name}`)
  details.open = true
  fireEvent(details, new Event('toggle'))
  return within(details)
}
const type = (field: HTMLElement, text: string) => {
  fireEvent.change(field, { target: { value: text } })
  fireEvent.blur(field)
}
const keep = () => fireEvent.click(screen.getByRole('button', { name: 'Keep these changes' }))

describe('a manual, field by field', () => {
  test('keeps what was changed, and all else as it was', () => {
    const manual = shipped('heron-wall-box')
    const kept = edited(manual)
    type(screen.getByLabelText('Edition'), 'Fourth')
    type(screen.getByLabelText('Loss, W'), '82,5')
    const first = within(list('Terminals').getByRole('listitem', { name: 'Terminals, line 1' }))
    type(first.getByLabelText('Prints'), 'A9')
    type(first.getByLabelText('Gives, V'), '24')
    keep()
    const [one, ...others] = manual.terminals
    expect(kept).toEqual([
      {
        ...manual,
        edition: 'Fourth',
        outline: { ...manual.outline, lossW: 82.5 },
        terminals: [{ ...one, prints: 'A9', gives: { volts: 24 } }, ...others],
      },
    ])
  })
  test('says what does not fit by list, line and field, and keeps what was typed', () => {
    const kept = edited(shipped('heron-wall-box'))
    const links = list('Links fitted at the factory')
    const before = links.queryAllByRole('listitem').length
    fireEvent.click(links.getByRole('button', { name: 'A link' }))
    const row = within(links.getByRole('listitem', { name: `Links fitted at the factory, line ${before + 1}` }))
    type(row.getByLabelText('What for'), 'the keypad')
    keep()
    expect(kept).toEqual([])
    expect(screen.getByRole('alert').textContent).toMatch(
      new RegExp(`Links fitted at the factory, line ${before + 1}, From terminal`),
    )
    expect(row.getByLabelText('What for')).toHaveProperty('value', 'the keypad')
    for (const end of ['From terminal', 'To terminal'])
      fireEvent.change(row.getByLabelText(end), { target: { value: 'u' } })
    keep()
    expect(screen.getByRole('alert').textContent).toMatch(/To terminal is the terminal that it begins at/)
    fireEvent.change(row.getByLabelText('To terminal'), { target: { value: 'v' } })
    keep()
    expect(kept[0]?.factoryLinks.at(-1)).toMatchObject({ from: 'u', to: 'v', purpose: 'the keypad' })
  })
  test('what is no number is said at its field', () => {
    const kept = edited(shipped('heron-wall-box'))
    type(screen.getByLabelText('Width, mm'), 'wide')
    expect(screen.getByRole('alert').textContent).toMatch(/no number/)
    expect(screen.getByLabelText('Width, mm')).toHaveProperty('value', 'wide')
    expect(screen.getByRole('button', { name: 'Keep these changes' })).toHaveProperty('disabled', true)
    expect(kept).toEqual([])
  })
  test('values of a terminal’s code say what it does by their words; what a macro does to all stays', () => {
    const manual = shipped('heron-wall-box')
    const nth = manual.codes.findIndex((c) => c.terminal !== undefined)
    const kept = edited(manual)
    const item = list('Codes').getByRole('listitem', { name: `Codes, line ${nth + 1}` })
    fireEvent.click(within(item).getByRole('button'))
    const row = within(item)
    const values = row.getByLabelText<HTMLTextAreaElement>(/^Values, a line each/)
    type(values, `${values.value}\n77 runs in reverse`)
    keep()
    expect(kept[0]?.codes[nth]?.values).toEqual([
      ...(manual.codes[nth]?.values ?? []),
      { value: '77', means: 'runs in reverse', does: 'run-reverse' },
    ])
  })
  test('a fault and its causes are added, and taken away again', () => {
    const manual = shipped('dunlin-trim-pots')
    const kept = edited(manual)
    const faults = list('Faults')
    fireEvent.click(faults.getByRole('button', { name: 'A fault' }))
    const row = () => within(faults.getByRole('listitem', { name: `Faults, line ${manual.faults.length + 1}` }))
    type(row().getByLabelText('Code'), 'red, twice')
    type(row().getByLabelText('Means'), 'Too hot')
    type(row().getByLabelText(/^Usual causes/), 'fan stands\ndust')
    keep()
    expect(kept[0]?.faults.at(-1)).toEqual({ code: 'red, twice', means: 'Too hot', causes: ['fan stands', 'dust'] })
    fireEvent.click(row().getByRole('button', { name: /fault, line/ }))
    keep()
    expect(kept[1]?.faults).toEqual(manual.faults)
  })
})

test('jumpers are drawn in the position they come in', () => {
  const manual = shipped('dunlin-trim-pots')
  render(<ManualBoard manual={manual} />)
  for (const { comesIn } of manual.jumpers)
    if (comesIn !== undefined)
      expect(screen.getAllByRole('img', { name: `It comes in position ${comesIn}` }).length).toBeGreaterThan(0)
  expect(manual.jumpers.length).toBeGreaterThan(0)
})

test('a path that empties takes its holder along', () => {
  expect(put({ gives: { volts: 24 }, id: 'a' }, 'gives.volts', undefined)).toEqual({ id: 'a' })
  expect(at(put({}, 'a.b.c', 0), 'a.b.c')).toBe(0)
})

describe('codes', () => {
  /** A code's line, opened; found without asking of every field of every code what it is. */
  const code = (name: string) => {
    const row = [...document.querySelectorAll<HTMLElement>('li[aria-label^="Codes, line"]')].find(
      (one) => one.querySelector('b')?.textContent === name,
    )
    const button = row?.querySelector('button')
    if (!row || !button) throw new Error(`no code ${name}`)
    fireEvent.click(button)
    return within(row)
  }
  test('are kept as they are where something else is changed', () => {
    const manual = shipped('plover-desk-top')
    const kept = edited(manual)
    list('Codes')
    code('w5')
    code('w1')
    type(screen.getByLabelText('Edition'), 'Another')
    keep()
    expect(kept).toEqual([{ ...manual, edition: 'Another' }])
  })
  test('have their ends, locks, needs and values changed', () => {
    const kept = edited(shipped('plover-desk-top'))
    list('Codes')
    const top = code('g2')
    type(top.getByLabelText('Most'), '600')
    type(top.getByLabelText('Codes entered before it, a line each'), 'm3')
    type(
      code('w5').getByLabelText(/^Digit by digit/),
      'A start: 0 Lowest = startSpeed lowest; 1 Knob = startSpeed knob\nA stop: 0 Ramps = stopMode ramp; 1 Coasts = stopMode coast',
    )
    type(
      code('w1').getByLabelText(/^Values, a line each/),
      '0 Keys = commandSource keypad\n1 K1 = commandSource terminals',
    )
    keep()
    const of = (name: string) => kept[0]?.codes.find((c) => c.code === name)
    expect(of('g2')).toMatchObject({ most: 600, after: ['m3'] })
    expect(of('w5')?.digits?.map((d) => d.values.map((v) => v.is))).toEqual([
      [{ startSpeed: 'lowest' }, { startSpeed: 'knob' }],
      [{ stopMode: 'ramp' }, { stopMode: 'coast' }],
    ])
    expect(of('w1')?.values.map((v) => [v.value, v.means, v.is])).toEqual([
      ['0', 'Keys', { commandSource: 'keypad' }],
      ['1', 'K1', { commandSource: 'terminals' }],
    ])
  })
})
