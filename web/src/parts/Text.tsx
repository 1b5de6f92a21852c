import { messageText, type Message } from '@zesty/core'
import { useUnits } from '../state/units'
import { memo } from 'react'

/** Prose from core, its amounts printed in the shop's units. */
export const Text = memo(function Text({ said }: { said: Message }) {
  return <>{messageText(said, useUnits())}</>
})
