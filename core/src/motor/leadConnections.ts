import type { Connection, MotorPlate } from '../plan'

/** One way of linking a motor's leads, and which volts of its plate it then has. */
export interface LeadConnection {
  connection: Connection
  /** The plate's lower volts (delta, parallel) or its higher (star, series). */
  plate: 'low' | 'high'
  /** Star over the delta that the plate's volts are printed for: root three times the volts. */
  starOver: boolean
}

const way = (connection: Connection, plate: 'low' | 'high', starOver = false): LeadConnection => ({
  connection,
  plate,
  starOver,
})

/**
 * The connections each number of leads allows, lower volts first.
 *
 * Twelve leads are printed for delta, low and high; their stars are for starting, and take root three
 * times the volts printed. Source: IEC 60034-8, NEMA MG 1 Part 2.
 */
export const leadConnections: Readonly<Record<NonNullable<MotorPlate['leads']>, readonly LeadConnection[]>> = {
  '3': [way('fixed', 'low')],
  '6': [way('delta', 'low'), way('star', 'high')],
  '9-star': [way('low', 'low'), way('high', 'high')],
  '9-delta': [way('low', 'low'), way('high', 'high')],
  '12': [
    way('low-delta', 'low'),
    way('low-star', 'low', true),
    way('high-delta', 'high'),
    way('high-star', 'high', true),
  ],
}

/** Which volts of the plate a connection uses, whatever the leads. */
export const plateOf = (connection: Connection): Pick<LeadConnection, 'plate' | 'starOver'> =>
  byConnection.get(connection) ?? { plate: 'low', starOver: false }

const byConnection = new Map(
  Object.values(leadConnections)
    .flat()
    .map((c) => [c.connection, c]),
)

/** Volts of a plate for a connection; undefined where that line is not printed. */
export function voltsFor(motor: MotorPlate, connection: Connection): number | undefined {
  const { plate, starOver } = plateOf(connection)
  const volts = plate === 'high' ? motor.highVoltageV : motor.lowVoltageV
  return volts === undefined ? undefined : starOver ? volts * Math.sqrt(3) : volts
}
