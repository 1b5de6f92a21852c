import { paperHtml, paperOf, type PaperInput, type PaperKind } from '@zesty/core/papers'
import type { Paper as PaperSize, PdfFonts } from '@zesty/pdf'
import type { Report } from './paperProgress'
import { printPaper, type PrintedPhoto } from './printPaper'

/** A paper to be made: as PDF, or the help sheet as one page of HTML. */
export type PaperJob =
  | { as: 'pdf'; kind: PaperKind; size: PaperSize; input: PaperInput; photos: readonly PrintedPhoto[] }
  | { as: 'page'; input: PaperInput; photos: readonly PrintedPhoto[] }

/** The bytes of a paper. */
export async function makePaper(job: PaperJob, fonts: PdfFonts, report: Report): Promise<Uint8Array> {
  if (job.as === 'pdf') return printPaper(job, fonts, report)
  const photos = job.photos.map(({ note, jpeg }) => ({ note, jpeg: Buffer.from(jpeg).toString('base64') }))
  return Buffer.from(paperHtml(paperOf('help', job.input), photos))
}
