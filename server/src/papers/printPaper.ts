import {
  CERTIFIES,
  paperHead,
  paperParts,
  partCount,
  type Block,
  type PaperInput,
  type PaperKind,
} from '@zesty/core/papers'
import { PdfPaper, type Paper as PaperSize, type PdfFonts } from '@zesty/pdf'
import type { Report } from './paperProgress'

/** A photo to be printed: what is seen on it, and its JPEG. */
export interface PrintedPhoto {
  note: string
  jpeg: Uint8Array
}

/** Largest on paper, mm. */
const PHOTO = { width: 150, height: 105 }
/** A box to tick takes so much of a row, mm. */
const BOX = 6

/** A paper as PDF; it reports after each part, each photo, and when it is put together. */
export async function printPaper(
  {
    kind,
    input,
    size,
    photos,
  }: { kind: PaperKind; input: PaperInput; size: PaperSize; photos: readonly PrintedPhoto[] },
  fonts: PdfFonts,
  report: Report,
): Promise<Uint8Array> {
  const { title, upright } = paperHead(kind, input)
  const of = partCount(kind) + photos.length + 1
  let done = 0
  const through = () => report({ done: (done += 1), of })
  const pdf = await PdfPaper.open({ paper: size, head: title, fonts, upright, foot: CERTIFIES })
  for (const { title: name, blocks } of paperParts(kind, input)) {
    pdf.part(name)
    for (const block of blocks) {
      if (block.kind === 'photos') await printPhotos(pdf, photos, through)
      else print(pdf, block)
    }
    through()
  }
  const bytes = await pdf.save()
  through()
  return bytes
}

async function printPhotos(pdf: PdfPaper, photos: readonly PrintedPhoto[], through: () => void): Promise<void> {
  if (photos.length === 0) pdf.words('No photo was taken.')
  for (const { note, jpeg } of photos) {
    pdf.words(note, true)
    await pdf.photo(jpeg, PHOTO).catch(() => pdf.words('This photo cannot be printed.'))
    through()
  }
}

function print(pdf: PdfPaper, block: Exclude<Block, { kind: 'photos' }>): void {
  switch (block.kind) {
    case 'words':
      pdf.words(block.text, block.bold)
      break
    case 'heading':
      pdf.heading(block.text)
      break
    case 'table': {
      const boxed = block.boxes === true
      const wide = pdf.lineWidth - (boxed ? BOX : 0)
      const row = (cells: readonly string[], bold: boolean) => {
        let x = boxed ? BOX : 0
        const placed = cells.map((text, i) => {
          const width = (block.shares[i] ?? 0) * wide
          const cell = { x, width: width - 2, text, bold }
          x += width
          return cell
        })
        pdf.row(placed, boxed && !bold)
      }
      row(block.head, true)
      for (const cells of block.rows) row(cells, false)
      break
    }
    case 'drawing':
      if (block.trueSize) {
        pdf.heading(block.title)
        if (pdf.figure(block.drawing) < 1)
          pdf.words('It does not fit this paper at true size: print the plate by itself.', true)
      } else pdf.drawing(block.drawing, block.title)
  }
}
