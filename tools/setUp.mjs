// @ts-check
import { spawnSync } from 'node:child_process'
import { existsSync, readdirSync, rmSync } from 'node:fs'
import { delimiter, join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { installPackageBy } from './debianPackage.mjs'
import { localPath, root } from './paths.mjs'
import { npmBin, runLogged } from './run.mjs'
import { once } from './stamp.mjs'
import { Trouble } from './trouble.mjs'

// Progress goes to standard error: what a verb prints is its answer alone.

/** @param {string} program */
const onPath = (program) =>
  (process.env.PATH ?? '')
    .split(delimiter)
    .map((dir) => join(dir, program))
    .find(existsSync)

/** Debian's folder of PostgreSQL programs, newest first; undefined where the server is not installed. */
export function postgresPrograms() {
  const debian = '/usr/lib/postgresql'
  const versions = existsSync(debian) ? readdirSync(debian).sort((a, b) => Number(b) - Number(a)) : []
  const found = versions.map((v) => join(debian, v, 'bin')).find((dir) => existsSync(join(dir, 'initdb')))
  const elsewhere = onPath('initdb')
  return found ?? (elsewhere ? join(elsewhere, '..') : undefined)
}

/** Debian's browser, for the interface tests and the screenshots. */
export const chromium = () => onPath('chromium')

/** Installs a Debian package, or says how. @param {string} name */
function installPackage(name) {
  const aptGet = onPath('apt-get')
  const asRoot = process.getuid?.() === 0
  const sudo = asRoot ? undefined : onPath('sudo')
  const may = asRoot || (sudo && spawnSync('sudo', ['-n', 'true']).status === 0)
  if (!aptGet || !may)
    throw new Trouble(`The Debian package ${name} is missing. Install it with: sudo apt-get install ${name}`)
  console.error(`Installing Debian's ${name} ...`)
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  /** @param {string[]} args */
  const apt = (args) =>
    runLogged(`Installing ${name}`, asRoot ? 'apt-get' : 'sudo', asRoot ? args : ['-n', 'apt-get', ...args], { env })
  installPackageBy(name, apt)
}

export function ensurePostgres() {
  if (!postgresPrograms()) installPackage('postgresql')
  const programs = postgresPrograms()
  if (!programs) throw new Trouble('PostgreSQL was installed, but its programs are not under /usr/lib/postgresql.')
  return programs
}

export function ensureChromium() {
  if (!chromium()) installPackage('chromium')
  const path = chromium()
  if (!path) throw new Trouble('Chromium was installed, but is not on the PATH.')
  return path
}

const manifests = [
  'package.json',
  'package-lock.json',
  'core/package.json',
  'pdf/package.json',
  'server/package.json',
  'web/package.json',
  '.npmrc',
]

/** The packages of the lock file, from the registry that npm is set to use. */
export function ensureDependencies() {
  if (!onPath('npm')) throw new Trouble('npm is missing. Install it with: sudo apt-get install npm')
  once('dependencies', manifests, join(root, 'node_modules', '.package-lock.json'), () => {
    console.error('Installing packages (about a minute and a half) ...')
    runLogged('Installing packages', 'npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--loglevel=error'])
  })
}

const buildInputs = ['package-lock.json', 'tsconfig.base.json']
const built = (/** @type {string[]} */ ...parts) => localPath('build', ...parts)

/** @param {string} what @param {string} folder @param {string} config @param {NodeJS.ProcessEnv} [env] */
function viteBuild(what, folder, config, env = process.env) {
  console.error(`Building ${what} ...`)
  rmSync(built(folder), { recursive: true, force: true })
  runLogged(`Building ${what}`, npmBin('vite'), ['build', '--config', config, '--logLevel', 'warn'], { env })
}

/** The command line's own bundle of core. Returns the file to import. */
export function ensureCommandLine() {
  ensureDependencies()
  const product = built('cli', 'main.mjs')
  once('cli', [...buildInputs, 'core/src', 'cli'], product, () =>
    viteBuild('the command line', 'cli', 'cli/vite.config.mjs'),
  )
  return product
}

/** Core by its doors, for the tests of page and server. */
export function ensureCore() {
  ensureDependencies()
  once('core', [...buildInputs, 'core/src', 'core/vite.config.mjs'], built('core', 'index.mjs'), () =>
    viteBuild('core for the tests', 'core', 'core/vite.config.mjs'),
  )
}

/** The server's bundle, and what it says of its API. @param {string} server @param {string} openApiFile */
function buildServer(server, openApiFile) {
  viteBuild('the server', 'server', 'server/vite.config.mjs')
  for (const name of ['paperWorker', 'judgeWorker'])
    viteBuild(`the server's ${name}`, join('server', name), 'server/vite.worker.config.mjs', {
      ...process.env,
      ZESTY_WORKER: name,
    })
  const write = `import { writeFileSync } from 'node:fs'
import { openApiDocument } from ${JSON.stringify(pathToFileURL(server).href)}
writeFileSync(${JSON.stringify(openApiFile)}, JSON.stringify(openApiDocument()))`
  runLogged('Describing the API', process.execPath, ['--input-type=module', '--eval', write])
}

/** The server's bundle and the page it serves. */
export function ensureApplication() {
  ensureDependencies()
  const server = built('server', 'main.mjs')
  const openApiFile = built('server', 'openapi.json')
  const web = built('web', 'index.html')
  once('server', [...buildInputs, 'core/src', 'pdf', 'server'], server, () => buildServer(server, openApiFile))
  once('web', [...buildInputs, 'core/src', 'pdf', 'web'], web, () =>
    viteBuild('the page', 'web', 'web/vite.config.mjs'),
  )
  return { server, openApiFile, webRoot: built('web') }
}
