import { z } from 'zod'
import { choice, on, quantity, yesNo } from './field'

export const driverSupplies = {
  mains: 'The mains, straight',
  transformer: 'Transformer, rectifier, capacitors',
  fixed: 'A power supply of fixed volts',
  battery: 'A battery',
} as const

export const driverReferences = {
  knob: 'A knob on its own terminals',
  '0-5': '0-5 V',
  '0-10': '0-10 V',
  pwm: 'PWM',
  serial: 'Serial',
  pulses: 'Pulses',
} as const

export const enableSenses = { closed: 'Closed lets it run', open: 'Open lets it run' } as const

/** How a motor ran with its three leads in one of the six orders. */
export const pairingResults = {
  well: 'Evenly, few amps',
  rough: 'Rough, or many amps',
  stands: 'Stands or only twitches',
} as const

export const leadOrders = {
  uvw: 'U V W',
  uwv: 'U W V',
  vuw: 'V U W',
  vwu: 'V W U',
  wuv: 'W U V',
  wvu: 'W V U',
} as const
export type LeadOrder = keyof typeof leadOrders
export const leadOrderIds = Object.keys(leadOrders) as LeadOrder[]

const pairing = (order: LeadOrder) => choice(`${leadOrders[order]} to its three screws`, pairingResults)

/** A motor's own driver beyond its plate: what feeds it, what it may push, how the motor's leads and sensors meet it. */
export const driverSchema = z.strictObject({
  supply: choice('It is fed from', driverSupplies),
  supplyV: quantity('voltage', 'Volts of its supply', 5, 725, 'Direct volts of a power supply or battery'),
  secondaryV: quantity('voltage', 'Transformer gives', 4, 500, 'Alternating volts, no load'),
  leastV: quantity(
    'voltage',
    'Driver works from',
    4,
    725,
    'Direct volts, by its manual; of a mains driver those of its bus',
  ),
  mostV: quantity('voltage', 'Driver bears at most', 5, 1000, 'Direct volts, by its manual'),
  busFarad: quantity('capacitance', 'Capacitors before it', 1e-6, 1),
  bleeds: yesNo('Takes up what a stop pumps back', 'A brake resistor or a shunt, on its terminals or inside'),
  fuseA: quantity('current', 'Fuse before it', 0.5, 200),
  limitA: quantity('current', 'Current limit', 0.1, 500, 'Amps of the motor, as its switches or its knob stand'),
  topHz: quantity('frequency', 'Highest hertz it can make', 10, 5000, 'In the motor’s windings, by its manual'),
  reference: on('wiring', choice('Speed comes as', driverReferences)),
  enable: on('wiring', choice('Its enable', enableSenses, 'Tried: lift its wire and see')),
  alarmStops: on('wiring', yesNo('Its alarm takes RUN away')),
  chosenOrder: on('wiring', choice('Leads joined as', leadOrders)),
  pairings: on(
    'wiring',
    z
      .strictObject({
        uvw: pairing('uvw'),
        uwv: pairing('uwv'),
        vuw: pairing('vuw'),
        vwu: pairing('vwu'),
        wuv: pairing('wuv'),
        wvu: pairing('wvu'),
      })
      .optional()
      .meta({ label: 'The six orders, tried' }),
  ),
})
