import { setImmediate } from 'node:timers/promises'
import { CERTIFIES, paperHead, paperParts, type Block, type PaperInput, type PaperKind } from '@zesty/core/papers'
import { PdfPaper, type Paper as PaperSize, type PdfFonts } from '@zesty/pdf'

/** A photo to be printed: what is seen on it, and its JPEG. */
export interface PrintedPhoto {
  note: string
  jpeg: Uint8Array
}

/** Largest on paper, mm. */
const PHOTO = { width: 150, height: 105 }
/** A box to tick takes so much of a row, mm. */
const BOX = 6

/**
 * A paper as PDF. Between its parts others get their turn, and `goesOn` is asked whether anybody still waits for it;
 * undefined where nobody does.
 */
export async function printPaper(
  kind: PaperKind,
  input: PaperInput,
  size: PaperSize,
  fonts: PdfFonts,
  photos: readonly PrintedPhoto[],
  goesOn: () => boolean,
): Promise<Uint8Array | undefined> {
  const { title, upright } = paperHead(kind, input)
  const pdf = await PdfPaper.open({ paper: size, head: title, fonts, upright, foot: CERTIFIES })
  for (const { title: name, blocks } of paperParts(kind, input)) {
    await setImmediate()
    if (!goesOn()) return undefined
    pdf.part(name)
    for (const block of blocks) {
      await setImmediate()
      await print(pdf, block, photos)
    }
  }
  return pdf.save()
}

async function print(pdf: PdfPaper, block: Block, photos: readonly PrintedPhoto[]): Promise<void> {
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
      break
    case 'photos':
      if (photos.length === 0) pdf.words('No photo was taken.')
      for (const { note, jpeg } of photos) {
        await setImmediate()
        pdf.words(note, true)
        await pdf.photo(jpeg, PHOTO).catch(() => pdf.words('This photo cannot be printed.'))
      }
  }
}
