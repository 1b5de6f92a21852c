import { printQuantity, type UnitSystem } from '@zesty/core'
import { leads, measurementKinds, type Reading } from '@zesty/core/measurements'

const speed = (value: number, units: UnitSystem) => printQuantity({ value, dimension: 'speed' }, units)

/** `596 rpm`, in the shop's units. */
export const valueOf = ({ kind, value }: Pick<Reading, 'kind' | 'value'>, units: UnitSystem): string =>
  printQuantity({ value, dimension: measurementKinds[kind].dimension }, units)

/** `Amps, second lead`. */
export const whatOf = ({ kind, lead, of }: Pick<Reading, 'kind' | 'lead' | 'of'>): string =>
  [measurementKinds[kind].name, lead && leads[lead].toLowerCase(), of].filter(Boolean).join(', ')

/** Where and how it was read, and what was noted. */
export const circumstancesOf = (
  reading: Reading,
  positions: readonly { id: string; name: string }[],
  units: UnitSystem,
): string =>
  [positions.find((p) => p.id === reading.positionId)?.name, settingOf(reading, units), reading.note]
    .filter(Boolean)
    .join(', ')

/** At which setting it was read. */
function settingOf({ hz, motorRpm, dial, commandedRpm, fromRpm, toRpm }: Reading, units: UnitSystem): string {
  return [
    hz !== undefined && `at ${printQuantity({ value: hz, dimension: 'frequency' }, units)}`,
    motorRpm !== undefined && `motor ${speed(motorRpm, units)}`,
    dial !== undefined && `dial ${dial}`,
    commandedRpm !== undefined && `commanded ${speed(commandedRpm, units)}`,
    fromRpm !== undefined && `from ${speed(fromRpm, units)}`,
    toRpm !== undefined && `to ${speed(toRpm, units)}`,
  ]
    .filter(Boolean)
    .join(', ')
}
