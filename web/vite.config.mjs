// @ts-check
import { readFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import react from '@vitejs/plugin-react'
import { defineConfig } from 'vite'
import { compression } from 'vite-plugin-compression2'
import { VitePWA } from 'vite-plugin-pwa'

/**
 * Schemas of this page are never written as JSON Schema: that is the server's and the command line's. Zod ties what does it
 * to every schema, so that no bundler can leave it out, and it is a fifth of Zod. What Zod itself needs of those files,
 * such as the limits of a number, stays as it is.
 * @returns {import('vite').Plugin}
 */
const withoutJsonSchema = () => ({
  name: 'without-json-schema',
  load(id) {
    if (!/\/zod\/v4\/core\/(to-json-schema|json-schema-processors)\.js$/.test(id)) return undefined
    const parts = readFileSync(id, 'utf8').split(/^(?=export )/m)
    return parts
      .map((part) => {
        const name = /^export (?:const|function) (\w+)/.exec(part)?.[1] ?? ''
        if (/Processors?$/.test(name)) return `export const ${name} = {}\n`
        if (/^create\w+Method$/.test(name)) return `export const ${name} = () => undefined\n`
        if (name === 'toJSONSchema')
          return `export function toJSONSchema() { throw new Error('This page writes no JSON Schema') }\n`
        return part
      })
      .join('')
  },
})

export default defineConfig({
  root: fileURLToPath(new URL('.', import.meta.url)),
  plugins: [
    withoutJsonSchema(),
    react(),
    tailwindcss(),
    VitePWA({
      // The page says when it registers, and asks before it changes to a new version.
      injectRegister: false,
      registerType: 'prompt',
      manifest: {
        name: 'Zesty Lathe',
        short_name: 'Zesty Lathe',
        description: 'Conversions of machine tools to three-phase variable speed, at the machine',
        start_url: '/',
        display: 'standalone',
        background_color: '#f4efe4',
        theme_color: '#f4efe4',
        icons: [{ src: '/icon.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        runtimeCaching: [
          {
            // What was open opens again without a network; with one, it is always asked for first.
            urlPattern: ({ url, request }) =>
              request.method === 'GET' &&
              /^\/api\/(shops(\/[^/]+(\/(conversions|library))?)?|conversions\/[^/]+\/(judged|revisions|measurements|entries)|rules\/.+|access\/me)$/.test(
                url.pathname,
              ),
            handler: 'NetworkFirst',
            options: {
              cacheName: 'opened',
              networkTimeoutSeconds: 4,
              expiration: { maxEntries: 200 },
              cacheableResponse: { statuses: [200] },
              plugins: [
                {
                  // Opened at another stage it is the same machine.
                  cacheKeyWillBeUsed: ({ request }) => {
                    const url = new URL(request.url)
                    url.searchParams.delete('stage')
                    return Promise.resolve(url.href)
                  },
                },
              ],
            },
          },
        ],
      },
    }),
    compression({ algorithms: ['brotliCompress', 'gzip'], threshold: 512 }),
  ],
  // Everything stays a file of its own: the content-security policy allows no inlined script or font.
  build: {
    outDir: '../.local/build/web',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    modulePreload: { polyfill: false },
    // Zod and what it is told stand in one file, which runs before any schema is made.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            { name: 'zod', test: /node_modules\/zod\/|state\/withoutEval/, priority: 2 },
            // It runs before all others, and waits for none.
            { name: 'ahead', test: /state\/ahead|vite\/preload-helper/, priority: 2 },
          ],
        },
      },
    },
  },
  // For working on the page: `npx vite --config web/vite.config.mjs` beside a running ./zesty start.
  server: { proxy: { '/api': 'http://127.0.0.1:4747' } },
})
