// @ts-check
import { defineConfig } from 'vite'

/** Core and its command line as one file for Node. */
export default defineConfig({
  build: {
    ssr: 'cli/main.ts',
    outDir: '.local/build/cli',
    target: 'node20',
    minify: false,
    rollupOptions: { output: { entryFileNames: 'main.mjs' } },
  },
  ssr: { noExternal: true },
})
