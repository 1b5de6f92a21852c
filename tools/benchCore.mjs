// @ts-check
import { spawnSync } from 'node:child_process'
import { performance } from 'node:perf_hooks'
import { pathToFileURL } from 'node:url'
import { quantile, timed } from './benchLine.mjs'
import { fullestPlan, typicalEdits, withValue } from './demoPlan.mjs'
import { root } from './paths.mjs'
import { ensureCommandLine } from './setUp.mjs'

/** @typedef {import('./benchLine.mjs').Line} Line */

/** Every part of an evaluation, made. @param {object} evaluation */
const whole = (evaluation) => Object.values(evaluation)

/** What a plan comes to: whole, after a key, and on a plan of as many positions and jobs as a plan may have. @returns {Promise<Line[]>} */
export async function evaluateLines() {
  const core = await import(pathToFileURL(ensureCommandLine()).href)
  const full = fullestPlan(core)
  const timesOf = (/** @type {(i: number) => void} */ run, /** @type {number} */ runs) => {
    for (let i = 0; i < runs / 3; i += 1) run(i)
    return Array.from({ length: runs }, (_, i) => {
      const began = performance.now()
      run(i)
      return performance.now() - began
    })
  }
  // As the page does: each goes on from the one before.
  const edited = (/** @type {any} */ plan, /** @type {string} */ path, /** @type {readonly unknown[]} */ values) => {
    let last = core.conversion(plan)
    return (/** @type {number} */ i) => {
      last = core.conversion(withValue(plan, path, values[i % values.length]), { before: last })
      whole(last.evaluation)
    }
  }
  const large = largest(full)
  const anew = timesOf(() => whole(core.conversion(full).evaluation), 800)
  const edit = (/** @type {keyof typeof typicalEdits} */ name, plan = full, runs = 800) => {
    const [path, values] = typicalEdits[name] ?? ['name', []]
    return quantile(timesOf(edited(plan, path, values), runs), 0.5)
  }
  return [
    timed('evaluate a full plan, whole, median', quantile(anew, 0.5), 2),
    timed('evaluate a full plan, whole, p99', quantile(anew, 0.99), 4),
    timed('the motor’s power changed, median', edit('motor power'), 0.9),
    timed('the motor’s amps changed, median', edit('motor amps'), 0.9),
    timed('the drive’s price changed, median', edit('price of the drive'), 0.4),
    timed('the name changed, median', edit('the name'), 0.4),
    timed('24 positions, 60 jobs, a pulley changed, median', edit('a pulley', large, 200), 4),
    timed('24 positions, 60 jobs, motor power, median', edit('motor power', large, 200), 4),
    timed('first key after opening, cold, median of 9', firstKey(), 40),
  ]
}

/** A plan of as many positions and jobs as a plan may have. @param {any} full */
function largest(full) {
  const { positions, jobs } = full.survey
  const repeated = (/** @type {any[]} */ list, /** @type {number} */ count) =>
    Array.from({ length: count }, (_, i) => ({ ...list[i % list.length], id: `${list[i % list.length].id}${i}` }))
  const large = { ...full, survey: { ...full.survey, positions: repeated(positions, 24), jobs: repeated(jobs, 60) } }
  large.survey.mainPositionId = large.survey.positions[0].id
  large.survey.jobs = large.survey.jobs.map((/** @type {object} */ job) => ({ ...job, positionId: undefined }))
  return large
}

/** In a process that has judged nothing but the plan as it was opened, which the page does at the first touch. */
function firstKey() {
  const code = `
import { performance } from 'node:perf_hooks'
import { fullestPlan, withValue } from ${JSON.stringify(pathToFileURL(`${root}/tools/demoPlan.mjs`).href)}
const core = await import(${JSON.stringify(pathToFileURL(ensureCommandLine()).href)})
const plan = fullestPlan(core)
const opened = core.conversion(plan)
Object.values(opened.evaluation)
const began = performance.now()
Object.values(core.conversion(withValue(plan, 'motor.powerW', 1490), { before: opened }).evaluation)
console.log(performance.now() - began)`
  const times = Array.from({ length: 9 }, () =>
    Number(spawnSync(process.execPath, ['--input-type=module', '--eval', code], { encoding: 'utf8' }).stdout),
  )
  return quantile(times, 0.5)
}
