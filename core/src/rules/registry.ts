import { controlReference } from '../controls/controlReference'
import * as cutting from '../cutting'
import * as dc from '../dc'
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
  motor.phaseBalance,
  motor.highSpeedDelta,
  drive.busVoltage,
  drive.outputVoltage,
  drive.inputCurrent,
  drive.singlePhaseRating,
  drive.derating,
  drive.heatLoss,
  drive.enclosureHeat,
  drive.busRipple,
  drive.rampTime,
  drive.brakeResistor,
  drive.stopWithoutResistor,
  drive.reflectedWave,
  drive.earthLeakage,
  supply.protection,
  supply.cable,
  supply.voltageDrop,
  supply.plug,
  supply.extension,
  supply.behindSource,
  supply.transformer,
  supply.generator,
  supply.converter,
  supply.inrush,
  drivetrain.beltLength,
  drivetrain.beltCentreDistance,
  drivetrain.beltFromOutside,
  drivetrain.beltSpeed,
  drivetrain.beltGrip,
  drivetrain.beltTension,
  drivetrain.drivetrainRatio,
  drivetrain.drivetrainSpeed,
  drivetrain.drivetrainEfficiency,
  drivetrain.spindleTorque,
  drivetrain.drivetrainResonance,
  workholding.wheelSpeed,
  workholding.unscrew,
  workholding.cylinderInertia,
  workholding.ringInertia,
  workholding.reflectedInertia,
  cutting.cuttingSpeed,
  cutting.turning,
  cutting.drilling,
  cutting.holeSaw,
  cutting.millingChip,
  cutting.milling,
  cutting.tapping,
  cutting.tapOverrun,
  controlReference,
  dc.dcSpeed,
  dc.brushlessSpeed,
]

/** Rules by id, in reading order. Each is used through its own schema, so the element types may differ. */
export const rules: ReadonlyMap<string, Rule> = new Map(all.map((r) => [r.id, r as unknown as Rule]))
