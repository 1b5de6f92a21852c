import { describe, expect, test } from '@jest/globals'
import { evaluate } from '../src/conversion/evaluate'
import type { Change } from '../src/plan'
import { set } from '../src/plan'
import { changeOver } from '../src/speeds/changeOver'
import { spoiled } from './mistakes'

const value = (id: string, ...patch: Change[]) =>
  (evaluate(spoiled(...patch)).figures as Record<string, { value: number } | undefined>)[id]?.value

describe('what must be sped up and stopped', () => {
  test('a rotor by its frame, by the frame its power comes in, or as its data sheet says', () => {
    expect(value('motor.rotor')).toBe(0.003)
    expect(value('motor.rotor', set('motor.frame', undefined))).toBe(0.003)
    expect(value('motor.rotor', set('motor.frame', undefined), set('motor.powerW', 4000))).toBe(0.012)
    expect(value('motor.rotor', set('motor.frame', '112M'))).toBe(0.012)
    expect(value('motor.rotorKgM2', set('motor.rotorKgM2', 0.004))).toBe(0.004)
  })
  test('a rotor beyond the planning table is told, and nothing is made of it', () => {
    const { blocked } = evaluate(spoiled(set('motor.frame', '250M')))
    expect(blocked['motor.rotor']?.refusal).toContain('63 to 160 mm')
    expect(blocked['stop.rampS']).toBeDefined()
  })
  test('timed, it is what the torque moved in that time, less motor and pulleys', () => {
    const at = spoiled().survey.holders.findIndex((h) => h.id === 'four-jaw')
    const by = (seconds: number) =>
      [set(`survey.holders.${at}.inertiaFrom`, 'timing'), set(`survey.holders.${at}.runUpS`, seconds)] as const
    const timed = by(4)
    const torque = value('position.b.torque') ?? 0
    const w = (2 * Math.PI * 1084.8) / 60
    const own = value('stop.ownInertia', ...timed) ?? 0
    expect(value('holder.four-jaw.inertia', ...timed)).toBeCloseTo((0.95 * torque * 4) / w - own, 3)
    expect(value('holder.four-jaw.inertia', ...by(0.1))).toBeUndefined()
  })
  test('a coast tells the friction at the speed from which it was timed', () => {
    const coast = (rpm: number) =>
      value('stop.frictionNm', set('survey.coastS', 20), set('survey.coastFromRpm', rpm)) ?? NaN
    expect(coast(500) / coast(1000)).toBeCloseTo(0.5, 6)
  })
  test('no stop is shorter than the motor can brake', () => {
    const free = [set('drive.busFarad', 0.09), set('settings.chosen.decelerationS', 30)] as const
    const inertia = value('stop.inertia') ?? 0
    const brakes = (value('stop.leastTorque') ?? 0) + (value('stop.frictionNm') ?? 0)
    expect(value('stop.withoutResistorS', ...free)).toBeCloseTo((inertia * 2 * Math.PI * 1084.8) / 60 / brakes, 2)
  })
})

describe('a threaded nose', () => {
  const threaded = [
    set('survey.spindleNose', 'threaded'),
    set('survey.seatTorqueNm', 40),
    set('survey.noseSeat', 'shoulder'),
    set('controls.reverseWanted', false),
  ] as const
  const threadFinding = (...patch: Change[]) =>
    evaluate(spoiled(...threaded, ...patch)).findings.find((f) => f.id.startsWith('controls.threaded-nose-stop'))
  test('the card that hangs at the machine gives no stop shorter than the thread allows', () => {
    const soft = spoiled(...threaded, set('survey.seatTorqueNm', 2))
    const lines = changeOver(soft, evaluate(soft))
    const main = lines.find((l) => l.main)
    const chuck = value('holder.four-jaw.inertia', ...threaded) ?? 0
    expect(main?.stopS).toBeCloseTo((chuck * 2 * Math.PI * (main?.topRpm ?? 0)) / 60 / 1, 3)
    const unknown = spoiled(set('survey.spindleNose', 'threaded'))
    expect(changeOver(unknown, evaluate(unknown)).map((l) => l.stopS)).toEqual([undefined, undefined, undefined])
  })
  test('a position that no job uses is a watch where its pull is too much', () => {
    const jobs = [set('survey.jobs', [])] as const
    const soft = threadFinding(...jobs, set('survey.seatTorqueNm', 3), set('settings.chosen.decelerationS', 20))
    expect(soft?.severity).toBe('watch')
    expect(soft?.remedies.length).toBeGreaterThan(0)
    expect(threadFinding(...jobs, set('settings.chosen.decelerationS', 20))).toBeUndefined()
  })
  test('a quick emergency ramp is judged by its seconds, and is no stop where they are long enough', () => {
    const ids = (seconds: number | undefined) =>
      evaluate(spoiled(...threaded, set('controls.emergencyStop', 'ramp-input'), set('controls.quickRampS', seconds)))
        .findings.filter((f) => f.severity === 'stop')
        .map((f) => f.id)
    expect(ids(undefined)).toEqual(['controls.emergency-stop/ramp-input'])
    expect(ids(0.5)).toEqual(['controls.quick-ramp-thread/four-jaw'])
    expect(ids(15)).toEqual([])
  })
})
