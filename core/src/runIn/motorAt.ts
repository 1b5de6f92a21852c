import { outputVoltage } from '../drive'
import type { Facts } from '../facts/facts'
import { numberOf, type FigureState } from '../facts/figure'
import { loadCurrent, rpmAtHertz } from '../motor'
import type { PlanPath } from '../plan'
import type { NotExpected } from './reading'
import { line, lines, type Working } from './working'

/** What the motor should have and take at some hertz under a torque at its shaft. */
export interface MotorAt {
  volts: number
  amps: number
  /** Of its shaft. */
  rpm: number
  working: Working
  /** The plate gave no circuit, and the amps are a share of the plate's. */
  typical: boolean
}

/** No-load amps over plate amps of common motors of four poles and a kilowatt or two: a planning value. */
export const NO_LOAD_SHARE = 0.55

/** What of some figures is missing. */
export function missingOf(...states: readonly (FigureState | undefined)[]): NotExpected {
  const missing: PlanPath[] = []
  let because: string | undefined
  for (const state of states) {
    if (state === undefined || 'value' in state) continue
    for (const path of state.missing) if (!missing.includes(path)) missing.push(path)
    if (state.missing.length === 0) because ??= state.refusal ?? `${state.label} is not known`
  }
  return because === undefined ? { missing } : { missing, because }
}

/** Volts between two leads on the straight line to base. */
export function voltsAt(facts: Facts, hz: number, factor = 1): number | NotExpected {
  const { settings, speeds, drive } = facts
  const known = [settings.baseFrequencyHz, speeds.setVoltageV, drive.ceilingV] as const
  const [baseHz, setV, ceilingV] = known.map(numberOf)
  if (baseHz === undefined || setV === undefined || ceilingV === undefined) return missingOf(...known)
  const made = outputVoltage.run({
    frequencyHz: hz,
    baseFrequencyHz: baseHz,
    ratedVoltageV: setV * factor,
    supplyV: ceilingV,
  })
  return made.ok ? made.value.outputV : { missing: [], because: made.faults[0]?.message ?? 'No volts there' }
}

/** The working of `voltsAt`. */
export const voltsWorking = ({ settings, speeds, drive }: Facts, hz: number): Working => ({
  ruleId: 'drive.output-voltage',
  from: lines({
    frequencyHz: line('Hertz', hz, 'frequency'),
    baseFrequencyHz: settings.baseFrequencyHz,
    ratedVoltageV: speeds.setVoltageV,
    supplyV: drive.ceilingV,
  }),
})

/** What goes through the motor at some hertz; `fluxFactor` is for what a wrong base or link would make of it. */
export function motorAt(facts: Facts, hz: number, shaftNm = 0, fluxFactor = 1): MotorAt | NotExpected {
  const { motor, physics } = facts
  const volts = voltsAt(facts, hz, fluxFactor)
  if (typeof volts !== 'number') return volts
  const known = [motor.plateCurrentA, motor.poles, motor.frequencyHz] as const
  const [plateA, poles, plateHz] = known.map(numberOf)
  if (plateA === undefined || poles === undefined || plateHz === undefined) return missingOf(...known)
  const { circuit, rotationalLossW } = physics
  if (circuit) {
    // Its own friction and fan, which grow with the speed.
    const ownNm =
      ((rotationalLossW ?? 0) / ((2 * Math.PI * rpmAtHertz(plateHz, poles)) / 60)) * Math.min(1, hz / plateHz)
    const made = loadCurrent.run({ circuit, voltageV: volts, frequencyHz: hz, torqueNm: shaftNm + ownNm })
    const working: Working = {
      ruleId: 'motor.load-current',
      from: lines({
        circuit: line('Circuit of the motor', 'as fitted to the plate'),
        voltageV: line('Volts there', volts, 'voltage'),
        frequencyHz: line('Hertz', hz, 'frequency'),
        torqueNm: line('Load, and the motor’s own friction and fan', shaftNm + ownNm, 'torque'),
      }),
    }
    if (made.ok) return { volts, amps: made.value.currentA, rpm: made.value.speedRpm, working, typical: false }
    return { missing: [], because: 'The load is more than the motor can pull there' }
  }
  const ratedNm = numberOf(motor.torqueNm)
  const slip = numberOf(motor.slip) ?? 0
  const idle = NO_LOAD_SHARE * plateA * fluxFactor
  const load = ratedNm === undefined || ratedNm === 0 ? 0 : shaftNm / ratedNm
  return {
    volts,
    amps: Math.sqrt(idle ** 2 + load ** 2 * Math.max(0, plateA ** 2 - (NO_LOAD_SHARE * plateA) ** 2)),
    // Under load the slip in rpm is that of the plate at any hertz.
    rpm: rpmAtHertz(hz, poles) - load * slip * rpmAtHertz(plateHz, poles),
    working: {
      citation:
        'a share of the plate’s amps magnetises the motor, a planning value; the load’s share stands at right angles to it',
      from: lines({
        plateA: motor.plateCurrentA,
        share: line('Amps without a load, of the plate’s', NO_LOAD_SHARE, 'number', 'typical'),
        load: line('Load at the shaft', shaftNm, 'torque'),
        rated: motor.torqueNm,
      }),
    },
    typical: true,
  }
}
