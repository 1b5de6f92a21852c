import { describe, expect, test } from '@jest/globals'
import { terminalNeeds } from '../src/facts/drive/terminalNeeds'
import { emptyPlan, type Plan } from '../src/plan'

const needs = (controls: Plan['controls'], drive: Plan['drive'] = {}) =>
  terminalNeeds({ ...emptyPlan('Lathe'), controls }, drive).map(({ what, because, has }) => [what, because, has])

describe('what the controls want of a drive', () => {
  const wants: [controls: Plan['controls'], what: string, because: string][] = [
    [{ reference: 'knob' }, 'an analogue input', 'the speed knob'],
    [{ reference: 'analogue' }, 'an analogue input', 'the controller’s 0-10 V'],
    [{ reference: 'serial' }, 'a serial bus', 'speed from the controller'],
    [{ runLamp: true }, 'a relay output', 'the RUN lamp'],
    [{ thermistorWired: true }, 'a thermistor input', 'the winding’s thermistor'],
    [{ emergencyStop: 'safe-torque-off' }, 'safe torque off', 'the emergency stop'],
    [{ remoteKeypad: true }, 'a keypad that goes on a lead', 'the keypad at the machine'],
  ]
  test.each(wants)('%j: %s', (controls, what, because) => {
    expect(needs(controls)).toContainEqual([what, because, undefined])
  })
  test('nothing, where nothing was chosen', () => expect(needs({})).toEqual([]))
  test('is there, is not, or is not known', () => {
    const has = (drive: Plan['drive']) => needs({ reference: 'knob' }, drive).map(([, , there]) => there)
    expect([has({}), has({ analogueInputs: 0 }), has({ analogueInputs: 1 }), has({ analogueInputs: 2 })]).toEqual([
      [undefined],
      [false],
      [true],
      [true],
    ])
    const bus = (drive: Plan['drive']) => needs({ reference: 'serial' }, drive).map(([, , there]) => there)
    expect([bus({}), bus({ fieldbus: 'serial' }), bus({ fieldbus: 'none' })]).toEqual([[undefined], [true], [false]])
  })
})
