import { manualFile, readManual, type Manual } from '@zesty/core/manual'
import type { Outcome } from '@zesty/core/rules'
import { saveFile } from '../parts/saveFile'
import { LARGEST_IMPORT } from '../state/importLimit'

const refused = (message: string): Outcome<Manual> => ({ ok: false, faults: [{ field: '', message }] })

/** A manual from the file that somebody chose, or why it is none. */
export async function readManualFile(file: File): Promise<Outcome<Manual>> {
  if (file.size > LARGEST_IMPORT) return refused('It is larger than 2 MB; is it the right file?')
  let document: unknown
  try {
    document = JSON.parse(await file.text())
  } catch {
    return refused(`${file.name} is no JSON file.`)
  }
  return readManual(document)
}

/** Hands the person a manual as a file. */
export const saveManual = (manual: Manual, name = manual.name): void =>
  saveFile(`${name}.json`, 'application/json', JSON.stringify(manualFile(manual), null, 2))
