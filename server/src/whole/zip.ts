import { LARGEST_WHOLE, type ZipFiles } from '@zesty/core/formats'
import { unzipSync } from 'fflate'
import { badInput, Problem } from '../problems/problem'

/** Files that a ZIP may have at most: a document and a thousand photos. */
const MOST_FILES = 1100

/** The files of a ZIP; refused before anything is unpacked where they would come to more than is taken. */
export function filesOfZip(zip: Uint8Array): ZipFiles {
  let [bytes, count] = [0, 0]
  const refuse = (message: string) => badInput([{ field: '', message }], 422)
  try {
    return unzipSync(zip, {
      filter: ({ originalSize }) => {
        bytes += originalSize
        count += 1
        if (bytes > LARGEST_WHOLE) throw refuse(`unpacks to more than ${LARGEST_WHOLE / 1e6} MB`)
        if (count > MOST_FILES) throw refuse(`holds more than ${MOST_FILES} files`)
        return true
      },
    })
  } catch (error) {
    throw error instanceof Problem ? error : refuse('is no ZIP that can be read')
  }
}
