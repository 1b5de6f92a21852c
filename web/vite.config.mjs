// @ts-check
import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { withoutRuleDocs } from './withoutRuleDocs.mjs'

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [react(), tailwindcss(), withoutRuleDocs()],
  // Everything stays a file of its own: the content-security policy allows no inlined script or font.
  build: { outDir: '../.local/build/web', emptyOutDir: true, assetsInlineLimit: 0, modulePreload: { polyfill: false } },
  // For working on the page: `npx vite --config web/vite.config.mjs` beside a running ./zesty start.
  server: { proxy: { '/api': 'http://127.0.0.1:4747' } },
})
