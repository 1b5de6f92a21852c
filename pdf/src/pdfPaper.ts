import fontkit from '@pdf-lib/fontkit'
import type { Drawing, Paint, Shape } from '@zesty/core/wiring'
import { paperPaints } from '@zesty/core/wiring'
import { LineCapStyle, PDFDocument, rgb, type Color, type PDFFont, type PDFPage } from 'pdf-lib'

/** Points of one millimetre. */
const PT = 72 / 25.4

/** Long and short side, mm. */
const papers = { a4: { long: 297, short: 210 }, letter: { long: 279.4, short: 215.9 } } as const
export type Paper = keyof typeof papers

/** The fonts that ship, medium and bold, as files. */
export type PdfFonts = Readonly<Record<500 | 600, Uint8Array | ArrayBuffer>>

export interface PaperOptions {
  paper: Paper
  /** Stands at the head of every page. */
  head: string
  fonts: PdfFonts
  upright?: boolean
  /** Stands at the foot of every page, before its number. */
  foot?: string
}

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
  private readonly widths = { 500: new Map<string, number>(), 600: new Map<string, number>() }
  private readonly signs: Partial<Record<500 | 600, Set<number>>> = {}

  private constructor(
    private readonly document: PDFDocument,
    private readonly fonts: Record<500 | 600, PDFFont>,
    private readonly size: { width: number; height: number },
    private readonly head: string,
    private readonly foot: string | undefined,
  ) {
    this.page = this.newPage()
  }

  /** Opens a document with the fonts that ship. */
  static async open({ paper, head, fonts, upright = false, foot }: PaperOptions): Promise<PdfPaper> {
    const document = await PDFDocument.create()
    document.registerFontkit(fontkit)
    document.setTitle(head)
    const font = (file: Uint8Array | ArrayBuffer) => document.embedFont(file, { subset: true })
    const { long, short } = papers[paper]
    const size = upright ? { width: short, height: long } : { width: long, height: short }
    return new PdfPaper(document, { 500: await font(fonts[500]), 600: await font(fonts[600]) }, size, head, foot)
  }

  private newPage(): PDFPage {
    const { width, height } = this.size
    const page = this.document.addPage([width * PT, height * PT])
    this.page = page
    this.y = MARGIN + 8
    this.write(this.head, MARGIN, MARGIN + 2, 4.2, 600)
    if (this.foot !== undefined) {
      this.write(this.foot, MARGIN, height - MARGIN + 4, 3, 500, 'ink-2')
      // The first page is taken away again.
      this.write(String(this.document.getPageCount() - 1), width - MARGIN, height - MARGIN + 4, 3, 600, 'ink', 'end')
    }
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
    const known = this.printable(text, weight)
    const width = anchor === 'start' ? 0 : font.widthOfTextAtSize(known, size)
    const at = anchor === 'end' ? x - width : anchor === 'middle' ? x - width / 2 : x
    const color = colourOf(paint)
    this.page.drawText(known, {
      x: at * PT,
      y: (this.size.height - y) * PT,
      size: size * PT,
      font,
      ...(color ? { color } : {}),
    })
  }

  /** A drawing on a page of its own, as large as it is drawn or as fits; gives its scale. */
  drawing(drawing: Drawing, title: string): number {
    this.newPage()
    this.write(title, MARGIN, this.y, 5, 600)
    const { width, height } = this.size
    const top = this.y + 4
    const scale = Math.min(1, (width - 2 * MARGIN) / drawing.width, (height - top - MARGIN) / drawing.height)
    for (const shape of drawing.shapes) this.shape(shape, MARGIN, top, scale)
    return scale
  }

  private shape(shape: Shape, ox: number, oy: number, scale: number): void {
    const { height } = this.size
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

  /** Width that lines have, mm. */
  get lineWidth(): number {
    return this.size.width - 2 * MARGIN
  }

  /** Begins a part of lines on a new page. */
  part(title: string): void {
    this.newPage()
    this.write(title, MARGIN, this.y, 5.6, 600)
    this.y += LINE * 1.6
  }

  /** A heading within a part, kept with what follows it. */
  heading(title: string): void {
    this.room(LINE * 4)
    this.y += LINE * 0.6
    this.write(title, MARGIN, this.y, 4.6, 600)
    this.y += LINE * 1.2
  }

  /** Words over the whole width. */
  words(text: string, bold = false): void {
    this.row([{ x: 0, width: this.lineWidth, text, bold }])
  }

  /** A drawing among the lines, as large as it is drawn or as fits. */
  figure(drawing: Drawing): number {
    const { width, height } = this.size
    const scale = Math.min(1, (width - 2 * MARGIN) / drawing.width, (height - 4 * MARGIN) / drawing.height)
    this.room(drawing.height * scale + 2)
    for (const shape of drawing.shapes) this.shape(shape, MARGIN, this.y, scale)
    this.y += drawing.height * scale + 4
    return scale
  }

  /** A photo among the lines, at most so wide and high, mm. */
  async photo(jpeg: Uint8Array, most: { width: number; height: number }): Promise<void> {
    const image = await this.document.embedJpg(jpeg)
    const scale = Math.min(most.width / image.width, most.height / image.height)
    const [w, h] = [image.width * scale, image.height * scale]
    this.room(h + 2)
    this.page.drawImage(image, {
      x: MARGIN * PT,
      y: (this.size.height - this.y - h) * PT,
      width: w * PT,
      height: h * PT,
    })
    this.y += h + 4
  }

  /** On a new page where so much does not fit on this one. */
  private room(mm: number): void {
    if (this.y + mm > this.size.height - MARGIN - 4) this.newPage()
  }

  /** One line in columns, each with its left edge; wrapped within its column, on a new page where there is no room. */
  row(cells: readonly { x: number; width: number; text: string; bold?: boolean }[], box = false): void {
    const size = 3.6
    const wrapped = cells.map(({ text, width, bold }) => this.wrap(text, width, size, bold === true ? 600 : 500))
    const lines = Math.max(1, ...wrapped.map((w) => w.length))
    this.room(lines * LINE - 4)
    if (box)
      this.page.drawRectangle({
        x: MARGIN * PT,
        y: (this.size.height - this.y - 0.4) * PT,
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
    const lines: string[] = []
    const most = width / size
    const space = this.wide(' ', weight)
    let [line, at] = ['', 0]
    for (const word of this.printable(text, weight).split(' ')) {
      const own = this.wide(word, weight)
      if (line !== '' && at + space + own > most) {
        lines.push(line)
        ;[line, at] = [word, own]
      } else [line, at] = line === '' ? [word, own] : [`${line} ${word}`, at + space + own]
    }
    return [...lines, line]
  }

  /** Width of a word in its own size; the same words stand again and again, and to set one is slow. */
  private wide(word: string, weight: 500 | 600): number {
    const known = this.widths[weight].get(word)
    if (known !== undefined) return known
    const width = this.fonts[weight].widthOfTextAtSize(word, 1)
    this.widths[weight].set(word, width)
    return width
  }

  /** What the font has no sign for is left out of a file rather than printed as an empty box. */
  private printable(text: string, weight: 500 | 600): string {
    const known = (this.signs[weight] ??= new Set(this.fonts[weight].getCharacterSet()))
    return Array.from(text.replace(/[\u00a0\u202f]/g, ' '))
      .filter((c) => known.has(c.codePointAt(0) ?? 0))
      .join('')
  }

  save = async (): Promise<Uint8Array> => {
    // The first page was opened before anything was put on it.
    if (this.document.getPageCount() > 1) this.document.removePage(0)
    return this.document.save()
  }
}
