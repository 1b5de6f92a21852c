import fontkit from '@pdf-lib/fontkit'
import mediumUrl from '@fontsource/barlow-condensed/files/barlow-condensed-latin-500-normal.woff?url'
import boldUrl from '@fontsource/barlow-condensed/files/barlow-condensed-latin-600-normal.woff?url'
import type { Drawing, Paint, Shape } from '@zesty/core/wiring'
import { paperPaints } from '@zesty/core/wiring'
import { LineCapStyle, PDFDocument, rgb, type Color, type PDFFont, type PDFPage } from 'pdf-lib'

/** Points of one millimetre. */
const PT = 72 / 25.4

export const papers = { a4: { width: 297, height: 210 }, letter: { width: 279.4, height: 215.9 } } as const
export type Paper = keyof typeof papers

const MARGIN = 10
const LINE = 5.2

const colourOf = (paint: Paint | undefined): Color | undefined => {
  const hex = paint === undefined ? undefined : (paperPaints[paint] ?? paint)
  if (hex === undefined || hex === 'none') return undefined
  const part = (at: number): number => parseInt(hex.slice(at, at + 2), 16) / 255
  return rgb(part(1), part(3), part(5))
}

/** Pages on which drawings of core and lines of text are put; lengths in mm from the top left. */
export class PdfPaper {
  private page: PDFPage
  private y = MARGIN

  private constructor(
    private readonly document: PDFDocument,
    private readonly fonts: Record<500 | 600, PDFFont>,
    private readonly paper: Paper,
    private readonly head: string,
  ) {
    this.page = this.newPage()
  }

  /** Opens a document with the fonts that ship. */
  static async open(paper: Paper, head: string): Promise<PdfPaper> {
    const document = await PDFDocument.create()
    document.registerFontkit(fontkit)
    document.setTitle(head)
    const font = async (url: string) => document.embedFont(await (await fetch(url)).arrayBuffer(), { subset: true })
    return new PdfPaper(document, { 500: await font(mediumUrl), 600: await font(boldUrl) }, paper, head)
  }

  private newPage(): PDFPage {
    const { width, height } = papers[this.paper]
    const page = this.document.addPage([width * PT, height * PT])
    this.page = page
    this.y = MARGIN + 8
    this.write(this.head, MARGIN, MARGIN + 2, 4.2, 600)
    return page
  }

  private write(
    text: string,
    x: number,
    y: number,
    size: number,
    weight: 500 | 600,
    paint: Paint = 'ink',
    anchor = 'start',
  ): void {
    const font = this.fonts[weight]
    const known = printable(text, font)
    const width = font.widthOfTextAtSize(known, size * PT) / PT
    const at = anchor === 'end' ? x - width : anchor === 'middle' ? x - width / 2 : x
    const color = colourOf(paint)
    this.page.drawText(known, {
      x: at * PT,
      y: (papers[this.paper].height - y) * PT,
      size: size * PT,
      font,
      ...(color ? { color } : {}),
    })
  }

  /** A drawing on a page of its own, as large as it is drawn or as fits; gives its scale. */
  drawing(drawing: Drawing, title: string): number {
    this.newPage()
    this.write(title, MARGIN, this.y, 5, 600)
    const { width, height } = papers[this.paper]
    const top = this.y + 4
    const scale = Math.min(1, (width - 2 * MARGIN) / drawing.width, (height - top - MARGIN) / drawing.height)
    for (const shape of drawing.shapes) this.shape(shape, MARGIN, top, scale)
    return scale
  }

  private shape(shape: Shape, ox: number, oy: number, scale: number): void {
    const { height } = papers[this.paper]
    const X = (x: number): number => (ox + x * scale) * PT
    const Y = (y: number): number => (height - (oy + y * scale)) * PT
    if (shape.kind === 'group') {
      for (const one of shape.shapes) this.shape(one, ox, oy, scale)
      return
    }
    if (shape.kind === 'text') {
      this.write(
        shape.text,
        ox + shape.x * scale,
        oy + shape.y * scale,
        shape.size * scale,
        shape.weight ?? 500,
        shape.paint,
        shape.anchor,
      )
      return
    }
    const fill = colourOf(shape.fill)
    const stroke = colourOf(shape.stroke)
    const line = (shape.width ?? 0.3) * scale * PT
    const dash = shape.dash?.split(' ').map((n) => Number(n) * scale * PT)
    const common = {
      ...(stroke ? { borderColor: stroke, borderWidth: line, borderLineCap: LineCapStyle.Round } : {}),
      ...(dash ? { borderDashArray: dash } : {}),
    }
    if (shape.kind === 'path')
      this.page.drawSvgPath(shape.d, {
        x: X(0),
        y: Y(0),
        scale: scale * PT,
        ...common,
        ...(stroke ? { borderWidth: shape.width ?? 0.3 } : {}),
        ...(fill ? { color: fill } : {}),
      })
    else if (shape.kind === 'rect')
      this.page.drawRectangle({
        x: X(shape.x),
        y: Y(shape.y + shape.h),
        width: shape.w * scale * PT,
        height: shape.h * scale * PT,
        ...common,
        ...(fill ? { color: fill } : {}),
      })
    else
      this.page.drawCircle({
        x: X(shape.x),
        y: Y(shape.y),
        size: shape.r * scale * PT,
        ...common,
        ...(fill ? { color: fill } : {}),
      })
  }

  /** Begins a part of lines on a new page. */
  part(title: string): void {
    this.newPage()
    this.write(title, MARGIN, this.y, 5.6, 600)
    this.y += LINE * 1.6
  }

  /** One line in columns, each with its left edge; wrapped within its column, on a new page where there is no room. */
  row(cells: readonly { x: number; width: number; text: string; bold?: boolean }[], box = false): void {
    const size = 3.6
    const wrapped = cells.map(({ text, width, bold }) => this.wrap(text, width, size, bold === true ? 600 : 500))
    const lines = Math.max(1, ...wrapped.map((w) => w.length))
    if (this.y + lines * LINE > papers[this.paper].height - MARGIN) this.newPage()
    if (box)
      this.page.drawRectangle({
        x: MARGIN * PT,
        y: (papers[this.paper].height - this.y - 0.4) * PT,
        width: 3.4 * PT,
        height: 3.4 * PT,
        borderColor: rgb(0.1, 0.1, 0.1),
        borderWidth: 0.6,
      })
    cells.forEach(({ x, bold }, i) =>
      wrapped[i]?.forEach((text, k) =>
        this.write(text, MARGIN + x, this.y + k * LINE, size, bold === true ? 600 : 500),
      ),
    )
    this.y += lines * LINE
  }

  private wrap(text: string, width: number, size: number, weight: 500 | 600): string[] {
    const font = this.fonts[weight]
    const lines: string[] = []
    let line = ''
    for (const word of printable(text, font).split(' ')) {
      const next = line === '' ? word : `${line} ${word}`
      if (font.widthOfTextAtSize(next, size * PT) / PT > width && line !== '') {
        lines.push(line)
        line = word
      } else line = next
    }
    return [...lines, line]
  }

  save = async (): Promise<Uint8Array> => {
    // The first page was opened before anything was put on it.
    if (this.document.getPageCount() > 1) this.document.removePage(0)
    return this.document.save()
  }
}

/** What the font has no sign for is left out of a file rather than printed as an empty box. */
function printable(text: string, font: PDFFont): string {
  const known = new Set(font.getCharacterSet())
  return Array.from(text.replace(/[\u00a0\u202f]/g, ' '))
    .filter((c) => known.has(c.codePointAt(0) ?? 0))
    .join('')
}
