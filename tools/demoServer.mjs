// @ts-check
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { explainAll } from './apiCalls.mjs'
import { throwAwayCluster } from './cluster.mjs'
import { root } from './paths.mjs'
import { freePort } from './ports.mjs'
import { ensureApplication } from './setUp.mjs'

/**
 * What a server under test waits for its database, in milliseconds: two browsers beside it on two cores leave the
 * database little room, and a slow answer is not a wrong one.
 */
export const TEST_PATIENCE = { connectionTimeoutMillis: 20_000, query_timeout: 20_000, statement_timeout: 20_000 }

/**
 * The built application on a database of its own that is gone afterwards; for pictures, measurements and tests.
 * @param {{demo?: boolean, port?: number, network?: boolean, explained?: boolean}} [options] network: other machines may
 *   come, by the next port; explained: PostgreSQL writes down every statement and how it ran
 */
export async function demoServer({ demo = true, port, network = false, explained = false } = {}) {
  const { server, openApiFile, webRoot } = ensureApplication()
  const cluster = await throwAwayCluster()
  try {
    if (explained) await explainAll(cluster.urls)
    const { serve } = await import(pathToFileURL(server).href)
    const chosen = port ?? (await freePort())
    const serving = await serve({
      host: '127.0.0.1',
      port: chosen,
      databaseUrl: cluster.urls.serving,
      ownerUrl: cluster.urls.owner,
      webRoot,
      openApiFile,
      migrations: join(root, 'server', 'migrations'),
      demoFolder: join(root, 'demo'),
      samplesFolder: join(root, 'samples'),
      demo: demo ? 'as-before' : 'remove',
      patience: TEST_PATIENCE,
      ...(network
        ? {
            network: {
              host: '0.0.0.0',
              port: await freePort(),
              names: ['shed.lan'],
              insecure: false,
              folder: join(cluster.home, 'certificate'),
            },
          }
        : {}),
    })
    return {
      url: /** @type {string} */ (serving.url),
      databaseUrl: cluster.urls.owner,
      urls: cluster.urls,
      home: cluster.home,
      close: async () => {
        await serving.close()
        await cluster.remove()
      },
    }
  } catch (error) {
    await cluster.remove()
    throw error
  }
}
