// @ts-check
import { spawn } from 'node:child_process'
import { cpSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { dirname, join, relative } from 'node:path'
import { localPath, root } from './paths.mjs'
import { npmBin } from './run.mjs'
import { ensureDependencies } from './setUp.mjs'
import { Trouble } from './trouble.mjs'

/** Where a slip of the pen must be noticed by a test. */
const watched = ['core/src/facts', 'core/src/findings']
/** Of the mutants that are tried, the share that tests must notice. */
const LEAST = 0.85
const WORKERS = 2

/** The same sequence for the same seed (mulberry32). @param {number} seed */
function randomFrom(seed) {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let t = Math.imul(state ^ (state >>> 15), 1 | state)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 2 ** 32
  }
}

/** A copy of core to slip in, with what its tests read. @param {number} worker */
function workshop(worker) {
  const at = dirname(localPath('mutation', String(worker), 'jest.config.mjs'))
  rmSync(at, { recursive: true, force: true })
  for (const part of ['core', 'demo', 'samples', 'package.json'])
    cpSync(join(root, part), join(at, part), {
      recursive: true,
      filter: (source) => !source.includes('node_modules'),
    })
  writeFileSync(
    join(at, 'jest.config.mjs'),
    `import { default as all } from ${JSON.stringify(join(root, 'jest.config.mjs'))}
export default { ...all.projects.find((p) => p.displayName === 'core'), rootDir: 'core' }
`,
  )
  return at
}

/** What is likely to notice, and quick, is asked first; then every other test there is. */
const LIKELY = 'findings|figures|edges|belts|physics'
const suites = [
  ['--testPathPatterns', LIKELY],
  ['--testPathIgnorePatterns', LIKELY],
]

/** Whether core's tests notice; the first that fails is enough. @param {string} at @returns {Promise<boolean>} */
async function noticed(at) {
  for (const suite of suites) if (await fails(at, suite)) return true
  return false
}

/** @param {string} at @param {string[]} suite @returns {Promise<boolean>} */
const fails = (at, suite) =>
  new Promise((resolve, reject) => {
    const child = spawn(
      process.execPath,
      [
        // As `./zesty check core` runs them: see jest.config.mjs.
        '--import',
        join(root, 'tools', 'jest', 'register.mjs'),
        npmBin('jest'),
        '--bail',
        '--ci',
        '--silent',
        '--runInBand',
        '--config',
        join(at, 'jest.config.mjs'),
        ...suite,
      ],
      { cwd: at, stdio: 'ignore' },
    )
    child.on('error', reject)
    child.on('exit', (code) => resolve(code !== 0))
  })

/** `mutate [HOW MANY] [SEED]`: slips of the pen in a copy, one at a time; says which no test noticed. @param {string[]} args */
export async function mutate(args) {
  const [count, seed] = [Number(args[0] ?? 100), Number(args[1] ?? 1)]
  if (!Number.isInteger(count) || count < 1 || !Number.isInteger(seed))
    throw new Trouble('mutate takes how many slips to try, and a seed: ./zesty mutate 100 1', 2)
  ensureDependencies()
  const { mutantsOf } = await import('./mutants.mjs')
  const files = watched.flatMap((folder) =>
    readdirSync(join(root, folder), { recursive: true, encoding: 'utf8' })
      .filter((name) => name.endsWith('.ts'))
      .sort()
      .map((name) => join(folder, name)),
  )
  const all = files.flatMap(mutantsOf)
  const random = randomFrom(seed)
  const drawn = all
    .map((mutant) => ({ mutant, at: random() }))
    .sort((a, b) => a.at - b.at)
    .slice(0, count)
    .map(({ mutant }) => mutant)
  console.log(`${drawn.length} of ${all.length} slips in ${files.length} files, seed ${seed}`)
  /** @type {import('./mutants.mjs').Mutant[]} */
  const missed = []
  let tried = 0
  const work = async (/** @type {number} */ worker) => {
    const at = workshop(worker)
    if (await noticed(at)) throw new Trouble('The tests fail before anything is changed; mend them first.')
    for (let mutant = drawn.pop(); mutant; mutant = drawn.pop()) {
      const path = join(at, mutant.file)
      const text = readFileSync(path, 'utf8')
      writeFileSync(path, text.slice(0, mutant.start) + mutant.instead + text.slice(mutant.end))
      const seen = await noticed(at)
      writeFileSync(path, text)
      tried += 1
      if (seen) continue
      missed.push(mutant)
      const line = text.slice(0, mutant.start).split('\n').length
      console.log(
        `not noticed: ${relative('.', mutant.file)}:${line}  ${text.slice(mutant.start, mutant.end)}  ->  ${mutant.instead}`,
      )
    }
  }
  await Promise.all(Array.from({ length: WORKERS }, (_, worker) => work(worker)))
  const share = (tried - missed.length) / tried
  console.log(
    `${tried - missed.length} of ${tried} noticed, ${(100 * share).toFixed(1)} %; at least ${100 * LEAST} wanted`,
  )
  if (share < LEAST) process.exitCode = 1
}
