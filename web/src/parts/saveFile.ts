/** Hands the person a file to keep; the mark at the start tells spreadsheets that it is UTF-8. */
export function saveFile(name: string, type: string, text: string): void {
  const url = URL.createObjectURL(new Blob(['\uFEFF', text], { type }))
  const link = Object.assign(document.createElement('a'), { href: url, download: name })
  link.click()
  URL.revokeObjectURL(url)
}
