import { LARGEST_PHOTO, LONGEST_SIDE } from '@zesty/core/http'

export interface Shrunk {
  /** In base64, as it is sent. */
  jpeg: string
  widthPx: number
  heightPx: number
}

/** Tried one after the other until the photo is small enough. */
const QUALITIES = [0.82, 0.65, 0.5, 0.35] as const

/**
 * A picture of any kind this browser reads, as a JPEG of at most 1600 points a side. It is drawn anew: what a phone
 * writes beside the picture, such as where it was taken, does not come along.
 *
 * @throws {Error} in plain words where it is no picture, or one of a kind that this browser does not read
 */
export async function shrink(file: Blob): Promise<Shrunk> {
  const picture = await createImageBitmap(file, { imageOrientation: 'from-image' }).catch(() => undefined)
  if (!picture) throw new Error('This browser cannot read it as a picture. Keep it as JPEG or PNG and take that.')
  const scale = Math.min(1, LONGEST_SIDE / Math.max(picture.width, picture.height))
  const canvas = document.createElement('canvas')
  canvas.width = Math.max(1, Math.round(picture.width * scale))
  canvas.height = Math.max(1, Math.round(picture.height * scale))
  const context = canvas.getContext('2d')
  if (!context) throw new Error('This browser cannot shrink pictures.')
  context.imageSmoothingQuality = 'high'
  // Behind what is transparent: a JPEG would have it black.
  context.fillStyle = '#fff'
  context.fillRect(0, 0, canvas.width, canvas.height)
  context.drawImage(picture, 0, 0, canvas.width, canvas.height)
  picture.close()
  for (const quality of QUALITIES) {
    const made = await new Promise<Blob | null>((resolve) => canvas.toBlob(resolve, 'image/jpeg', quality))
    if (made && made.size <= LARGEST_PHOTO)
      return { jpeg: await base64Of(made), widthPx: canvas.width, heightPx: canvas.height }
  }
  throw new Error('It stays larger than 1 MB. Take it again with less in the picture.')
}

/** A file's content in base64. */
export async function base64Of(blob: Blob): Promise<string> {
  const url = await new Promise<string>((resolve, reject) => {
    const reader = new FileReader()
    reader.onload = () => resolve(typeof reader.result === 'string' ? reader.result : '')
    reader.onerror = () => reject(new Error('The picture could not be read.'))
    reader.readAsDataURL(blob)
  })
  return url.slice(url.indexOf(',') + 1)
}
