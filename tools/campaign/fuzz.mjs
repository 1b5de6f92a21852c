// @ts-check
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { root } from '../paths.mjs'
import { ensureCommandLine } from '../setUp.mjs'
import { ask, newData, newMachine, removed, started, stopped } from './running.mjs'

/** What people and programs put where something else belongs. @type {unknown[]} */
const strange = [
  null,
  true,
  '',
  ' ',
  '0',
  'NaN',
  -1,
  0,
  1e308,
  -1e-300,
  2 ** 53,
  [],
  {},
  [[]],
  { a: 1 },
  '\0',
  '\ud800',
  '🙂'.repeat(50),
  'x'.repeat(5000),
  '=cmd()',
  '<script>alert(1)</script>',
  "'; drop table shops; --",
  '__proto__',
  JSON.parse('{"__proto__": {"a": 1}, "constructor": 1}'),
]
/** @template T @param {readonly T[]} list @returns {T} */
const any = (list) => /** @type {T} */ (list[Math.floor(Math.random() * list.length)])

/** One to three things of a document changed, dropped, added or repeated. @param {unknown} document @returns {unknown} */
function spoiled(document) {
  const copy = structuredClone(document)
  /** @type {[Record<string, unknown>, string][]} */
  const places = []
  const walk = (/** @type {unknown} */ at) => {
    if (typeof at !== 'object' || at === null) return
    for (const key of Object.keys(at)) {
      const holder = /** @type {Record<string, unknown>} */ (at)
      places.push([holder, key])
      walk(holder[key])
    }
  }
  walk(copy)
  for (let n = 1 + Math.floor(Math.random() * 3); n > 0; n -= 1) {
    const [holder, key] = any(places)
    const how = Math.random()
    if (how < 0.5) holder[key] = any(strange)
    else if (how < 0.7) delete holder[key]
    else if (how < 0.85) holder[`${key}${any(['', '_', '\0', ' ', '9'])}`] = any(strange)
    else holder[key] = [holder[key], holder[key]]
  }
  return copy
}

/** A text with letters changed, dropped, doubled or cut. @param {string} text */
function smudged(text) {
  let now = text
  for (let n = 1 + Math.floor(Math.random() * 4); n > 0; n -= 1) {
    const at = Math.floor(Math.random() * now.length)
    now = any([
      () => now.slice(0, at) + any(['"', ',', '\n', '\0', ';', '\ud800', '{', '\t', '=']) + now.slice(at + 1),
      () => now.slice(0, at),
      () => now.slice(0, at) + now.slice(at + 5),
      () => now + now.slice(at),
    ])()
  }
  return now
}

const files = ['1-saltpan-row/gap-bed-lathe.json', '1-saltpan-row/shop.json']

/**
 * Imports, saves and tables of a kind that nobody should send: refused with reasons or taken, and never a fault.
 * @param {{times: number}} size
 */
export async function fuzz({ times }) {
  const core = await import(pathToFileURL(ensureCommandLine()).href)
  const demo = JSON.parse(readFileSync(join(root, 'demo', files[0] ?? ''), 'utf8'))
  const text = JSON.stringify(demo)
  const table = readFileSync(join(root, 'samples', 'motors.csv'), 'utf8')
  const data = newData()
  let [faults, lost, taken] = [0, 0, 0]
  try {
    const running = await started(data)
    const machine = await newMachine(running.url)
    const at = `${running.url}/api/conversions/${machine.id}`
    let { revision } = (await ask(at)).body
    const post = async (/** @type {string} */ body) => {
      const response = await fetch(`${running.url}/api/shops/${machine.shopId}/import`, {
        method: 'POST',
        body,
        headers: { 'content-type': 'application/json' },
      })
      const answer = await response.text()
      if (response.status >= 500) {
        faults += 1
        console.error(`  import answered ${response.status}: ${body.slice(0, 300)}`)
      }
      if (response.status === 201) {
        taken += 1
        // What was taken can be opened, judged and taken out again.
        const { id } = JSON.parse(answer)
        for (const what of ['judged', 'export'])
          if ((await ask(`${running.url}/api/conversions/${id}/${what}`)).status !== 200) {
            lost += 1
            console.error(`  ${what} of an import that was taken: ${body.slice(0, 300)}`)
          }
        await ask(`${running.url}/api/conversions/${id}`, 'DELETE')
      }
    }
    for (let n = 0; n < times; n += 1) {
      if (n % 3 === 0) await post(JSON.stringify(spoiled(demo)))
      else if (n % 3 === 1) {
        if (n % 2 === 0) await post(smudged(text))
        else {
          const answer = await ask(at, 'PUT', { baseRevision: revision, plan: spoiled(demo.plan) })
          if (answer.status >= 500) faults += 1
          if (answer.status === 200) ({ revision } = answer.body)
        }
      } else {
        const read = core.readLibraryCsv(any(['motor', 'drive']), smudged(table))
        if (read.ok !== true && read.faults.length === 0) lost += 1
      }
    }
    await stopped(running)
  } finally {
    await removed(data)
  }
  return { says: `${times} spoiled imports, saves and tables: ${taken} imports were sound all the same`, lost, faults }
}
