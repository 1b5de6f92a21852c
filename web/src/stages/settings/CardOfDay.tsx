import { conversion } from '@zesty/core'
import { card as cardPart, cardText } from '@zesty/core/settings'
import { momentOf } from '../../parts/moment'
import { api, problemText } from '../../state/api'
import { useConversionId } from '../../state/openPlan'
import { useUnits } from '../../state/units'

/** The last moment of a day by this device’s own clock, ISO 8601. */
const endOf = (day: string): string => new Date(`${day}T23:59:59.999`).toISOString()

/** The card as it stood at the end of a day. It judges that day's plan, so it is fetched when somebody asks for it. */
export default function CardOfDay({ day }: { day: string }) {
  const units = useUnits()
  const { data, error } = api.useRevisionAtQuery({ id: useConversionId(), moment: endOf(day) })
  if (error)
    return (
      <p className="pb-3 text-oxide">
        {'status' in error && error.status === 404 ? 'This conversion was not begun by then.' : problemText(error)}
      </p>
    )
  if (!data) return <p className="lead pb-3">Fetching that day</p>
  const card = conversion(data.plan).of(cardPart)
  return (
    <>
      <p className="text-[15px] text-ink-2">
        Revision {data.revision}, saved {momentOf(data.savedAt)}.
      </p>
      <pre className="max-h-[60vh] overflow-auto pb-3 font-mono text-[13px] leading-snug" tabIndex={0}>
        {cardText(data.plan, card, units)}
      </pre>
    </>
  )
}
