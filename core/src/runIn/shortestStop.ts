import { stopWithoutResistor } from '../drive'
import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'

/** The shortest stop that does not trip the drive without a resistor. */
export function shortestStop(
  { stop, plan, tables, drive }: Facts,
  inertiaKgM2: number,
  frictionNm: number,
  speedRpm: number,
): number | undefined {
  const busV = numberOf(drive.busV)
  const { planning } = tables
  const powerW = plan.drive.powerW ?? plan.motor.powerW
  const farad = plan.drive.busFarad ?? (powerW === undefined ? undefined : powerW * planning.busFaradPerWatt.value)
  if (busV === undefined || farad === undefined || numberOf(stop.stopS) === undefined) return undefined
  const made = stopWithoutResistor.run({
    inertiaKgM2,
    speedRpm,
    frictionNm,
    efficiency: planning.generatingEfficiency.value,
    busCapacitanceF: farad,
    busV,
    tripV: plan.drive.tripV ?? busV * planning.tripOverBus.value,
    lossW: planning.driveStandingLossW.value,
  })
  return made.ok ? made.value.seconds : undefined
}
