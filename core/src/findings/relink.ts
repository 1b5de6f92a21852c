import { leadConnections, voltsFor } from '../motor/leadConnections'
import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import { connections, set, type Connection, type Plan } from '../plan'
import { sameNominal, message } from '../quantities'
import type { Remedy } from './finding'

/** Other ways of linking a plate with two voltages; with the leads unknown, the partner of the way it is. */
function otherConnections({ plan, motor }: Facts): Connection[] {
  const at = motor.connection
  if (at === undefined) return []
  const ways = Object.values(
    plan.motor.leads === undefined ? leadConnections : { only: leadConnections[plan.motor.leads] },
  )
  return ways
    .filter((list) => list.some((c) => c.connection === at))
    .slice(0, 1)
    .flatMap((list) => list.map((c) => c.connection).filter((c) => c !== at))
}

/** Volts and base that were chosen for the links as they are go with them. */
const moveLinks = ({ settings }: Plan, to: Connection): Remedy => ({
  label: message`Move links to ${connections[to].toLowerCase()}`,
  patch: [
    set('motor.connection', to),
    ...(['ratedVoltageV', 'baseFrequencyHz'] as const).flatMap((id) => [
      ...(settings.chosen[id] === undefined ? [] : [set(`settings.chosen.${id}`, undefined)]),
      ...(settings.inDrive[id] === undefined ? [] : [set(`settings.inDrive.${id}`, undefined)]),
    ]),
  ],
})

/** Moves the links where that gives the motor the volts the drive has. */
export function relinks(facts: Facts): Remedy[] {
  const ceilingV = numberOf(facts.drive.ceilingV)
  const to = otherConnections(facts).find((c) => {
    const toV = voltsFor(facts.plan.motor, c)
    return toV !== undefined && ceilingV !== undefined && sameNominal(toV, ceilingV)
  })
  return to === undefined ? [] : [moveLinks(facts.plan, to)]
}
