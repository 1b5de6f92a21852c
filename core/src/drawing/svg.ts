import type { Drawing, Paint, Shape } from './shapes'

/** Colours of a drawing that is kept as a file or printed: ink on white. */
export const paperPaints: Readonly<Record<string, string>> = {
  ink: '#1f2326',
  'ink-2': '#565d63',
  paper: '#ffffff',
  card: '#ffffff',
  rule: '#c9c2b2',
  band: '#f1ead9',
  brass: '#d9b45a',
  blue: '#1f4e8c',
  halo: '#ffffff',
  none: 'none',
}

const FONT = "'Barlow Condensed', 'Arial Narrow', sans-serif"

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[c] ?? c)

const number = (n: number): string => String(Math.round(n * 1000) / 1000)

/** The drawing as a whole SVG file, in millimetres, with its text as text. */
export function toSvg(
  { width, height, shapes }: Drawing,
  title: string,
  paints: Readonly<Record<string, string>> = paperPaints,
): string {
  const colour = (paint: Paint | undefined): string => (paint === undefined ? 'none' : (paints[paint] ?? paint))
  const painted = (s: { stroke?: Paint; width?: number; fill?: Paint; dash?: string }): string =>
    `fill="${colour(s.fill)}"${s.stroke === undefined ? '' : ` stroke="${colour(s.stroke)}" stroke-width="${number(s.width ?? 0.3)}" stroke-linecap="round" stroke-linejoin="round"`}${s.dash === undefined ? '' : ` stroke-dasharray="${s.dash}"`}`
  const one = (shape: Shape): string => {
    switch (shape.kind) {
      case 'path':
        return `<path d="${shape.d}" ${painted(shape)}/>`
      case 'rect':
        return `<rect x="${number(shape.x)}" y="${number(shape.y)}" width="${number(shape.w)}" height="${number(shape.h)}"${shape.r === undefined ? '' : ` rx="${number(shape.r)}"`} ${painted(shape)}/>`
      case 'circle':
        return `<circle cx="${number(shape.x)}" cy="${number(shape.y)}" r="${number(shape.r)}" ${painted(shape)}/>`
      case 'text':
        return `<text x="${number(shape.x)}" y="${number(shape.y)}" font-size="${number(shape.size)}" font-weight="${shape.weight ?? 500}"${shape.anchor === undefined ? '' : ` text-anchor="${shape.anchor}"`} fill="${colour(shape.paint ?? 'ink')}">${escaped(shape.text)}</text>`
      case 'group':
        return `<g data-${shape.of}="${escaped(shape.id)}">${shape.shapes.map(one).join('')}</g>`
    }
  }
  const [w, h] = [number(width), number(height)]
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${w}mm" height="${h}mm" viewBox="0 0 ${w} ${h}" font-family="${FONT}"><title>${escaped(title)}</title>${shapes.map(one).join('')}</svg>\n`
}
