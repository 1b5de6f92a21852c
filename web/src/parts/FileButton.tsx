import { Upload } from 'lucide-react'
import { useRef } from 'react'

/** A button that asks for a file and hands it on; the same file may be chosen again. */
export function FileButton({
  label,
  accept,
  disabled = false,
  words,
  onFile,
}: {
  /** What file it is, for whoever does not see the button. */
  label: string
  accept: string
  disabled?: boolean
  /** On the button. */
  words: string
  onFile: (file: File) => Promise<void>
}) {
  const input = useRef<HTMLInputElement>(null)
  return (
    <>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="hidden"
        aria-label={label}
        onChange={(e) => {
          const [file] = e.target.files ?? []
          e.target.value = ''
          if (file) void onFile(file)
        }}
      />
      <button type="button" className="btn btn-quiet" disabled={disabled} onClick={() => input.current?.click()}>
        <Upload size={18} aria-hidden="true" /> {words}
      </button>
    </>
  )
}
