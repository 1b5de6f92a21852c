import { sayText, type Said } from '@zesty/core'
import { useUnits } from '../conversion/openPlan'

/** Prose from core, its amounts printed in the shop's units. */
export function Text({ said }: { said: Said }) {
  return <>{sayText(said, useUnits())}</>
}
