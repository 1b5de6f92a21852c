import { stages, type StageId } from '@zesty/core'
import { format } from 'date-fns'
import { api } from '../state/api'
import { useOpen, usePlan, useShopId } from '../state/openPlan'

/** Over every page that is taken to the machine: whose it is, of what, and of when. On paper only. */
export function PrintHead({ stage }: { stage: StageId }) {
  const plan = usePlan()
  const shopId = useShopId()
  const revision = useOpen((open) => open.revision)
  const isKept = useOpen(({ keeping }) => keeping.state === 'kept')
  const { data: shop } = api.useShopQuery(shopId)
  return (
    <div className="mb-3 hidden border-b-2 border-ink pb-1 print:block">
      <p className="font-cond text-[22px] font-semibold">
        {plan.name}: {stages[stage].name}
      </p>
      <p className="text-[14px]">
        {shop?.name}, {format(new Date(), 'd MMMM yyyy, HH:mm')}, revision {revision}
        {isKept ? '' : ' with changes that are not kept yet'}. {window.location.href}
      </p>
    </div>
  )
}
