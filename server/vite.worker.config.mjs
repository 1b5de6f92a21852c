// @ts-check
import { defineConfig } from 'vite'

/**
 * The thread that makes papers, as one file with all that it needs: it is started from its text, by a server that may
 * not be allowed to read any file by then.
 */
export default defineConfig({
  build: {
    ssr: 'server/src/papers/paperWorker.ts',
    outDir: '.local/build/server/papers',
    target: 'node20',
    minify: false,
    rollupOptions: { output: { format: 'cjs', entryFileNames: 'paperWorker.cjs' } },
  },
  ssr: { noExternal: true },
})
