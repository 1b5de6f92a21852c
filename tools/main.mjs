// @ts-check
import { pathToFileURL } from 'node:url'
import { end, Trouble } from './trouble.mjs'

/** @type {Record<string, {says: string, run: (args: string[]) => unknown}>} */
const verbs = {
  start: {
    says: '[--port N] [--empty | --demo]  set up, then serve on http://127.0.0.1:4747\n                  [--host ADDRESS [--name NAME] [--insecure]]  for the phones of the shop too',
    run: async (args) => (await import('./start.mjs')).start(args),
  },
  check: {
    says: '[STEP ...]                    type check, lint, tests, build; steps: see check --list',
    run: async (args) => (await import('./check.mjs')).check(args),
  },
  evaluate: {
    says: 'FILE ... [--text] [--with route,fit]\n                                  judge conversion files, as JSON or as short reports',
    run: (args) => commandLine('evaluate', args),
  },
  card: {
    says: 'FILE [--text]                    what to type into this drive, in order, as JSON or as a sheet',
    run: (args) => commandLine('card', args),
  },
  manual: {
    says: 'FILE [--for NAMES | --jotted]    what is printed at a drive’s screws, how to wire it, what was jotted of it',
    run: (args) => commandLine('manual', args),
  },
  rule: {
    says: "[ID ['{json}']]              list the rules, describe one, or compute with it",
    run: (args) => commandLine('rule', args),
  },
  bench: {
    says: '[scale]                      measure the budgets; scale: many shops, and two servers under many users',
    run: async ([what]) =>
      what === 'scale' ? (await import('./benchScale.mjs')).benchScale() : (await import('./bench.mjs')).bench(),
  },
  budgets: {
    says: '[--lower]                    hold what is counted against budgets.json, or lower what has become less',
    run: async (args) => {
      const { failed } = await (await import('./budgets.mjs')).budgets(args)
      if (failed > 0) process.exitCode = 1
    },
  },
  mutate: {
    says: '[HOW MANY] [SEED]            slips of the pen that the tests must notice',
    run: async (args) => (await import('./mutate.mjs')).mutate(args),
  },
  shots: {
    says: '                             make docs/screenshots from the demo data',
    run: async (args) => (await import('./shots.mjs')).shots(args),
  },
  docs: {
    says: '                             make docs/rules.md and docs/schema anew',
    run: (args) => commandLine('docs', args),
  },
  backup: {
    says: '[FILE | --list]              keeps the database in a file; lists those kept by themselves',
    run: async (args) => (await import('./backup.mjs')).backup(args),
  },
  restore: {
    says: 'FILE                         puts a backup in place of the database',
    run: async (args) => (await import('./backup.mjs')).restore(args),
  },
  help: { says: '                             this list', run: () => help() },
}

function help() {
  console.log('Zesty Lathe plans the conversion of a machine tool to three-phase variable speed.\n')
  for (const [verb, { says }] of Object.entries(verbs)) console.log(`  ./zesty ${verb.padEnd(9)} ${says}`)
  console.log('\nWith DATABASE_URL set, that PostgreSQL is used instead of one of its own.')
}

/** Verbs that need core alone. @param {string} verb @param {string[]} args */
async function commandLine(verb, args) {
  const { ensureCommandLine } = await import('./setUp.mjs')
  const { main } = await import(pathToFileURL(ensureCommandLine()).href)
  process.exitCode = await main(verb, args)
}

const [verb = 'help', ...args] = process.argv.slice(2)
const known = verbs[verb === '--help' || verb === '-h' ? 'help' : verb]
try {
  if (!known) throw new Trouble(`"${verb}" is not a verb; ./zesty help lists them.`, 2)
  await known.run(args)
} catch (error) {
  end(error)
}
