import { controlReference } from '../controls/controlReference'
import { cuttingSpeed } from '../cutting/cuttingSpeed'
import * as drive from '../drive'
import * as drivetrain from '../drivetrain'
import * as motor from '../motor'
import * as supply from '../supply'
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
  motor.operatingPoint,
  motor.equivalentCircuit,
  motor.torqueCapability,
  motor.lowSpeedPull,
  motor.boostLimit,
  motor.terminalLinks,
  motor.insulationCheck,
  drive.busVoltage,
  drive.outputVoltage,
  drive.inputCurrent,
  drive.singlePhaseRating,
  drive.rampTime,
  drive.brakeResistor,
  drive.stopWithoutResistor,
  drive.reflectedWave,
  drive.earthLeakage,
  supply.protection,
  supply.cable,
  supply.voltageDrop,
  supply.transformer,
  supply.generator,
  supply.converter,
  supply.inrush,
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
