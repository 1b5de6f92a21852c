import { useRights } from '../state/useRights'

const says = {
  look: 'Look only: nothing changed here is kept',
  measure: 'Look, measure, tick: decisions stay as they are',
} as const

/** On a device that may not do everything, what it may. */
export function RightsNote() {
  const rights = useRights()
  if (rights === undefined || rights === 'all') return null
  return <span className="rounded-md bg-blue-wash px-2 py-0.5 text-[15px] font-medium">{says[rights]}</span>
}
