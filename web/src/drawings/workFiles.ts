import { toDrawing, type WorkDrawing } from '@zesty/core/dial'
import { toSvg } from '@zesty/core/wiring'
import { saveBytes } from '../parts/saveFile'

const bytes = (text: string): Uint8Array => new TextEncoder().encode(text)

/** Saves a workshop drawing at true size; of a PDF it says why where it does not fit its paper. */
export async function saveWorkDrawing(
  drawing: WorkDrawing,
  title: string,
  as: 'svg' | 'dxf' | 'pdf',
  paper: 'a4' | 'letter',
): Promise<string | undefined> {
  if (as === 'svg') saveBytes(`${title}.svg`, 'image/svg+xml', bytes(toSvg(toDrawing(drawing), title)))
  else if (as === 'dxf') saveBytes(`${title}.dxf`, 'image/vnd.dxf', bytes((await import('./dxf')).toDxf(drawing)))
  else {
    const { openPdf } = await import('./openPdf')
    const pdf = await openPdf(paper, `${title}. It plans and explains; it certifies nothing.`)
    const scale = pdf.drawing(toDrawing(drawing), 'At true size: print at 100 %, then measure the bar')
    if (scale < 1) return 'It does not fit the paper at true size: take the SVG or DXF, or a smaller plate.'
    saveBytes(`${title}.pdf`, 'application/pdf', await pdf.save())
  }
  return undefined
}
