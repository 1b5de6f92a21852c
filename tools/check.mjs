// @ts-check
import { existsSync, mkdirSync, readFileSync, readdirSync, rmSync } from 'node:fs'
import { join } from 'node:path'
import { throwAwayCluster } from './cluster.mjs'
import { demoServer } from './demoServer.mjs'
import { localPath, root } from './paths.mjs'
import { npmBin, runShown } from './run.mjs'
import { ensureApplication, ensureChromium, ensureCommandLine, ensureDependencies } from './setUp.mjs'
import { Trouble } from './trouble.mjs'

/** What a step found: tests where it counts them, itself as one where it does not. @typedef {{passed: number, failed: number}} Count */

const asOne = (/** @type {number} */ code) => ({ passed: code === 0 ? 1 : 0, failed: code === 0 ? 0 : 1 })

/** @param {string} file @returns {Count} */
function jestCount(file) {
  if (!existsSync(file)) return { passed: 0, failed: 1 }
  const { numPassedTests, numFailedTests, numRuntimeErrorTestSuites } = JSON.parse(readFileSync(file, 'utf8'))
  return { passed: numPassedTests, failed: numFailedTests + numRuntimeErrorTestSuites }
}

/** @param {string[]} projects @param {NodeJS.ProcessEnv} [env] */
async function jest(projects, env = {}) {
  const report = localPath('reports', `jest-${projects.join('-')}.json`)
  rmSync(report, { force: true })
  const code = await runShown(
    process.execPath,
    [
      '--experimental-vm-modules',
      '--disable-warning=ExperimentalWarning',
      npmBin('jest'),
      '--selectProjects',
      ...projects,
      '--json',
      `--outputFile=${report}`,
      '--silent',
      // A test's record that is missing fails; it is written on purpose alone.
      '--ci',
      '--maxWorkers=2',
    ],
    { env: { ...process.env, ...env } },
  )
  const count = jestCount(report)
  return code !== 0 && count.failed === 0 ? { ...count, failed: 1 } : count
}

const typeProjects = ['core', 'core/test', 'pdf', 'cli', 'tools', 'server', 'web', 'e2e']

/** @type {Record<string, {says: string, onlyNamed?: boolean, run: (named: boolean) => Promise<Count>}>} */
const steps = {
  types: {
    says: 'type check of every part',
    run: async () => {
      let count = { passed: 0, failed: 0 }
      for (const project of typeProjects)
        count = sum(
          count,
          asOne(await runShown(process.execPath, [join(root, 'node_modules/typescript-7/bin/tsc'), '-p', project])),
        )
      return count
    },
  },
  lint: {
    says: 'lint with types',
    run: async () =>
      asOne(
        await runShown(npmBin('eslint'), [
          '.',
          '--cache',
          '--cache-location',
          localPath('eslint-cache'),
          '--max-warnings=0',
        ]),
      ),
  },
  format: {
    says: 'formatting',
    run: async () => asOne(await runShown(npmBin('prettier'), ['--check', '--log-level', 'warn', '.'])),
  },
  imports: {
    says: 'import directions and cycles',
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
  unit: { says: 'core and page, without a browser', run: () => jest(['core', 'web']) },
  docs: {
    says: 'generated pages are fresh',
    run: async () => asOne(await runShown(process.execPath, [join(root, 'tools/main.mjs'), 'docs', '--check'])),
  },
  cli: { says: 'the command line as a person types it, and the tools', run: () => nodeTests() },
  server: {
    says: 'the server against a real PostgreSQL',
    run: async () => {
      const cluster = await throwAwayCluster()
      try {
        return await jest(['server'], { ZESTY_TEST_DATABASE_URL: cluster.urls.admin })
      } finally {
        await cluster.remove()
      }
    },
  },
  build: {
    says: 'the command line, the server and the page',
    run: async () => {
      ensureCommandLine()
      ensureApplication()
      return { passed: 1, failed: 0 }
    },
  },
  formats: {
    says: 'published formats, held against programs of others',
    run: async () => (await import('./formats.mjs')).formats(),
  },
  lighthouse: {
    says: 'Lighthouse on the built application, only when named: its times want a quiet machine',
    onlyNamed: true,
    run: async () => (await import('./lighthouse.mjs')).audits(),
  },
  campaign: {
    says: 'kills, cut-off starts, a lost database, spoiled input; two minutes of it unless named',
    run: async (named) => (await import('./campaign.mjs')).campaign(named ? 'whole' : 'short'),
  },
  e2e: { says: 'the built application in a browser', run: () => playwright() },
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

/** Everything, or the steps named. The last line is the count. @param {string[]} args */
export async function check(args) {
  if (args.includes('--list')) {
    for (const [name, { says }] of Object.entries(steps)) console.log(`${name.padEnd(8)} ${says}`)
    return
  }
  const unknown = args.find((a) => !(a in steps))
  if (unknown) throw new Trouble(`check has no step "${unknown}"; ./zesty check --list names them.`, 2)
  ensureDependencies()
  mkdirSync(localPath('reports', '.'), { recursive: true })
  let total = { passed: 0, failed: 0 }
  /** @type {string[]} */
  const failures = []
  for (const [name, step] of Object.entries(steps)) {
    if (args.length > 0 ? !args.includes(name) : step.onlyNamed) continue
    console.log(`\n== ${name}: ${step.says}`)
    const began = Date.now()
    let count
    try {
      count = await step.run(args.length > 0)
    } catch (error) {
      console.error(error instanceof Error ? error.message : error)
      count = { passed: 0, failed: 1 }
    }
    if (count.failed > 0) failures.push(name)
    console.log(
      `== ${name}: ${count.passed} passed, ${count.failed} failed, ${((Date.now() - began) / 1000).toFixed(1)} s`,
    )
    total = sum(total, count)
  }
  if (failures.length > 0) {
    console.log(`\nFailed: ${failures.join(', ')}`)
    process.exitCode = 1
  }
  console.log(`\n${total.passed} passed, ${total.failed} failed`)
}
