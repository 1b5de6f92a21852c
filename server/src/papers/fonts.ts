import { readFileSync } from 'node:fs'
import { createRequire } from 'node:module'
import type { PdfFonts } from '@zesty/pdf'

/** The fonts that ship, as files: medium and bold. Read at the start, while whoever serves may still read them. */
export function readFonts(): PdfFonts {
  const { resolve } = createRequire(import.meta.url)
  const file = (weight: 500 | 600) =>
    readFileSync(resolve(`@fontsource/barlow-condensed/files/barlow-condensed-latin-${weight}-normal.woff`))
  return { 500: file(500), 600: file(600) }
}
