import { amps, message, percent } from '../../quantities'
import { heartOf } from '../../plan'
import { driveOverload } from '../drive/driveOverload'
import { wantsGentleRamps } from '../drive/heavyRotor'
import { isKnown, numberOf } from '../figure'
import { awaits, decided, leave } from './derived'
import type { FurtherInputs } from './furtherInputs'
import type { Derived } from './settingLine'

/** Current limit over the plate’s amps by what the machine does. Planning values; both schools end at these. */
const limitShares = { gentle: 1.1, pull: 1.5 } as const

/** Amps that a motor with magnets may be pushed with for moments: by its data sheet, and never over what is planned for pull. */
export const mostForMoments = (plateA: number, peakA: number | undefined): number =>
  Math.min(limitShares.pull * plateA, peakA ?? Infinity)

/** What keeps the winding, and what the drive pushes for seconds. */
export const protectionSettings = {
  overloadCooling: ({ plan }: FurtherInputs): Derived => {
    switch (plan.motor.cooling) {
      case undefined:
        return awaits('motor.cooling', 'Cooling')
      case 'shaft-fan':
        return decided('shaft-fan', 'The fan turns with the shaft: at low hertz it trips earlier, as it must.')
      default:
        return decided('blower', 'It is cooled at any speed.')
    }
  },
  currentLimitA: ({ plan, tables, motor, drive }: FurtherInputs): Derived => {
    const [plateA, outputA] = [numberOf(motor.plateCurrentA), numberOf(drive.outputA)]
    if (plateA === undefined || !isKnown(motor.plateCurrentA))
      return { basis: 'computed', reason: ['Needs: the plate’s amps.'], from: [motor.plateCurrentA] }
    const gentle =
      wantsGentleRamps(plan) || plan.motor.kind === 'high-frequency' || plan.survey.machineKind === 'router'
    if (heartOf(plan) === 'driver') {
      const most = Math.min(mostForMoments(plateA, plan.motor.peakA), outputA ?? Infinity)
      return {
        value: Math.floor(most * 10) / 10,
        basis: 'typical',
        reason: message`${percent(limitShares.pull)} of the plate’s ${amps(plateA)} at most, and no more than motor and driver bear for moments.`,
        from: [motor.plateCurrentA],
      }
    }
    const share = gentle ? limitShares.gentle : limitShares.pull
    const driveA = outputA === undefined ? undefined : outputA * driveOverload(plan, tables)
    const limit = Math.min(share * plateA, driveA ?? Infinity)
    const byDrive = driveA !== undefined && driveA < share * plateA
    return {
      value: Math.floor(limit * 10) / 10,
      basis: 'typical',
      reason: byDrive
        ? message`What the drive gives for moments; the plate would take ${amps(share * plateA)}. The overload stays at the plate.`
        : gentle
          ? message`${percent(share)} of the plate: this machine needs no pull for seconds. One school sets the plate, another twice it for pull; the overload stays at the plate.`
          : message`${percent(share)} of the plate, for pull in a cut. One school sets the plate’s own ${amps(plateA)}, another ${amps(2 * plateA)}; the overload stays at the plate.`,
      from: [motor.plateCurrentA],
    }
  },
  thermistorInput: ({ plan }: FurtherInputs): Derived => {
    const { thermistorWired } = plan.controls
    if (thermistorWired === undefined) return awaits('controls.thermistorWired', 'Thermistor in the winding')
    if (!thermistorWired) return decided('off', 'Nothing is wired to it; switched on it would trip at once.')
    return plan.wiring.thermistorOn === 'fault' || plan.wiring.thermistorOn === 'nothing'
      ? decided('off', 'The sensor does not go to this input.')
      : decided('trips', 'The winding’s sensor is wired to it.')
  },
  overVoltage: ({ plan }: FurtherInputs): Derived =>
    plan.drive.resistor === undefined
      ? decided('lengthens', 'Rather a longer stop than a trip, after which it coasts.')
      : decided('trips', 'The resistor takes the energy; a drive that lengthens the ramp would never let it.'),
  driveFan: () => leave('As it comes; where dust is, only when it is warm.'),
  keypadLock: () => leave('When all is entered and read back.'),
}
