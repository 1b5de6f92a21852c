// @ts-check
import { defineConfig } from 'vite'

/** The server as one file; npm packages stay outside, the workspace's own are bundled. */
export default defineConfig({
  build: {
    ssr: 'server/src/main.ts',
    outDir: '.local/build/server',
    target: 'node20',
    minify: false,
    rollupOptions: { output: { entryFileNames: 'main.mjs' } },
  },
  ssr: { noExternal: ['@zesty/core', '@zesty/pdf'] },
})
