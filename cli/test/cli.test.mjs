// @ts-check
import assert from 'node:assert/strict'
import { spawnSync } from 'node:child_process'
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { dirname, join } from 'node:path'
import { after, test } from 'node:test'
import { fileURLToPath } from 'node:url'

const root = dirname(dirname(dirname(fileURLToPath(import.meta.url))))
const heron = 'samples/manuals/heron-wall-box.json'
const scratch = mkdtempSync(join(tmpdir(), 'zesty-cli-'))
after(() => rmSync(scratch, { recursive: true }))

/** @param {string[]} args */
const zesty = (...args) => spawnSync(join(root, 'zesty'), args, { encoding: 'utf8', cwd: root })
/** @param {string} name @param {string} text */
const file = (name, text) => {
  const path = join(scratch, name)
  writeFileSync(path, text)
  return path
}

test('rule prints its output as JSON', () => {
  const { stdout, status } = zesty('rule', 'motor.poles-from-nameplate', '{"ratedSpeedRpm":1420,"ratedFrequencyHz":50}')
  assert.equal(status, 0)
  assert.deepEqual(JSON.parse(stdout), { poles: 4, synchronousRpm: 1500, slip: 80 / 1500, slipUnknown: false })
})

for (const [what, args, says] of /** @type {[string, string[], RegExp][]} */ ([
  [
    'a value out of range',
    ['rule', 'motor.rated-torque', '{"powerW":-1,"speedRpm":1420}'],
    /^zesty: motor\.rated-torque: powerW must be: number above 0 to 100000000; not -1\n$/,
  ],
  ['no JSON', ['rule', 'motor.rated-torque', 'powerW=1'], /^zesty: the input is not JSON: powerW=1\n$/],
  ['an unknown rule', ['rule', 'motor.magic', '{}'], /^zesty: there is no rule "motor\.magic"/],
  ['an unknown verb', ['fly'], /^zesty: "fly" is not a verb/],
  ['a missing file', ['evaluate', '/nowhere.json'], /^zesty: \/nowhere\.json cannot be read\n$/],
  ['a file that is not JSON', ['evaluate', file('broken.json', '{')], /is not JSON/],
  ['a file that is no plan', ['evaluate', file('other.json', '{"a":1}')], /schemaVersion is missing/],
  ['a manual that is none', ['manual', file('other.json', '{"a":1}')], /format must be "zesty-lathe\/manual"/],
  ['a wiring that a drive cannot have', ['manual', heron, '--for', 'torque-off-1'], /no terminal for torque-off-1/],
  ['a wiring of no such function', ['manual', heron, '--for', 'fly'], /--for takes functions with commas between/],
  ['a card of no file', ['card'], /card takes one conversion file/],
  ['a card of a file that is no plan', ['card', file('other.json', '{"a":1}')], /schemaVersion is missing/],
  ['a card with a strange option', ['card', '--colour', heron], /card does not know --colour/],
  ['a strange option', ['start', '--colour'], /^zesty: start does not know --colour/],
  ['a port out of range', ['start', '--port', '99999'], /^zesty: --port takes a number from 1 to 65535/],
])) {
  test(`${what} is one clear line and exit 2`, () => {
    const { stderr, stdout, status } = zesty(...args)
    assert.equal(status, 2)
    assert.match(stderr, says)
    assert.equal(stderr.trim().split('\n').length, 1)
    assert.equal(stdout, '')
  })
}

test('card says what to type into the drive, in order, as a sheet and as JSON', () => {
  const demo = 'demo/2-juniper-wash/long-bed-lathe.json'
  const { stdout, status } = zesty('card', demo, '--text')
  assert.equal(status, 0)
  assert.match(stdout, /^Before a first spin$/m)
  const at = (/** @type {RegExp} */ line) => stdout.search(line)
  // Locked: the word first; the ceiling before the highest hertz.
  assert.ok(at(/^\d+ +set 1\/9 +308 /m) < at(/^\d+ +set 3\/3 +89\.0 /m))
  assert.ok(at(/^\d+ +set 3\/3 +89\.0 /m) < at(/^\d+ +set 3\/2 +89\.0 /m))
  assert.match(stdout, /certifies nothing/)
  const card = JSON.parse(zesty('card', demo).stdout)
  assert.equal(card.coded, true)
  assert.deepEqual(
    card.lines
      .filter((/** @type {{code?: string}} */ l) => l.code === 'set 2/2')
      .map((/** @type {{value: string}} */ l) => l.value),
    ['86'],
  )
})

test('manual says what a drive’s screws do, and what to enter for a wiring', () => {
  const { stdout } = zesty('manual', heron)
  assert.match(stdout, /^Heron, wall-box drive$/m)
  assert.match(stdout, /^ {2}in-a +Run forward$/m)
  assert.match(zesty('manual', heron, '--for', 'run-forward,run-reverse,jog').stdout, /^Jog: in-c\nEnter h43 = c /m)
  const notes = file('notes.txt', 'T1 run fwd\nh12 60 max hertz\nask him again')
  assert.equal(
    zesty('manual', notes, '--jotted').stdout,
    'T1: Run forward\nh12 = 60: maximumHz\nNot read: ask him again\n',
  )
})

test('rule lists the rules, and describes one with schema, formula and source', () => {
  assert.match(zesty('rule').stdout, /^belt\.length +Belt length and wrap$/m)
  const { stdout } = zesty('rule', 'belt.length')
  assert.match(stdout, /Formula: open: a = asin/)
  assert.match(stdout, /Source: /)
  assert.match(stdout, /centreMm +needed +number above 0/)
})

test('evaluate prints JSON, and a short report with --text', () => {
  const path = join(root, 'demo', '1-saltpan-row', 'gap-bed-lathe.json')
  const evaluation = JSON.parse(zesty('evaluate', path).stdout)
  assert.equal(evaluation.figures['motor.poles'].value, 4)
  assert.match(zesty('evaluate', path, '--text').stdout, /STOP {2}Overload left at the amps of the other links/)
  assert.match(zesty('evaluate', path, '--text', '--imperial').stdout, /2\.01 hp/)
})

test('evaluate --with route,fit adds what the comparisons say, their verdicts as findings', () => {
  const path = join(root, 'demo', '1-saltpan-row', 'gap-bed-lathe.json')
  const plain = JSON.parse(zesty('evaluate', path).stdout)
  const { plan, ...around } = JSON.parse(readFileSync(path, 'utf8'))
  plan.oldMotor = { ...plan.oldMotor, centreHeightMm: 80, raiseMm: 0 }
  plan.route = { ...plan.route, chosen: 'small-dc' }
  const tall = file('tall.json', JSON.stringify({ ...around, plan }))
  const both = JSON.parse(zesty('evaluate', tall, '--with', 'route,fit').stdout)
  assert.ok(both.route.lines.length > 3)
  assert.equal(both.fit[0].fit[0].verdict, 'no')
  assert.equal(both.findings.find((f) => f.id === 'motor.fit/motor-shaft-height').severity, 'stop')
  assert.ok(both.findings.some((f) => f.id === 'route.not-for-this/small-dc'))
  assert.ok(!plain.findings.some((f) => f.id.startsWith('motor.fit')))
  assert.match(zesty('evaluate', tall, '--text', '--with', 'fit').stdout, /STOP {2}Shaft height: it does not fit/)
  const strange = zesty('evaluate', path, '--with', 'prices')
  assert.deepEqual([strange.status, /route and fit/.test(strange.stderr)], [2, true])
})

test('evaluate takes several files in one run, and tells of one that does not read', () => {
  const folder = join(root, 'demo', '1-saltpan-row')
  const [lathe, mill] = [join(folder, 'gap-bed-lathe.json'), join(folder, 'turret-mill.json')]
  const both = zesty('evaluate', lathe, file('broken.json', '{'), mill)
  assert.equal(both.status, 2)
  assert.match(both.stderr, /broken\.json is not JSON/)
  const lines = both.stdout
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line))
  assert.deepEqual(
    lines.map((line) => line.file),
    [lathe, mill],
  )
  assert.deepEqual(lines[0].evaluation, JSON.parse(zesty('evaluate', lathe).stdout))
  assert.match(
    zesty('evaluate', lathe, mill, '--text').stdout,
    /== .*gap-bed-lathe\.json\n[\s\S]*== .*turret-mill\.json\n/,
  )
})

test('a reader that has seen enough ends it quietly', () => {
  const many = Array.from({ length: 12 }, () => join(root, 'demo', '1-saltpan-row', 'gap-bed-lathe.json')).join(' ')
  const piped = spawnSync('bash', ['-c', `set -o pipefail; ./zesty evaluate ${many} | head -c 200 > /dev/null`], {
    cwd: root,
    encoding: 'utf8',
  })
  assert.deepEqual([piped.stderr, piped.status], ['', 0])
})

test('every demo file evaluates', () => {
  for (const shop of readdirSync(join(root, 'demo')))
    for (const name of readdirSync(join(root, 'demo', shop)).filter((n) => n !== 'shop.json'))
      assert.equal(zesty('evaluate', join(root, 'demo', shop, name)).status, 0, name)
})

test('help lists every verb', () => {
  const { stdout, status } = zesty('help')
  assert.equal(status, 0)
  for (const verb of ['start', 'check', 'evaluate', 'rule', 'bench', 'shots', 'backup', 'restore'])
    assert.match(stdout, new RegExp(`\\./zesty ${verb} `))
})
