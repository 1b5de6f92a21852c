import { leadConnections, plateOf, voltsFor } from '../motor/leadConnections'
import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import { connections, set, type Connection, type Plan } from '../plan'
import { amps, sameNominal, message } from '../quantities'
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

/** Amps this near are the same setting. */
const SAME_AMPS = 0.02

/** Volts, base and overload that were set for the links as they are go with them. */
const moveLinks = ({ settings, motor }: Plan, to: Connection): Remedy => {
  const plateA = plateOf(to).plate === 'high' ? motor.highVoltageA : motor.lowVoltageA
  const overload =
    settings.inDrive.overloadA !== undefined &&
    plateA !== undefined &&
    Math.abs(settings.inDrive.overloadA / plateA - 1) > SAME_AMPS
      ? plateA
      : undefined
  return {
    label: message`Move links to ${connections[to].toLowerCase()}${overload === undefined ? '' : message`, and enter ${amps(overload)}`}`,
    patch: [
      set('motor.connection', to),
      ...(['ratedVoltageV', 'baseFrequencyHz'] as const).flatMap((id) => [
        ...(settings.chosen[id] === undefined ? [] : [set(`settings.chosen.${id}`, undefined)]),
        ...(settings.inDrive[id] === undefined ? [] : [set(`settings.inDrive.${id}`, undefined)]),
      ]),
      ...(overload === undefined ? [] : [set('settings.inDrive.overloadA', overload)]),
    ],
  }
}

/** Moves the links where that gives the motor the volts the drive has. */
export function relinks(facts: Facts): Remedy[] {
  const ceilingV = numberOf(facts.drive.ceilingV)
  const to = otherConnections(facts).find((c) => {
    const toV = voltsFor(facts.plan.motor, c)
    return toV !== undefined && ceilingV !== undefined && sameNominal(toV, ceilingV)
  })
  return to === undefined ? [] : [moveLinks(facts.plan, to)]
}
