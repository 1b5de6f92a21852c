import { z } from 'zod'
import { choice, id, on, quantity, words, yesNo } from './field'

export const topologies = {
  'line-neutral': 'Live and neutral',
  'line-line': 'Two lives',
  'three-phase': 'Three phases',
} as const

export const regions = { iec: 'IEC: mm², 230/400 V', nec: 'NEC: AWG, 120/240 V' } as const
export const earthLeakageDevices = {
  none: 'None',
  ac: 'Type AC',
  a: 'Type A',
  f: 'Type F',
  b: 'Type B',
  gfci: 'GFCI, 5 mA',
} as const

export const earthings = {
  earthed: 'Neutral earthed',
  floating: 'Nothing earthed',
  corner: 'One line earthed',
  'high-leg': 'A high leg',
  unbonded: 'From a converter or transformer, not bonded',
  'neutral-as-earth': 'Neutral used as earth',
} as const

export const layings = {
  surface: 'On the surface',
  conduit: 'In conduit or trunking',
  insulated: 'In an insulated wall',
  cord: 'Flexible cord',
} as const

export const supplyUnits = {
  mains: 'The mains',
  'rotary-converter': 'A rotary phase converter',
  'static-converter': 'A static phase converter',
  transformer: 'A transformer',
  generator: 'A generator',
} as const

export type SupplyUnit = keyof typeof supplyUnits

export const leadSides = { wall: 'Before it, at the wall', drive: 'Behind it, at the drive' } as const
export const plugKinds = { household: 'Of the household', industrial: 'Industrial, round' } as const
export const fixings = { fixed: 'Wired in', plug: 'Plug and socket' } as const

/**
 * The circuit that the drive stands on. Where a converter, transformer or generator stands between, the
 * volts and phases are those it gives, and the wall behind it is told apart.
 */
export const supplySchema = z.strictObject({
  branchCircuitId: id.optional().meta({ label: 'Circuit of the shop' }),
  supplyUnit: choice('Comes from', supplyUnits),
  supplyUnitW: quantity('power', 'Idler motor', 100, 110_000, 'Plate power of the converter’s idler'),
  supplyUnitVA: quantity('apparentPower', 'Rating', 100, 500_000, 'kVA on its plate'),
  wallVoltageV: quantity('voltage', 'Volts at the wall behind it', 90, 725),
  wallBreakerA: quantity('current', 'Breaker at the wall behind it', 1, 250),
  calledAs: words('What the wall is called', 60),
  voltageV: quantity(
    'voltage',
    'Volts',
    90,
    725,
    'What the socket gives: 120, 230, 400 ... or words such as "two hot legs"',
  ),
  phases: z
    .union([z.literal(1), z.literal(3)])
    .optional()
    .meta({ label: 'Phases', dimension: 'number' }),
  topology: choice('Live conductors', topologies),
  frequencyHz: quantity('frequency', 'Mains hertz', 40, 70, '50 or 60'),
  breakerA: quantity('current', 'Breaker', 1, 250, 'The number on the breaker or fuse'),
  region: on(
    'drive',
    choice('Rules of the land', regions, 'Whose ratings and cable tables; taken from the mains hertz until you say'),
  ),
  cableM: on('drive', quantity('distance', 'Cable, panel to drive', 0.5, 500, 'One way')),
  cableMm2: on(
    'drive',
    quantity('area', 'Cable that is there', 0.5, 95, 'Of each live conductor: “2.5 mm²”, “12 AWG”'),
  ),
  earthing: on('drive', choice('How the supply is earthed', earthings, 'Each line to earth measured, by whoever may')),
  earthLeakageDevice: on('drive', choice('Earth-leakage device before it', earthLeakageDevices)),
  earthLeakageTripsA: on('drive', quantity('current', 'It trips at', 0.004, 3, 'IΔn on its front: 0.03 A is 30 mA')),
  earthLeakageUpstream: on(
    'drive',
    choice('And before that, nearer the meter', earthLeakageDevices, 'Another that the same current passes'),
  ),
  laying: on('drive', choice('How it is laid', layings)),
  ambientC: on('drive', quantity('temperature', 'Hottest around the cable', -20, 60, '30 °C where you do not know')),
  plugOrFixed: on('drive', choice('How the drive is joined to it', fixings)),
  plugA: on('drive', quantity('current', 'Plug and socket rated', 1, 125, 'The number on both; the smaller counts')),
  plugFused: on('drive', yesNo('Fuse in the plug', 'Of the plug’s own amps: it protects plug and cord')),
  plugKind: on('drive', choice('Plug and socket are', plugKinds)),
  secondEarth: on(
    'drive',
    yesNo('A second protective conductor', 'From the drive or the machine to earth, beside the one in the cable'),
  ),
  extensionM: on('drive', quantity('distance', 'Extension lead', 0.5, 200, 'Only where there is one')),
  extensionMm2: on(
    'drive',
    quantity('area', 'Wire in the extension lead', 0.5, 16, 'Of each conductor: “1.5 mm²”, “14 AWG”'),
  ),
  leadSide: on('drive', choice('Plug and extension lead lie', leadSides, 'Amps and volts are others on the two sides')),
  extensionCoiled: on('drive', yesNo('Used rolled up', 'On its drum or in a coil')),
  isolatorInReach: yesNo(
    'Isolator within reach of the machine',
    'A switch or plug you can reach and see while standing at the work',
  ),
})
