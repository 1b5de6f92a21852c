import { leadConnections, voltsFor } from '../../motor/leadConnections'
import { terminalLinks } from '../../motor'
import type { Connection } from '../../plan'
import { sameNominal } from '../../quantities'
import type { Facts } from '../facts'
import { numberOf } from '../figure'

export interface TerminalLinks {
  connection: Connection
  /** Leads tied together. */
  links: string[][]
  lines: Record<'L1' | 'L2' | 'L3', string>
}

/** The terminal box as it was found, and as it should be for this drive where that is another way. */
export interface RelinkingPlan {
  leads: string
  /** The connections that these leads allow, to choose from. */
  choices: Connection[]
  asFound?: TerminalLinks
  toBe?: TerminalLinks
  /** What to change from the one to the other: groups to part, groups to join. */
  part: string[][]
  join: string[][]
}

/** Undefined for motors without a choice of links, and for those that a drive cannot run as they are. */
export function relinkingPlan({ plan, motor, drive }: Facts): RelinkingPlan | undefined {
  const { leads } = plan.motor
  if (leads === undefined || leads === '3' || motor.suitable === false) return undefined
  const ways = leadConnections[leads]
  const linked = (connection: Connection): TerminalLinks | undefined => {
    const result = terminalLinks.run({ leads, connection })
    return result.ok ? { connection, ...result.value } : undefined
  }
  const asFound = motor.connection === undefined ? undefined : linked(motor.connection)
  const ceilingV = numberOf(drive.ceilingV)
  const fits = ways.filter(({ connection }) => {
    const plateV = voltsFor(plan.motor, connection)
    return plateV !== undefined && ceilingV !== undefined && sameNominal(plateV, ceilingV)
  })
  const suits = fits.some((c) => c.connection === motor.connection) ? undefined : fits[0]?.connection
  const toBe = suits === undefined ? undefined : linked(suits)
  const others = (of: TerminalLinks | undefined, than: TerminalLinks | undefined): string[][] =>
    (of?.links ?? []).filter((group) => !than?.links.some((g) => g.join() === group.join()))
  return {
    leads,
    choices: ways.map((c) => c.connection),
    ...(asFound ? { asFound } : {}),
    ...(toBe ? { toBe } : {}),
    part: toBe ? others(asFound, toBe) : [],
    join: toBe ? others(toBe, asFound) : [],
  }
}
