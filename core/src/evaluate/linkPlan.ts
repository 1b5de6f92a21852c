import { terminalLinks } from '../motor'
import type { Connection } from '../plan'
import { sameNominal } from '../quantities'
import type { Facts } from './facts'
import { numberOf } from './figure'
import { usesHighVoltage } from './motorFacts'

export interface Linked {
  connection: Connection
  /** Leads tied together. */
  links: string[][]
  lines: Record<'L1' | 'L2' | 'L3', string>
}

/** The terminal box as it was found, and as it should be for this drive where that is another way. */
export interface LinkPlan {
  leads: string
  asFound?: Linked
  toBe?: Linked
}

const pairs: Readonly<Record<string, readonly [low: Connection, high: Connection]>> = {
  '6': ['delta', 'star'],
  '9-star': ['low', 'high'],
  '9-delta': ['low', 'high'],
}

/** Undefined for motors without a choice of links, and for those that a drive cannot run as they are. */
export function linkPlan({ plan, motor, drive }: Facts): LinkPlan | undefined {
  const { leads, lowVoltageV, highVoltageV } = plan.motor
  const pair = leads === undefined ? undefined : pairs[leads]
  if (leads === undefined || !pair || motor.suitable === false) return undefined
  const linked = (connection: Connection): Linked | undefined => {
    const result = terminalLinks.run({ leads, connection })
    return result.ok ? { connection, ...result.value } : undefined
  }
  const asFound = motor.connection === undefined ? undefined : linked(motor.connection)
  const ceilingV = numberOf(drive.ceilingV)
  const suits = pair.find((c) => {
    const plateV = usesHighVoltage(c) ? highVoltageV : lowVoltageV
    return plateV !== undefined && ceilingV !== undefined && sameNominal(plateV, ceilingV)
  })
  const toBe = suits === undefined || suits === motor.connection ? undefined : linked(suits)
  return { leads, ...(asFound ? { asFound } : {}), ...(toBe ? { toBe } : {}) }
}
