import { messageText, type Message } from '@zesty/core'
import { useUnits } from '../state/units'

/** Prose from core, its amounts printed in the shop's units. */
export function Text({ said }: { said: Message }) {
  return <>{messageText(said, useUnits())}</>
}
