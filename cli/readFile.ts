import { readFileSync } from 'node:fs'

/** What stands in a file, or why it cannot be had. */
export type FileRead<T> = { ok: true; value: T } | { ok: false; says: string }

export function readText(file: string): FileRead<string> {
  try {
    return { ok: true, value: readFileSync(file, 'utf8') }
  } catch {
    return { ok: false, says: `${file} cannot be read` }
  }
}

/** The JSON of a file that should be what is named. */
export function readJson(file: string, what: string): FileRead<unknown> {
  const text = readText(file)
  if (!text.ok) return text
  try {
    return { ok: true, value: JSON.parse(text.value) }
  } catch {
    return { ok: false, says: `${file} is not JSON, or not all of it: it is no ${what}` }
  }
}
