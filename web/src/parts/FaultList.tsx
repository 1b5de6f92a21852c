import type { Fault } from '@zesty/core/rules'

const SHOWN = 12

/** What is wrong with a file that was not taken; nothing where nothing is. */
export function FaultList({ faults }: { faults: readonly Fault[] }) {
  if (faults.length === 0) return null
  return (
    <ul role="alert" className="mt-2 list-disc pl-5 text-oxide">
      {faults.slice(0, SHOWN).map(({ field, message }, i) => (
        <li key={i}>
          {field && <b className="font-semibold">{field} </b>}
          {message}
        </li>
      ))}
    </ul>
  )
}
