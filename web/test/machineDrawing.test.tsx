import { afterEach, describe, expect, test } from '@jest/globals'
import { emptyPlan, machineKinds, set, applyPatch, type MachineKind } from '@zesty/core'
import { cleanup, screen } from '@testing-library/react'
import { machineStrokes } from '../src/drawings/machineStrokes'
import { MachineDrawing } from '../src/stages/survey/MachineDrawing'
import { show } from './page'

afterEach(cleanup)
const drawn = (selector: string) => document.querySelectorAll(selector).length
const kinds = Object.keys(machineKinds) as MachineKind[]
const draw = (kind: MachineKind, forward?: 'clockwise' | 'counter-clockwise') =>
  show(
    <MachineDrawing />,
    applyPatch(emptyPlan('x'), [set('survey.machineKind', kind), set('survey.forward', forward)]),
  )

describe('the survey draws', () => {
  test.each(kinds.filter((kind) => kind !== 'bare-motor'))('a %s as such, and who stands at it', (kind) => {
    draw(kind)
    expect(drawn(`path[d="${machineStrokes[kind]}"]`)).toBe(1)
    expect(drawn('[data-stands]')).toBe(1)
    expect(drawn('[data-turns]')).toBe(0)
  })
  test('which way the spindle turns, once it is said', () => {
    draw('lathe', 'counter-clockwise')
    expect(drawn('[data-turns="counter-clockwise"]')).toBe(1)
  })
  test('a shaper without a turning spindle', () => {
    draw('shaper', 'clockwise')
    expect(drawn('[data-turns]')).toBe(0)
  })
  test('a motor on the bench without belts, its own shaft turning', () => {
    draw('bare-motor', 'clockwise')
    expect(screen.queryByText('Belts')).toBeNull()
    expect(drawn('[data-turns="clockwise"]')).toBe(1)
    expect(drawn(`path[d="${machineStrokes['bare-motor']}"]`)).toBe(0)
  })
})
