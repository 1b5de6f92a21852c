import type { Plan, SettingLine } from '@zesty/core'
import { cardOf, type Card } from '@zesty/core/settings'
import { useEvaluation } from '../state/evaluation'
import { usePlan } from '../state/openPlan'

const made = new WeakMap<Plan, { settings: readonly SettingLine[]; card: Card }>()

/** The card of the open plan, made once for all that shows it, and anew when the plan or what it comes to changes. */
export function useCard(): Card {
  const plan = usePlan()
  const { settings } = useEvaluation()
  const known = made.get(plan)
  if (known?.settings === settings) return known.card
  const card = cardOf(plan, settings)
  made.set(plan, { settings, card })
  return card
}
