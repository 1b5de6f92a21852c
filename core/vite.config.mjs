// @ts-check
import { readdirSync } from 'node:fs'
import { basename, join } from 'node:path'
import { defineConfig } from 'vite'

const doors = join(import.meta.dirname, 'src', 'doors')

/** Core by its doors, for tests of what stands on it: each file of theirs would load seven hundred modules anew. */
export default defineConfig({
  build: {
    ssr: true,
    outDir: '.local/build/core',
    target: 'node20',
    minify: false,
    rollupOptions: {
      input: Object.fromEntries(readdirSync(doors).map((file) => [basename(file, '.ts'), join(doors, file)])),
      output: { entryFileNames: '[name].mjs', chunkFileNames: 'part-[hash].mjs' },
    },
  },
})
