import type { Facts } from '../evaluate/facts'
import { numberOf } from '../evaluate/figure'
import { usesHighVoltage } from '../evaluate/motorFacts'
import { connections, set, type Connection } from '../plan'
import { sameNominal, say } from '../quantities'
import type { Remedy } from './finding'

/** The other way of linking a plate with two voltages. */
function otherConnection({ plan, motor }: Facts): Connection | undefined {
  const pairs: Partial<Record<Connection, Connection>> = { star: 'delta', delta: 'star', low: 'high', high: 'low' }
  return plan.motor.highVoltageV === undefined || motor.connection === undefined ? undefined : pairs[motor.connection]
}

const moveLinks = (to: Connection): Remedy => ({
  label: say`Move links to ${connections[to].toLowerCase()}`,
  patch: [set('motor.connection', to)],
})

/** Moves the links where that gives the motor the volts the drive has. */
export function relinks(facts: Facts): Remedy[] {
  const to = otherConnection(facts)
  const toV =
    to === undefined ? undefined : usesHighVoltage(to) ? facts.plan.motor.highVoltageV : facts.plan.motor.lowVoltageV
  const ceilingV = numberOf(facts.drive.ceilingV)
  return to !== undefined && toV !== undefined && ceilingV !== undefined && sameNominal(toV, ceilingV)
    ? [moveLinks(to)]
    : []
}
