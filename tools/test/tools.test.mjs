// @ts-check
import assert from 'node:assert/strict'
import { spawnSync } from 'node:child_process'
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, relative } from 'node:path'
import { after, describe, test } from 'node:test'
import { installPackageBy } from '../debianPackage.mjs'
import { localPath, root } from '../paths.mjs'
import { freePort, isFree } from '../ports.mjs'
import { fingerprint, once } from '../stamp.mjs'
import { readOptions } from '../start.mjs'
import { Trouble } from '../trouble.mjs'

const scratch = mkdtempSync(localPath('tools-'))
after(() => rmSync(scratch, { recursive: true }))

describe('a checkout in which nothing is installed yet', () => {
  // Outside the project, so that no packages of a folder above are found.
  const bare = mkdtempSync(join(tmpdir(), 'bare-'))
  cpSync(join(root, 'tools'), join(bare, 'tools'), { recursive: true })
  cpSync(join(root, 'package.json'), join(bare, 'package.json'))
  after(() => rmSync(bare, { recursive: true }))
  /** @param {string} code */
  const node = (code) =>
    spawnSync(process.execPath, ['--input-type=module', '-e', code], { cwd: bare, encoding: 'utf8' })
  /** What a verb loads before it has seen to the packages. */
  const verbs = [
    ...readFileSync(join(root, 'tools/main.mjs'), 'utf8').matchAll(/import\('(\.\/[a-zA-Z]+\.mjs)'\)/g),
  ].map(([, file]) => file ?? '')
  test('has verbs to try', () => assert.ok(verbs.includes('./check.mjs') && verbs.length > 5))
  for (const file of new Set(verbs))
    test(`loads ${file}, which installs what it needs`, () => {
      const { status, stderr } = node(`await import('./tools/${file.slice(2)}')`)
      assert.equal(status, 0, stderr)
    })
})

test('a free port is not one that the system lends to outgoing connections, and the next is free too', async () => {
  const [lentFrom = 0] = readFileSync('/proc/sys/net/ipv4/ip_local_port_range', 'utf8').split(/\s+/).map(Number)
  for (let tries = 0; tries < 20; tries += 1) {
    const port = await freePort()
    assert.ok(port + 1 < Math.min(lentFrom, 16_000), `${port} is below ${lentFrom} and below what sandboxes lend`)
    assert.ok(await isFree(port + 1, '0.0.0.0'))
  }
})

describe('a Debian package', () => {
  /** Answers apt-get by turns: an entry that is a text is why it fails. @param {(string | undefined)[]} answers */
  const apt = (...answers) => {
    /** @type {string[]} */
    const asked = []
    return {
      asked,
      run: (/** @type {string[]} */ args) => {
        asked.push(args[0] ?? '')
        const why = answers.shift()
        if (why !== undefined) throw new Error(why)
      },
    }
  }
  test('is installed from the index that is there, without fetching another', () => {
    const { asked, run } = apt(undefined)
    installPackageBy('chromium', run)
    assert.deepEqual(asked, ['install'])
  })
  test('is installed from a fresh index where the old one lacks it', () => {
    const { asked, run } = apt('no such package', undefined, undefined)
    installPackageBy('chromium', run)
    assert.deepEqual(asked, ['install', 'update', 'install'])
  })
  test('is installed though the index cannot be fetched whole', () => {
    const { run } = apt('half installed', 'a foreign repository does not answer', undefined)
    installPackageBy('chromium', run)
  })
  test('that can be had neither way tells both reasons', () => {
    const { run } = apt('no such package', 'the clock is wrong', 'no such package still')
    assert.throws(
      () => installPackageBy('chromium', run),
      (error) => error instanceof Trouble && /no such package still.*the clock is wrong/.test(error.message),
    )
  })
})

describe('options of start', () => {
  test('are those of the machine itself unless told otherwise', () => {
    assert.deepEqual(readOptions([]), { names: [], insecure: false, demo: 'as-before' })
    assert.deepEqual(
      readOptions(['--port', '5000', '--host', '0.0.0.0', '--name', 'shed.lan', '--insecure', '--empty']),
      {
        host: '0.0.0.0',
        names: ['shed.lan'],
        insecure: true,
        port: 5000,
        demo: 'remove',
      },
    )
    assert.equal(readOptions(['--demo']).demo, 'add')
  })
  for (const [args, says] of /** @type {[string[], RegExp][]} */ ([
    [['--port'], /--port needs a value/],
    [['--port', '0'], /from 1 to 65535/],
    [['--port', '65536'], /from 1 to 65535/],
    [['--port', 'http'], /from 1 to 65535/],
    [['--prot', '1'], /does not know --prot/],
    [['--insecure'], /need --host/],
    [['--name', 'shed.lan'], /need --host/],
  ]))
    test(`${args.join(' ')} is refused`, () => {
      assert.throws(
        () => readOptions(args),
        (error) => error instanceof Trouble && error.exitCode === 2 && says.test(error.message),
      )
    })
})

describe('a stamp', () => {
  const folder = join(scratch, 'inputs')
  mkdirSync(join(folder, 'below'), { recursive: true })
  const [input, product] = [join(folder, 'below', 'a.txt'), join(scratch, 'product.txt')]
  const inputs = [relative(root, folder)]
  /** @returns {boolean} whether the work was done */
  const make = () => {
    let done = false
    once(`test-${process.pid}`, inputs, product, () => {
      done = true
      writeFileSync(product, 'made')
    })
    return done
  }
  after(() => rmSync(localPath('stamps', `test-${process.pid}`), { force: true }))
  test('spares work that was done for the same inputs, and no other', () => {
    writeFileSync(input, 'one')
    assert.deepEqual([make(), make()], [true, false])
    writeFileSync(input, 'two')
    assert.deepEqual([make(), make()], [true, false])
    rmSync(product)
    assert.deepEqual([make(), make()], [true, false])
  })
  test('of work that failed is none', () => {
    writeFileSync(input, 'three')
    assert.throws(() =>
      once(`test-${process.pid}`, inputs, product, () => {
        throw new Error('torn')
      }),
    )
    assert.equal(make(), true)
  })
  test('sees a file that is renamed', () => {
    const before = fingerprint(inputs)
    writeFileSync(join(folder, 'b.txt'), '')
    assert.notEqual(fingerprint(inputs), before)
  })
})

describe('what a person can do something about', () => {
  /** Ends a process with an error, as every verb does. @param {string} error an expression */
  const ends = (error) => {
    const script = `import { end, Trouble } from ${JSON.stringify(join(root, 'tools/trouble.mjs'))}; end(${error})`
    const { status, stderr } = spawnSync(process.execPath, ['--input-type=module', '-e', script], { encoding: 'utf8' })
    return [status, stderr]
  }
  for (const [error, status, says] of /** @type {[string, number, string][]} */ ([
    ["new Trouble('The port is taken.', 2)", 2, 'zesty: The port is taken.\n'],
    [
      "Object.assign(new Error('x'), { code: 'ENOSPC' })",
      1,
      'zesty: The disk is full. Free some space and try again; nothing that was kept is lost.\n',
    ],
    [
      "Object.assign(new Error('x'), { code: 'EACCES', path: '/a' })",
      1,
      'zesty: A file may not be read or written: /a\n',
    ],
    ["new Error('odd')", 1, 'zesty: odd\n'],
    ["'a text'", 1, 'zesty: a text\n'],
  ]))
    test(`${error} is one line and exit ${status}`, () => assert.deepEqual(ends(error), [status, says]))
})
