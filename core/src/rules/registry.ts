import { controlReference } from '../controls/controlReference'
import { cuttingSpeed } from '../cutting/cuttingSpeed'
import * as drive from '../drive'
import * as drivetrain from '../drivetrain'
import * as motor from '../motor'
import * as workholding from '../workholding'
import type { Rule } from './rule'

/** Every rule of the product, by subject. A rule that is not here is not shown, documented or callable. */
const all = [
  motor.polesFromNameplate,
  motor.synchronousSpeed,
  motor.ratedTorque,
  motor.fullLoadCurrent,
  motor.impliedEfficiencyPowerFactor,
  motor.serviceFactorCurrent,
  motor.flux,
  motor.safeSpeed,
  motor.fanCooling,
  drive.busVoltage,
  drive.outputVoltage,
  drive.inputCurrent,
  drive.singlePhaseRating,
  drivetrain.beltLength,
  drivetrain.beltCentreDistance,
  drivetrain.beltSpeed,
  drivetrain.drivetrainRatio,
  drivetrain.drivetrainSpeed,
  drivetrain.drivetrainEfficiency,
  drivetrain.spindleTorque,
  workholding.wheelSpeed,
  workholding.unscrew,
  workholding.cylinderInertia,
  cuttingSpeed,
  controlReference,
]

/** Rules by id, in reading order. Each is used through its own schema, so the element types may differ. */
export const rules: ReadonlyMap<string, Rule> = new Map(all.map((r) => [r.id, r as unknown as Rule]))
