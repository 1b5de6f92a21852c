import type { TableKind } from '@zesty/core/library'
import type { ReactNode } from 'react'
import { FieldDocumentContext } from '../parts/fieldDocument'
import type { KeptOf } from '../state/useItems'
import { Overlay } from '../parts/Overlay'
import { useItemDocument } from './useItemDocument'

/** A dialog whose fields edit something the shop keeps; each change is kept as it is made. */
export function KeptForm({
  item,
  says,
  onClose,
  children,
}: {
  item: KeptOf<TableKind>
  says: string
  onClose: () => void
  children: ReactNode
}) {
  const { host, trouble } = useItemDocument(item)
  const unread = Object.keys(host.typed).length
  return (
    <Overlay title={item.name} says={says} open onClose={onClose} wide>
      {trouble && (
        <p role="alert" className="font-medium text-oxide">
          Not kept: {trouble}
        </p>
      )}
      <FieldDocumentContext value={host}>{children}</FieldDocumentContext>
      <button
        type="button"
        className="btn btn-main self-start"
        // What does not read yet would be lost with the form.
        disabled={unread > 0}
        onClick={onClose}
      >
        {unread > 0 ? `${unread} ${unread === 1 ? 'entry does' : 'entries do'} not read yet` : 'Done'}
      </button>
    </Overlay>
  )
}
