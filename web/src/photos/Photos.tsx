import type { PhotoSubject } from '@zesty/core/http'
import { Camera } from 'lucide-react'
import { useRef, useState } from 'react'
import { momentOf } from '../parts/moment'
import { Overlay } from '../parts/Overlay'
import { usePhotos, type ShownPhoto } from './usePhotos'

/** Photos of one thing, small in a row; a press shows one whole, with what is seen on it. */
export function Photos({
  of,
  subject,
  what,
  words = 'Photo',
}: {
  of: PhotoSubject
  subject?: string
  what: string
  /** On the button. */
  words?: string
}) {
  const { photos, problem, add, note, remove } = usePhotos(of, subject)
  const input = useRef<HTMLInputElement>(null)
  const [isBusy, setBusy] = useState(false)
  const [openId, setOpenId] = useState<string>()
  const open = photos.find(({ id }) => id === openId)
  const take = async (files: File[]) => {
    setBusy(true)
    await add(files).finally(() => setBusy(false))
  }
  return (
    <div className={`mt-2 ${photos.length === 0 ? 'no-print' : ''}`}>
      {photos.length > 0 && (
        <ul className="flex flex-wrap gap-2" aria-label={`Photos, ${what}`}>
          {photos.map((photo, i) => (
            <li key={photo.id} className="w-[112px] print:w-[60mm]">
              <button
                type="button"
                className="block w-full rounded-md border border-edge bg-card p-0.5 text-left"
                aria-label={`Photo ${i + 1}, ${photo.note ?? what}`}
                onClick={() => setOpenId(photo.id)}
              >
                <img
                  src={photo.src}
                  alt=""
                  width={photo.widthPx}
                  height={photo.heightPx}
                  loading="lazy"
                  className="h-[84px] w-full rounded-sm object-cover print:h-auto"
                />
              </button>
              <span className="block text-[15px] leading-tight break-words">{photo.note}</span>
              {photo.isHeld && <span className="block text-[15px] text-brass">Not sent yet</span>}
            </li>
          ))}
        </ul>
      )}
      {problem !== undefined && (
        <p className="no-print text-[15px] text-ink-2">Photos that are kept cannot be shown now. {problem}</p>
      )}
      <input
        ref={input}
        type="file"
        accept="image/*"
        multiple
        className="hidden"
        aria-label={`Photo, ${what}`}
        onChange={(e) => {
          const files = [...(e.target.files ?? [])]
          e.target.value = ''
          if (files.length > 0) void take(files)
        }}
      />
      <button type="button" className="btn no-print mt-2" disabled={isBusy} onClick={() => input.current?.click()}>
        <Camera size={18} aria-hidden="true" /> {isBusy ? 'Keeping' : words}
      </button>
      <Overlay title={`Photo, ${what}`} open={open !== undefined} onClose={() => setOpenId(undefined)} widest>
        {open && (
          <Whole
            photo={open}
            onNote={(text) => void note(open, text)}
            onRemove={() => {
              setOpenId(undefined)
              void remove(open)
            }}
          />
        )}
      </Overlay>
    </div>
  )
}

function Whole({
  photo,
  onNote,
  onRemove,
}: {
  photo: ShownPhoto
  onNote: (text: string) => void
  onRemove: () => void
}) {
  return (
    <>
      <label className="flex flex-col gap-0.5">
        <span className="label">What is seen</span>
        <input
          className="field"
          maxLength={200}
          defaultValue={photo.note ?? ''}
          onBlur={(e) => {
            if (e.target.value.trim() !== (photo.note ?? '')) onNote(e.target.value.trim())
          }}
          onKeyDown={(e) => {
            if (e.key === 'Enter') e.currentTarget.blur()
          }}
        />
      </label>
      <img
        src={photo.src}
        alt={photo.note ?? 'Photo without a note'}
        width={photo.widthPx}
        height={photo.heightPx}
        className="h-auto max-h-[70vh] w-auto max-w-full self-center rounded-md object-contain"
      />
      <p className="flex flex-wrap items-center gap-3 text-[15px] text-ink-2">
        {momentOf(photo.takenAt)}
        <button type="button" className="btn btn-quiet" onClick={onRemove}>
          Take it away
        </button>
      </p>
    </>
  )
}
