// @ts-check
import { spawnSync } from 'node:child_process'
import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { Validator } from '@seriousme/openapi-schema-validator'
import { Ajv2020 } from 'ajv/dist/2020.js'
import addFormats from 'ajv-formats'
import { demoServer } from './demoServer.mjs'
import { localPath, root } from './paths.mjs'
import { npmBin } from './run.mjs'

/**
 * Holds the published formats of a running server against programs that are not ours: its OpenAPI document against two
 * linters, its schemas against Ajv in strict mode, and what it answers against those schemas.
 * @returns {Promise<{passed: number, failed: number}>}
 */
export async function formats() {
  const server = await demoServer()
  /** @type {[string, string[]][]} what was held, and what is wrong with it */
  const held = []
  /** @param {string} path @returns {Promise<any>} */
  const get = async (path) => (await fetch(`${server.url}${path}`)).json()
  try {
    const document = await get('/api/docs-json')
    held.push(['OpenAPI by @seriousme/openapi-schema-validator', await validatorFaults(document)])
    held.push(['OpenAPI by @redocly/cli, recommended rules', redoclyFaults(document)])

    const { ajv, addSchemas } = strictAjv()
    const names = /** @type {string[]} */ (document.paths['/api/schema/{name}'].get.parameters[0].schema.enum)
    for (const name of names) held.push([`${name} by Ajv 2020, strict`, addSchemas(await get(`/api/schema/${name}`))])
    // What stands in the document names the other parts by its own address.
    held.push([
      'components of the OpenAPI document by Ajv',
      addSchemas({ $id: 'urn:zesty-lathe:openapi', ...document }),
    ])

    const answer = (/** @type {string} */ what, /** @type {string} */ id, /** @type {unknown} */ body) => {
      try {
        held.push([`${what} by ${id}`, ajv.validate(id, body) ? [] : [ajv.errorsText(ajv.errors)]])
      } catch (error) {
        held.push([`${what} by ${id}`, [String(error)]])
      }
    }
    const shops = await get('/api/shops')
    for (const shop of shops) {
      answer('a shop', 'urn:zesty-lathe:openapi#/components/schemas/ShopLine', shop)
      for (const line of await get(`/api/shops/${shop.id}/conversions`)) {
        answer('a machine', 'urn:zesty-lathe:openapi#/components/schemas/MachineLine', line)
        const at = `/api/conversions/${line.id}`
        answer('a conversion', 'urn:zesty-lathe:openapi#/components/schemas/Conversion', await get(at))
        answer(
          'its file',
          names[0] === undefined ? '' : `urn:zesty-lathe:schema:${names[0]}`,
          await get(`${at}/export`),
        )
        answer('it judged', 'urn:zesty-lathe:openapi#/components/schemas/JudgedConversion', await get(`${at}/judged`))
        answer('its evaluation', `urn:zesty-lathe:schema:${names[1]}`, await get(`${at}/evaluation`))
      }
      for (const item of await get(`/api/shops/${shop.id}/library`))
        answer('an item', 'urn:zesty-lathe:openapi#/components/schemas/LibraryLine', item)
    }
    // Manuals are read from files, not from a server.
    for (const file of readdirSync(join(root, 'samples', 'manuals')))
      answer(
        `the manual ${file}`,
        `urn:zesty-lathe:schema:${names[2]}`,
        JSON.parse(readFileSync(join(root, 'samples', 'manuals', file), 'utf8')),
      )
    answer('an error', 'urn:zesty-lathe:openapi#/components/schemas/Problem', await get('/api/shops/none'))
  } finally {
    await server.close()
  }
  const wrong = held.filter(([, faults]) => faults.length > 0)
  for (const [what, faults] of wrong) console.log(`${what}: ${faults.slice(0, 5).join('\n  ')}`)
  return { passed: held.length - wrong.length, failed: wrong.length }
}

/** @param {any} document @returns {Promise<string[]>} */
async function validatorFaults(document) {
  const { valid, errors } = await new Validator().validate(structuredClone(document))
  return valid ? [] : [typeof errors === 'string' ? errors : JSON.stringify(errors, null, 1)]
}

/** @param {object} document @returns {string[]} */
function redoclyFaults(document) {
  const file = localPath('reports', 'openapi.json')
  writeFileSync(file, JSON.stringify(document))
  const { status, stdout, stderr } = spawnSync(
    npmBin('redocly'),
    ['lint', file, '--extends', 'recommended', '--format', 'stylish'],
    { cwd: root, encoding: 'utf8', env: { ...process.env, REDOCLY_TELEMETRY: 'off', CI: 'true' } },
  )
  // A warning is a fault too: the document is ours alone.
  const warned = /^\s*\d+:\d+\s+warning/m.test(`${stdout}${stderr}`)
  return status === 0 && !warned ? [] : [`${stdout}${stderr}`]
}

function strictAjv() {
  const ajv = new Ajv2020({ strict: true, allErrors: true })
  addFormats.default(ajv)
  // Around its schemas the document has more; beside their keywords it carries the form's words, as OpenAPI allows.
  ajv.addVocabulary(['components', 'x-dimension', 'x-options', 'x-stage'])
  return {
    ajv,
    /** @param {any} schema @returns {string[]} */
    addSchemas(schema) {
      try {
        if (schema.openapi === undefined) ajv.compile(schema)
        else {
          // Only its schemas are JSON Schema; the rest of the document is not Ajv's.
          ajv.addSchema({ $id: schema.$id, components: schema.components }, schema.$id, false, false)
          for (const name of Object.keys(schema.components.schemas))
            ajv.compile({ $ref: `${schema.$id}#/components/schemas/${name}` })
        }
        return []
      } catch (error) {
        return [error instanceof Error ? error.message : String(error)]
      }
    },
  }
}
