import { expect, test } from '@jest/globals'
import { evaluate } from '../src/conversion/evaluate'
import { readPlan, set } from '../src/plan'
import { copyPlan } from '../src/plan/copyPlan'
import { spoiled } from './mistakes'

const measured = spoiled(
  set('survey.coastS', 20),
  set('survey.seatTorqueNm', 40),
  set('controls.knobTopHz', 88),
  set('settings.inDrive.maximumHz', 88),
  set('survey.positions.1.resonanceHz', 60),
  set('settings.chosen.maximumHz', 90),
)

test('decisions and plates go along; what was measured, tested or read on the one machine does not', () => {
  const copy = copyPlan(measured)
  expect(readPlan(copy)).toEqual({ ok: true, value: copy })
  expect(copy.name).toBe(`${measured.name}, copy`)
  expect([copy.motor, copy.drive.ratedOutputA, copy.settings.chosen.maximumHz]).toEqual([
    measured.motor,
    measured.drive.ratedOutputA,
    90,
  ])
  expect([
    copy.settings.inDrive,
    copy.checks,
    copy.survey.coastS,
    copy.survey.seatTorqueNm,
    copy.controls.knobTopHz,
  ]).toEqual([{}, {}, undefined, undefined, undefined])
  expect(copy.survey.positions[1]?.resonanceHz).toBeUndefined()
  // A drive that nobody has read counts as it came.
  expect(evaluate(copy).judged.find((l) => l.id.startsWith('motor.overload'))?.answer).not.toBe('good')
})

test('a long name stays one that the plan may hold', () => {
  const copy = copyPlan(spoiled(set('name', 'x'.repeat(80))))
  expect([readPlan(copy).ok, copy.name.length, copy.name.endsWith(', copy')]).toEqual([true, 80, true])
})
