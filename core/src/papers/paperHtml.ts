import { CERTIFIES, type Block, type Paper } from './paper'

const escaped = (text: string): string =>
  text.replace(/[&<>"']/g, (c) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;', "'": '&#39;' })[c] ?? c)

/** A photo for a page that stands by itself: its words, and its JPEG in base64. */
export interface PagePhoto {
  note: string
  jpeg: string
}

/** A paper as one HTML file without script, that opens anywhere and sends nothing. */
export function paperHtml({ title, parts }: Paper, photos: readonly PagePhoto[]): string {
  const block = (one: Block): string => {
    switch (one.kind) {
      case 'words':
        return `<p>${one.bold === true ? `<b>${escaped(one.text)}</b>` : escaped(one.text)}</p>`
      case 'heading':
        return `<h3>${escaped(one.text)}</h3>`
      case 'table':
        return `<table><thead><tr>${one.head.map((h) => `<th>${escaped(h)}</th>`).join('')}</tr></thead><tbody>${one.rows
          .map((row) => `<tr>${row.map((cell) => `<td>${escaped(cell)}</td>`).join('')}</tr>`)
          .join('')}</tbody></table>`
      case 'drawing':
        return ''
      case 'photos':
        return photos.length === 0
          ? '<p>No photo was taken.</p>'
          : photos
              .map(
                ({ note, jpeg }) =>
                  `<figure><img alt="${escaped(note)}" src="data:image/jpeg;base64,${jpeg}"><figcaption>${escaped(note)}</figcaption></figure>`,
              )
              .join('')
    }
  }
  return `<!doctype html><html lang="en"><head><meta charset="utf-8"><meta name="viewport" content="width=device-width"><meta http-equiv="Content-Security-Policy" content="default-src 'none'; img-src data:; style-src 'unsafe-inline'"><title>${escaped(title)}</title><style>body{font:16px/1.4 sans-serif;max-width:60rem;margin:1rem auto;padding:0 1rem}table{border-collapse:collapse;width:100%;margin:.5rem 0}th,td{border:1px solid #999;padding:.2rem .4rem;text-align:left;vertical-align:top}figure{display:inline-block;margin:.5rem;max-width:28rem}img{max-width:100%}</style></head><body><h1>${escaped(title)}</h1><p><b>${escaped(CERTIFIES)}</b></p>${parts
    .map((p) => `<h2>${escaped(p.title)}</h2>${p.blocks.map(block).join('')}`)
    .join('')}</body></html>\n`
}
