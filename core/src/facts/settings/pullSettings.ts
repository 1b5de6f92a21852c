import { amount, message, percent } from '../../quantities'
import { numberOf } from '../figure'
import { awaits, copied, decided, followed, leave } from './derived'
import type { FurtherInputs } from './furtherInputs'
import type { Derived } from './settingLine'

/** What a boost may drive through a motor that stands on its shaft fan, of its plate’s amps. Planning value. */
const BOOST_SHARE = 0.7

/** A plate that asks for this much of what the drive can give wants the fuller way of chopping. */
const NEARLY_ALL = 0.95

/** Slowest carrier for each hertz of the motor with which its current is still nearly a sine. Planning value. */
const CARRIER_PER_HZ = 10

const usesModel = ({ plan }: FurtherInputs): boolean | undefined =>
  plan.motor.kind === 'high-frequency' || motorsOf(plan) > 1
    ? false
    : plan.drive.control === undefined
      ? undefined
      : plan.drive.control === 'vector'

const motorsOf = ({ wiring }: FurtherInputs['plan']): number =>
  wiring.motors === undefined || wiring.motors === 'one' ? 1 : 2

/** The motor’s plate beyond what every drive asks, and how the drive pulls it. */
export const pullSettings = {
  motorPoles: ({ motor }: FurtherInputs) => copied(motor.poles, 'By the plate’s rpm and hertz.'),
  ratedPowerW: ({ plan }: FurtherInputs): Derived =>
    plan.motor.powerW === undefined
      ? awaits('motor.powerW', 'Power')
      : { value: plan.motor.powerW, basis: 'given', reason: ['The plate’s, at the shaft.'], from: [] },
  controlMode: (facts: FurtherInputs): Derived => {
    const { plan } = facts
    if (motorsOf(plan) > 1) return decided('vf', 'A model fits one motor; two hang on this drive.')
    if (plan.motor.kind === 'high-frequency')
      return decided('vf', 'A model made for mains motors does not know a spindle of hundreds of hertz.')
    switch (usesModel(facts)) {
      case undefined:
        return awaits('drive.control', 'Motor control')
      case true:
        return decided('vector', 'It pulls at low hertz, where volts by hertz alone do not.')
      default:
        return decided('vf', 'The drive has nothing else.')
    }
  },
  loadType: () => decided('constant', 'A machine tool wants its pull at low speed; a fan’s curve has none there.'),
  energySaver: () => decided('off', 'It takes the volts away between two cuts, and the next one stalls.'),
  boostV: (facts: FurtherInputs): Derived => {
    const model = usesModel(facts)
    if (model === undefined) return awaits('drive.control', 'Motor control')
    if (model) return leave('The model of the motor gives what it needs.')
    const [r1Ohm, ratedA] = [numberOf(facts.physics.statorOhm), numberOf(facts.motor.plateCurrentA)]
    if (r1Ohm === undefined || ratedA === undefined)
      return leave('The motor’s ohms are not known; a boost is tried by small steps, its amps watched at standstill.')
    const volts = Math.floor(BOOST_SHARE * Math.sqrt(3) * r1Ohm * ratedA * 10) / 10
    return volts < 0.1
      ? leave('The winding’s ohms are so small that a boost would do more harm than good.')
      : {
          value: volts,
          basis: 'typical',
          reason: message`Drives ${percent(BOOST_SHARE)} of the plate’s amps through a motor that stands: more is heat that no fan takes away.`,
          from: [facts.physics.statorOhm],
        }
  },
  middleHz: () => leave('A straight line needs no bend; switch the point off, or put it on the line.'),
  middleV: () => leave('A straight line needs no bend.'),
  slipCompensation: (facts: FurtherInputs): Derived => {
    if (motorsOf(facts.plan) > 1) return decided('off', 'It counts the amps of two motors as those of one.')
    return usesModel(facts) === true
      ? leave('The model of the motor holds the rpm by itself.')
      : leave('It changes the rpm by a few in a hundred; tried on the machine, if wanted.')
  },
  modulation: ({ motor, drive }: FurtherInputs): Derived => {
    const [plateV, ceilingV] = [numberOf(motor.plateVoltageV), numberOf(drive.ceilingV)]
    if (plateV === undefined || ceilingV === undefined || plateV < NEARLY_ALL * ceilingV)
      return leave('Either way gives the volts that are wanted.')
    return {
      ...decided('fuller', ''),
      reason: message`The plate asks for ${amount('voltage', plateV)} and the supply is ${amount('voltage', ceilingV)}: the plain way would not reach it.`,
    }
  },
  carrierHz: ({ plan, settings }: FurtherInputs): Derived => {
    const { carrierHz, ratedCarrierHz } = plan.drive
    if (carrierHz !== undefined)
      return { value: carrierHz, basis: 'given', reason: ['As set under the drive.'], from: [] }
    const topHz = numberOf(settings.maximumHz)
    const least = topHz === undefined ? undefined : CARRIER_PER_HZ * topHz
    if (plan.motor.kind === 'high-frequency' && least !== undefined && least > (ratedCarrierHz ?? 0))
      return followed(
        Math.min(20_000, Math.max(500, least)),
        message`Ten times ${amount('frequency', topHz ?? 0)}, or the spindle’s amps are no sine and heat it.`,
        settings.maximumHz,
      )
    return leave('As it comes; what its manual gives full amps for.')
  },
  motorTune: (facts: FurtherInputs): Derived =>
    usesModel(facts) === true
      ? decided(
          'standing',
          'Cold, and standing. Turning tunes better and only with the belt off; the plate’s values are read again after it.',
        )
      : leave('Volts by hertz alone need no tune.'),
  skipHz: ({ resonances, settings, speeds }: FurtherInputs): Derived => {
    const band = bandOf({ resonances, settings, speeds })
    return band === undefined
      ? leave('No hertz is known at which it shakes.')
      : followed(
          (band.fromHz + band.toHz) / 2,
          message`It ${band.measured ? 'shook' : 'is likely to shake'} at ${amount('frequency', band.hz)} on ${band.position.name}.`,
        )
  },
  skipBandHz: ({ resonances, settings, speeds }: FurtherInputs): Derived => {
    const band = bandOf({ resonances, settings, speeds })
    return band === undefined
      ? leave('No hertz is known at which it shakes.')
      : followed((band.toHz - band.fromHz) / 2, message`Half the width of the band.`)
  },
}

/** The band to skip: found on the machine, within what is set, on the position used most. */
function bandOf({ resonances, settings, speeds }: Pick<FurtherInputs, 'resonances' | 'settings' | 'speeds'>) {
  const [low, high] = [numberOf(settings.minimumHz), numberOf(settings.maximumHz)]
  return resonances.find(
    ({ hz, measured, position }) =>
      measured &&
      position.position.id === speeds.main?.position.id &&
      low !== undefined &&
      high !== undefined &&
      hz > low &&
      hz < high,
  )
}
