import boldUrl from '@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff?url'
import mediumUrl from '@fontsource/barlow-condensed/files/barlow-condensed-latin-500-normal.woff?url'
import { PdfPaper, type Paper } from '@zesty/pdf'

const file = async (url: string) => (await fetch(url)).arrayBuffer()

/** A document with the fonts that ship with the page. */
export const openPdf = async (paper: Paper, head: string): Promise<PdfPaper> =>
  PdfPaper.open({ paper, head, fonts: { 500: await file(mediumUrl), 600: await file(boldUrl) } })
