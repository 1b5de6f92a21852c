/** Hands the person a file to keep; the mark at the start tells spreadsheets that it is UTF-8. */
export function saveFile(name: string, type: string, text: string): void {
  hand(name, new Blob(['\uFEFF', text], { type }))
}

/** The same for a file that is no text. */
export function saveBytes(name: string, type: string, bytes: Uint8Array): void {
  hand(name, new Blob([bytes.slice().buffer], { type }))
}

/** Long enough for a slow phone to begin the download. */
const letGoAfterMs = 60_000

function hand(name: string, blob: Blob): void {
  const url = URL.createObjectURL(blob)
  const link = Object.assign(document.createElement('a'), { href: url, download: name })
  link.click()
  // Let go at once, a busy browser may come for the bytes too late, and the file is silently never saved.
  setTimeout(() => URL.revokeObjectURL(url), letGoAfterMs)
}
