import { Overlay } from '../parts/Overlay'
import { keyList } from './useKeys'

/** The keys of the conversion screen and what they do. */
export function KeysDialog({ onClose }: { onClose: () => void }) {
  return (
    <Overlay title="Keys" says="None of them fires while you type in a field." open onClose={onClose}>
      <table className="w-full">
        <tbody>
          {keyList.map(({ keys, does }) => (
            <tr key={keys} className="border-b border-rule">
              <th scope="row" className="py-2 pr-4 text-left font-cond text-[18px] font-semibold whitespace-nowrap">
                {keys}
              </th>
              <td>{does}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </Overlay>
  )
}
