// @ts-check
import { defineConfig } from 'vite'

const name = process.env['ZESTY_WORKER']
const programs = /** @type {Record<string, string>} */ ({
  paperWorker: 'server/src/papers/paperWorker.ts',
  judgeWorker: 'server/src/judging/judgeWorker.ts',
})

/**
 * A thread of the server as one file with all that it needs: it is started from its text, by a server that may not be
 * allowed to read any file by then.
 */
export default defineConfig({
  build: {
    ssr: programs[name ?? ''] ?? true,
    outDir: `.local/build/server/${name}`,
    target: 'node20',
    minify: false,
    rollupOptions: { output: { format: 'cjs', entryFileNames: `${name}.cjs` } },
  },
  ssr: { noExternal: true },
})
