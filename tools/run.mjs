// @ts-check
import { spawn, spawnSync } from 'node:child_process'
import { appendFileSync } from 'node:fs'
import { root, localPath } from './paths.mjs'
import { Trouble } from './trouble.mjs'

/**
 * Runs a program to its end, its output going to a log. On failure says which log to read.
 * @param {string} what for the message @param {string} program @param {string[]} args
 * @param {{cwd?: string, env?: NodeJS.ProcessEnv, log?: string}} [options]
 */
export function runLogged(what, program, args, { cwd = root, env = process.env, log = localPath('setup.log') } = {}) {
  const result = spawnSync(program, args, { cwd, env, encoding: 'utf8', maxBuffer: 64 * 1024 * 1024 })
  const output = `${result.stdout ?? ''}${result.stderr ?? ''}`
  appendFileSync(log, `$ ${program} ${args.join(' ')}\n${output}\n`)
  if (result.error) throw new Trouble(`${what}: ${program} could not be run (${result.error.message}).`)
  if (/ENOSPC|No space left/i.test(output) && result.status !== 0)
    throw new Trouble('The disk is full. Free some space and try again; nothing that was kept is lost.')
  if (result.status !== 0) throw new Trouble(`${what} failed: ${lastWords(output)} (all of it in ${log})`)
  return output
}

/** @param {string} output */
const lastWords = (output) =>
  output
    .trim()
    .split('\n')
    .filter((l) => l.trim() !== '')
    .slice(-1)[0]
    ?.trim() ?? 'no output'

/**
 * Runs a program with its output on the screen; resolves to its exit code.
 * @param {string} program @param {string[]} args @param {{cwd?: string, env?: NodeJS.ProcessEnv}} [options]
 * @returns {Promise<number>}
 */
export const runShown = (program, args, { cwd = root, env = process.env } = {}) =>
  new Promise((resolve, reject) => {
    const child = spawn(program, args, { cwd, env, stdio: 'inherit' })
    child.on('error', reject)
    child.on('exit', (code, signal) => resolve(code ?? (signal ? 1 : 0)))
  })

/** The path of a program installed by npm. @param {string} name */
export const npmBin = (name) => `${root}/node_modules/.bin/${name}`
