import { libraryCsv, readLibraryCsv, type LibraryItem } from '@zesty/core/library'
import { type Fault } from '@zesty/core/rules'
import { Download } from 'lucide-react'
import { useState } from 'react'
import { api, problemText } from '../state/api'
import { notice } from '../state/notice'
import { Overlay } from '../parts/Overlay'
import { saveFile } from '../parts/saveFile'
import { FileButton } from '../parts/FileButton'
import { LARGEST_IMPORT } from '../state/importLimit'
import type { PlateKind } from './plateColumns'

/** The library's table out to a spreadsheet and in again. */
export function CsvButtons({
  shopId,
  kind,
  items,
}: {
  shopId: string
  kind: PlateKind
  items: readonly LibraryItem[]
}) {
  const [takeIn, { isLoading }] = api.useTakeInItemsMutation()
  const [refusal, setRefusal] = useState<{ file: string; faults: Fault[] }>()
  const give = () => saveFile(`${kind}s.csv`, 'text/csv', libraryCsv(kind, items))
  const take = async (file: File) => {
    const refuse = (faults: Fault[]): void => {
      setRefusal({ file: file.name, faults })
    }
    if (file.size > LARGEST_IMPORT) {
      refuse([{ field: '', message: `It is ${(file.size / 1e6).toFixed(1)} MB; 2 MB at the most.` }])
      return
    }
    const read = readLibraryCsv(kind, await file.text())
    if (!read.ok) {
      refuse(read.faults)
      return
    }
    const { data, error } = await takeIn({ shopId, items: read.value })
    if (!data) refuse([{ field: '', message: problemText(error) }])
    else notice(`${data.added} added, ${data.replaced} replaced by their name`)
  }
  return (
    <>
      <button type="button" className="btn btn-quiet" onClick={give}>
        <Download size={18} aria-hidden="true" /> CSV out
      </button>
      <FileButton
        label="CSV file"
        accept="text/csv,.csv"
        disabled={isLoading}
        words={isLoading ? 'Reading' : 'CSV in'}
        onFile={take}
      />
      <Overlay
        title="Not taken in"
        says={`${refusal?.file ?? 'The file'} was not taken in, and nothing was changed.`}
        open={refusal !== undefined}
        onClose={() => setRefusal(undefined)}
      >
        <ul role="alert" className="flex list-disc flex-col gap-1 pl-5">
          {refusal?.faults.slice(0, SHOWN).map((fault, i) => (
            <li key={i}>
              {fault.field && <strong>{fault.field}: </strong>}
              {fault.message}
            </li>
          ))}
        </ul>
        {(refusal?.faults.length ?? 0) > SHOWN && <p>And {(refusal?.faults.length ?? 0) - SHOWN} more.</p>}
      </Overlay>
    </>
  )
}

const SHOWN = 20
