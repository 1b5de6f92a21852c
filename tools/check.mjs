// @ts-check
import { spawn, spawnSync } from 'node:child_process'
import { closeSync, existsSync, mkdirSync, openSync, readFileSync, readdirSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { throwAwayCluster } from './cluster.mjs'
import { demoServer } from './demoServer.mjs'
import { localPath, root } from './paths.mjs'
import { npmBin, runShown } from './run.mjs'
import { ensureApplication, ensureChromium, ensureCommandLine, ensureCore, ensureDependencies } from './setUp.mjs'
import { Trouble } from './trouble.mjs'

/** What a step found: tests where it counts them, itself as one where it does not. @typedef {{passed: number, failed: number}} Count */

const asOne = (/** @type {number} */ code) => ({ passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 })

/** @param {string} file @returns {Count} */
function jestCount(file) {
  if (!existsSync(file)) return { passed: 0, failed: 1 }
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(file, 'utf8'))
  return { passed: numPassedTests, failed: numFailedTests + numRuntimeErrorTestSuites }
}

/**
 * One of Jest's projects. Two lanes run beside each other, so each has one worker.
 * @param {'core' | 'server' | 'web'} project @param {NodeJS.ProcessEnv} [env] @param {string[]} [only] files whose tests are run; all where none are named
 */
async function jest(project, env = {}, only) {
  const report = localPath('reports', `jest-${project}.json`)
  rmSync(report, { force: true })
  const code = await runShown(
    process.execPath,
    [
      '--experimental-vm-modules',
      '--disable-warning=ExperimentalWarning',
      npmBin('jest'),
      '--selectProjects',
      project,
      '--json',
      `--outputFile=${report}`,
      '--silent',
      // A test's record that is missing fails; it is written on purpose alone.
      '--ci',
      '--maxWorkers=1',
      ...(only ? ['--passWithNoTests', '--findRelatedTests', ...only] : []),
    ],
    { env: { ...process.env, ...env } },
  )
  const count = jestCount(report)
  return code !== 0 && count.failed === 0 ? { ...count, failed: 1 } : count
}

/** The tests of core run in plain Node: see tools/jest/register.mjs. @param {string[]} [only] */
const coreTests = (only) =>
  jest('core', { NODE_OPTIONS: `--import ${pathToFileURL(join(root, 'tools/jest/register.mjs')).href}` }, only)

const typeProjects = ['core/test', 'cli', 'tools', 'server', 'web', 'e2e']

/**
 * What is checked. `needs` must have ended well before; `cores` is how many it keeps busy; `seconds` about how long it
 * takes, so that the long ones begin first.
 * @typedef {{says: string, seconds: number, cores?: 2, needs?: string[], onlyNamed?: boolean, run: (how: How) => Promise<Count>}} Step
 * @typedef {{named: boolean, whole: boolean, only?: string[]}} How named: asked for by name; only: what was changed
 */

/** @type {Record<string, Step>} */
const steps = {
  types: {
    says: 'type check of every part',
    seconds: 60,
    run: async () =>
      asOne(
        await runShown(process.execPath, [join(root, 'node_modules/typescript-7/bin/tsc'), '--build', ...typeProjects]),
      ),
  },
  lint: {
    says: 'lint with types',
    seconds: 140,
    run: async ({ only }) =>
      asOne(
        await runShown(npmBin('eslint'), [
          ...(only?.filter(isScript) ?? ['.']),
          '--cache',
          '--cache-location',
          localPath('eslint-cache'),
          '--max-warnings=0',
          '--no-warn-ignored',
          '--pass-on-no-patterns',
        ]),
      ),
  },
  format: {
    says: 'formatting',
    seconds: 20,
    run: async () =>
      asOne(
        await runShown(npmBin('prettier'), [
          '--check',
          '--log-level',
          'warn',
          '--cache',
          '--cache-location',
          localPath('prettier-cache'),
          '.',
        ]),
      ),
  },
  imports: {
    says: 'import directions, cycles and rooms',
    seconds: 20,
    run: async () =>
      asOne(
        await runShown(npmBin('depcruise'), [
          'core',
          'pdf/src',
          'server/src',
          'web/src',
          'cli',
          '--config',
          '.dependency-cruiser.mjs',
          '--output-type',
          'err',
        ]),
      ),
  },
  core: { says: 'core', seconds: 250, run: ({ only }) => coreTests(only) },
  page: { says: 'the page, without a browser', seconds: 250, run: ({ only }) => jest('web', {}, only) },
  docs: {
    says: 'generated pages are fresh',
    seconds: 3,
    needs: ['build'],
    run: async () => asOne(await runShown(process.execPath, [join(root, 'tools/main.mjs'), 'docs', '--check'])),
  },
  cli: {
    says: 'the command line as a person types it, and the tools',
    seconds: 30,
    needs: ['build'],
    run: () => nodeTests(),
  },
  server: {
    says: 'the server against a real PostgreSQL',
    seconds: 100,
    run: async () => {
      const cluster = await throwAwayCluster()
      try {
        return await jest('server', { ZESTY_TEST_DATABASE_URL: cluster.urls.admin })
      } finally {
        await cluster.remove()
      }
    },
  },
  build: {
    says: 'the command line, the server and the page',
    seconds: 30,
    run: async () => {
      ensureCommandLine()
      ensureApplication()
      return { passed: 1, failed: 0 }
    },
  },
  budgets: {
    says: 'what is counted, against budgets.json',
    seconds: 20,
    needs: ['build'],
    run: async () => (await import('./budgets.mjs')).budgets(),
  },
  formats: {
    says: 'published formats, held against programs of others',
    seconds: 30,
    needs: ['build'],
    run: async () => (await import('./formats.mjs')).formats(),
  },
  lighthouse: {
    says: 'Lighthouse on the built application, only when named: its times want a quiet machine',
    seconds: 60,
    cores: 2,
    onlyNamed: true,
    run: async () => (await import('./lighthouse.mjs')).audits(),
  },
  campaign: {
    says: 'kills, cut-off starts, a lost database, spoiled input; two minutes of it unless named',
    seconds: 120,
    needs: ['build'],
    run: async ({ named, whole }) => (await import('./campaign.mjs')).campaign(named || whole ? 'whole' : 'short'),
  },
  e2e: {
    says: 'the built application in a browser',
    seconds: 400,
    cores: 2,
    needs: ['build'],
    run: () => playwright(),
  },
}

/** The command line is tested from outside, by Node's own runner. @returns {Promise<Count>} */
async function nodeTests() {
  ensureCommandLine()
  return asOne(
    await runShown(process.execPath, [
      '--test',
      '--test-reporter=spec',
      join(root, 'cli', 'test', 'cli.test.mjs'),
      join(root, 'tools', 'test', 'tools.test.mjs'),
      join(root, 'tools', 'test', 'backup.test.mjs'),
      join(root, 'tools', 'test', 'cluster.test.mjs'),
    ]),
  )
}

/** @returns {Promise<Count>} */
async function playwright() {
  const executable = ensureChromium()
  const report = localPath('reports', 'e2e.json')
  rmSync(report, { force: true })
  const server = await demoServer()
  try {
    const code = await runShown(npmBin('playwright'), ['test', '--config', 'e2e/playwright.config.ts'], {
      env: {
        ...process.env,
        ZESTY_URL: server.url,
        ZESTY_DATABASE_URL: server.databaseUrl,
        ZESTY_CHROMIUM: executable,
        ZESTY_E2E_REPORT: report,
      },
    })
    if (code !== 0) showPages()
    if (!existsSync(report)) return { passed: 0, failed: 1 }
    const { expected, unexpected, flaky } = JSON.parse(readFileSync(report, 'utf8')).stats
    return { passed: expected, failed: unexpected + flaky + (code !== 0 && unexpected + flaky === 0 ? 1 : 0) }
  } finally {
    await server.close()
  }
}

/** Prints the page as each failed test left it: a machine that only keeps what is printed has nothing else to tell why. */
function showPages() {
  const folder = localPath('e2e')
  if (!existsSync(folder)) return
  for (const test of readdirSync(folder)) {
    const page = join(folder, test, 'error-context.md')
    if (existsSync(page)) console.log(`\n-- ${test}\n${readFileSync(page, 'utf8').slice(0, 6000)}`)
  }
}

/** @param {Count} a @param {Count} b */
const sum = (a, b) => ({ passed: a.passed + b.passed, failed: a.failed + b.failed })

const QUICK = ['types', 'lint', 'format', 'imports', 'core', 'page']
const isScript = (/** @type {string} */ file) => /\.(?:ts|tsx|mjs)$/.test(file)

/** Files that are not as they were committed, or of the last commit where all are; those that are still there. */
function changedFiles() {
  const git = (/** @type {string[]} */ ...args) =>
    spawnSync('git', args, { cwd: root, encoding: 'utf8' }).stdout.split('\n').filter(Boolean)
  const open = [...git('diff', '--name-only', 'HEAD'), ...git('ls-files', '--others', '--exclude-standard')]
  return (open.length > 0 ? open : git('diff', '--name-only', 'HEAD~1')).filter((file) => existsSync(join(root, file)))
}

/** Runs one step here; its count goes where `inLanes` finds it. @param {string} name @param {How} how */
async function runOne(name, how) {
  let count
  try {
    count = await steps[name]?.run(how)
  } catch (error) {
    console.error(error instanceof Error ? error.message : error)
  }
  writeFileSync(countFile(name), JSON.stringify(count ?? { passed: 0, failed: 1 }))
}

const countFile = (/** @type {string} */ name) => localPath('reports', `step-${name}.json`)

/** Runs a step in a process of its own, and shows what it said when it has ended. @param {string} name @param {string[]} flags */
async function inOwnProcess(name, flags) {
  rmSync(countFile(name), { force: true })
  const log = localPath('reports', `step-${name}.log`)
  const out = openSync(log, 'w')
  const began = Date.now()
  const child = spawn(process.execPath, [join(root, 'tools/main.mjs'), 'check', `--one=${name}`, ...flags], {
    cwd: root,
    stdio: ['ignore', out, out],
  })
  await new Promise((resolve) => child.on('close', resolve))
  closeSync(out)
  const seconds = (Date.now() - began) / 1000
  /** @type {Count} */
  const count = existsSync(countFile(name))
    ? JSON.parse(readFileSync(countFile(name), 'utf8'))
    : { passed: 0, failed: 1 }
  console.log(`\n== ${name}: ${steps[name]?.says}`)
  process.stdout.write(readFileSync(log, 'utf8'))
  console.log(`== ${name}: ${count.passed} passed, ${count.failed} failed, ${seconds.toFixed(1)} s`)
  return { ...count, seconds }
}

/** Two steps beside each other, as the cores allow, the longest first. @param {string[]} names @param {string[]} flags */
async function inLanes(names, flags) {
  const waiting = [...names].sort((a, b) => (steps[b]?.seconds ?? 0) - (steps[a]?.seconds ?? 0))
  /** @type {Map<string, Count & {seconds: number}>} */
  const done = new Map()
  /** @type {Map<string, Promise<void>>} */
  const running = new Map()
  let free = LANES
  const isReady = (/** @type {string} */ name) =>
    (steps[name]?.needs ?? []).every((need) => !names.includes(need) || done.has(need)) &&
    (steps[name]?.cores ?? 1) <= free
  while (waiting.length > 0 || running.size > 0) {
    // What others wait for goes first.
    const ready = waiting.filter(isReady)
    const next = ready.find((name) => waiting.some((w) => steps[w]?.needs?.includes(name))) ?? ready[0]
    if (next === undefined) {
      await Promise.race(running.values())
      continue
    }
    waiting.splice(waiting.indexOf(next), 1)
    const cores = steps[next]?.cores ?? 1
    free -= cores
    running.set(
      next,
      inOwnProcess(next, flags).then((count) => {
        done.set(next, count)
        running.delete(next)
        free += cores
      }),
    )
  }
  return done
}

/**
 * Everything, the steps named, `quick` (what a change can have broken) or `whole` (all repetitions). The last line is the count.
 * @param {string[]} args
 */
export async function check(args) {
  if (args.includes('--list')) {
    for (const [name, { says }] of Object.entries(steps)) console.log(`${name.padEnd(8)} ${says}`)
    return
  }
  const flags = args.filter((a) => a.startsWith('--') && !a.startsWith('--one='))
  const one = args.find((a) => a.startsWith('--one='))?.slice('--one='.length)
  mkdirSync(localPath('reports', '.'), { recursive: true })
  if (one !== undefined) {
    const only = flags.includes('--changed') ? changedFiles() : undefined
    return runOne(one, {
      named: flags.includes('--named'),
      whole: flags.includes('--whole'),
      ...(only ? { only } : {}),
    })
  }
  const kind = ['quick', 'whole'].find((k) => args.includes(k))
  const named = args.filter((a) => a !== kind && !a.startsWith('--'))
  const unknown = named.find((a) => !(a in steps))
  if (unknown) throw new Trouble(`check has no step "${unknown}"; ./zesty check --list names them.`, 2)
  ensureDependencies()
  const began = Date.now()
  // Of two steps beside each other only one may make it.
  ensureCore()
  const names =
    named.length > 0
      ? named
      : kind === 'quick'
        ? QUICK
        : Object.keys(steps).filter((name) => steps[name]?.onlyNamed !== true)
  if (kind === 'whole') process.env.ZESTY_EFFORT = 'whole'
  const done = await inLanes(names, [
    ...(named.length > 0 ? ['--named'] : []),
    ...(kind === 'quick' ? ['--changed'] : []),
    ...(kind === 'whole' ? ['--whole'] : []),
  ])
  console.log('\nSeconds of each step:')
  for (const [name, { seconds }] of [...done].sort(([, a], [, b]) => b.seconds - a.seconds))
    console.log(`  ${name.padEnd(10)}${seconds.toFixed(1).padStart(7)}`)
  console.log(`  ${'all'.padEnd(10)}${((Date.now() - began) / 1000).toFixed(1).padStart(7)}`)
  const failures = [...done].filter(([, { failed }]) => failed > 0).map(([name]) => name)
  if (failures.length > 0) {
    console.log(`\nFailed: ${failures.join(', ')}`)
    process.exitCode = 1
  }
  const total = [...done.values()].reduce(sum, { passed: 0, failed: 0 })
  console.log(`\n${total.passed} passed, ${total.failed} failed`)
}

/** As many steps beside each other as the machine that this is made for has cores. */
const LANES = 2
