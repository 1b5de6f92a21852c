// @ts-check
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from './paths.mjs'

/** The fullest demo machine, as core reads it. @param {any} core */
export const fullestPlan = (core) =>
  core.readConversionFile(JSON.parse(readFileSync(join(root, 'demo', '1-saltpan-row', 'gap-bed-lathe.json'), 'utf8')))
    .value.plan

/** A plan with a value at a path; items of lists by their number. @param {any} plan @param {string} path @param {unknown} value @returns {any} */
export function withValue(plan, path, value) {
  const [key = '', ...rest] = path.split('.')
  const inner = rest.length === 0 ? value : withValue(plan[key] ?? {}, rest.join('.'), value)
  return Array.isArray(plan)
    ? plan.map((/** @type {unknown} */ item, /** @type {number} */ i) => (String(i) === key ? inner : item))
    : { ...plan, [key]: inner }
}

/** Twelve edits as they are made, by what is typed. @type {Readonly<Record<string, [path: string, values: readonly unknown[]]>>} */
export const typicalEdits = {
  'the name': ['name', ['Lathe one', 'Lathe two']],
  'motor power': ['motor.powerW', [1500, 1490]],
  'motor amps': ['motor.lowVoltageA', [5.9, 6.1]],
  'motor frame': ['motor.frame', ['90L', '90S']],
  'breaker amps': ['supply.breakerA', [32, 20]],
  'length of the supply': ['supply.cableM', [12, 14]],
  'drive output amps': ['drive.ratedOutputA', [7.5, 8]],
  'price of the drive': ['drive.price', [180, 190]],
  'a pulley': ['survey.positions.0.transmission.0.driverMm', [90, 92]],
  'speed of a job': ['survey.jobs.0.speedRpm', [400, 410]],
  'highest hertz chosen': ['settings.chosen.maximumHz', [70, 72]],
  'emergency stop': ['controls.emergencyStop', ['safe-torque-off', 'stop-input']],
}
