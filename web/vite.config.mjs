// @ts-check
import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { compression } from 'vite-plugin-compression2'

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [react(), tailwindcss(), compression({ algorithms: ['brotliCompress', 'gzip'], threshold: 512 })],
  // Everything stays a file of its own: the content-security policy allows no inlined script or font.
  build: {
    outDir: '../.local/build/web',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
    // Zod and what it is told stand in one file, which runs before any schema is made.
    rolldownOptions: {
      output: { codeSplitting: { groups: [{ name: 'zod', test: /node_modules\/zod\/|state\/withoutEval/ }] } },
    },
  },
  // For working on the page: `npx vite --config web/vite.config.mjs` beside a running ./zesty start.
  server: { proxy: { '/api': 'http://127.0.0.1:4747' } },
})
