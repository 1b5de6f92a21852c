// @ts-check
// Loaded before the tests of core: TypeScript as it stands, and Jest's own functions under their usual name. They run in
// plain Node, modules loaded once for all files of a worker: in Jest's sandbox every global costs a look-up, and every
// file loaded core anew.
import { register } from 'node:module'
import { fileURLToPath } from 'node:url'

process.env.SWC_NODE_PROJECT = fileURLToPath(new URL('../../tsconfig.base.json', import.meta.url))
await import('@swc-node/register/esm-register')
register('./resolveGlobals.mjs', import.meta.url)
