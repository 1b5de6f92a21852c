import { describe, expect, test } from '@jest/globals'
import { describeRule } from '../src/rulebook/describeRule'
import { rules, type RuleId } from '../src/rulebook/registry'
import { ruleWords } from '../src/rulebook/ruleWords'
import { otherHeartExamples } from './otherHeartExamples'

/** Runs a rule that must succeed. */
function run(id: string, input: Record<string, unknown>): Record<string, number | string | boolean> {
  const result = rules.get(id)?.run(input)
  if (!result?.ok) throw new Error(`${id} refused: ${JSON.stringify(result)}`)
  return result.value as Record<string, number | string | boolean>
}

function faults(id: string, input: unknown): string[] {
  const result = rules.get(id)?.run(input)
  if (!result || result.ok) throw new Error(`${id} accepted ${JSON.stringify(input)}`)
  return result.faults.map((f) => `${f.field} ${f.message}`)
}

const circuit = { r1Ohm: 1.35, x1Ohm: 1.9, r2Ohm: 1.25, x2Ohm: 1.9, xmOhm: 38, ratedFrequencyHz: 50, poles: 4 }

describe('worked examples', () => {
  const examples: [string, Record<string, unknown>, Record<string, number | boolean>, number][] = [
    [
      'motor.poles-from-nameplate',
      { ratedSpeedRpm: 1420, ratedFrequencyHz: 50 },
      { poles: 4, synchronousRpm: 1500, slip: 0.05333 },
      5,
    ],
    ['motor.rated-torque', { powerW: 1500, speedRpm: 1420 }, { torqueNm: 10.087 }, 3],
    // The operating point of the same circuit at slip 0.05, asked for by its torque.
    [
      'motor.load-current',
      { circuit, voltageV: 230, frequencyHz: 50, torqueNm: 10.87 },
      { currentA: 5.912, slip: 0.05, speedRpm: 1425 },
      2,
    ],
    [
      'motor.temperature-rise',
      { fullRiseK: 45, currentA: 6, ratedCurrentA: 6, minutes: 30, timeConstantMin: 30 },
      { riseK: 28.4454, endK: 45 },
      4,
    ],
    [
      'motor.temperature-rise',
      { fullRiseK: 45, currentA: 3, ratedCurrentA: 6, coolingFraction: 0.5, minutes: 0, timeConstantMin: 30 },
      { riseK: 0, endK: 45 },
      9,
    ],
    [
      'drivetrain.stop-by-torque',
      { inertiaKgM2: 0.35, speedRpm: 1200, torqueNm: 1.2 },
      { seconds: 36.65, turns: 366.5 },
      1,
    ],
    ['belt.hum', { massKgPerM: 0.105, spanMm: 400, hertz: 60 }, { tensionN: 241.92 }, 6],
    ['belt.hum-wanted', { massKgPerM: 0.105, spanMm: 400, tensionN: 241.92 }, { hertz: 60 }, 6],
    // (0.012 + 0.024) / (10.5e-6 x 24) = 142.86
    [
      'fit.shrink-heat',
      { boreMm: 24, interferenceMm: 0.012, material: 'iron' },
      { temperatureC: 162.857, hottestC: 250 },
      3,
    ],
    // (0.02 + 0.02) / (23e-6 x 18) = 96.6
    [
      'fit.shrink-heat',
      { boreMm: 18, interferenceMm: 0.02, material: 'aluminium' },
      { temperatureC: 116.618, hottestC: 180 },
      3,
    ],
    [
      'fit.press',
      { boreMm: 24, hubMm: 48, lengthMm: 30, interferenceMm: 0.012, material: 'iron' },
      { pressureNPerMm2: 24.0876, forceN: 6538.2, torqueNm: 78.46 },
      1,
    ],
    // Twelve readings, two of them wrong: neither moves the line.
    [
      'calibration.dial',
      {
        readings: [0, 1, 2, 3, 4, 5, 6, 7, 8, 9].map((dial) => ({
          dial,
          rpm: dial === 3 ? 900 : dial === 7 ? 100 : 60 + 80 * dial,
        })),
      },
      { straight: true, slope: 80, intercept: 60, maxErrorRpm: 0 },
      6,
    ],
    [
      'motor.full-load-current',
      { powerW: 1500, voltageV: 230, efficiency: 0.79, powerFactor: 0.8 },
      { currentA: 5.958 },
      3,
    ],
    ['motor.service-factor-current', { currentA: 6, serviceFactor: 1.15 }, { currentA: 6.9 }, 6],
    [
      'motor.flux',
      { setVoltageV: 230, baseFrequencyHz: 50, plateVoltageV: 400, plateFrequencyHz: 50 },
      { fluxFraction: 0.575 },
      6,
    ],
    [
      'drive.derating',
      { outputA: 7, carrierHz: 12_000, ratedCarrierHz: 4000, altitudeM: 1500, airC: 45 },
      { carrierFactor: 0.6, altitudeFactor: 0.95, heatFactor: 0.9, outputA: 3.591 },
      6,
    ],
    ['drive.derating', { outputA: 7 }, { outputA: 7 }, 9],
    ['drive.heat-loss', { shaftW: 1500, motorEfficiency: 0.79, driveEfficiency: 0.96 }, { lossW: 79.11 }, 2],
    [
      'drive.enclosure-heat',
      { lossW: 100, widthMm: 400, heightMm: 500, depthMm: 250, roomC: 30 },
      { areaM2: 0.55, riseK: 33.06, insideC: 63.06 },
      2,
    ],
    ['drive.bus-ripple', { inputW: 1900, frequencyHz: 50, capacitanceF: 680e-6, busV: 325 }, { rippleV: 85.97 }, 2],
    ['motor.phase-balance', { phase1Ohm: 2, phase2Ohm: 2, phase3Ohm: 2.12 }, { spread: 0.03922, alike: false }, 4],
    ['motor.phase-balance', { phase1Ohm: 2.41, phase2Ohm: 2.44, phase3Ohm: 2.4 }, { alike: true }, 1],
    [
      'motor.delta-87-hz',
      {
        lowVoltageV: 230,
        lowVoltageA: 6,
        plateFrequencyHz: 50,
        ratedSpeedRpm: 1420,
        powerW: 1500,
        driveV: 400,
        safeRpm: 2000,
        driveA: 5,
      },
      { baseFrequencyHz: 86.96, usableHz: 70.42, powerW: 2112.68, currentA: 6, permitted: false },
      2,
    ],
    [
      'supply.extension',
      { loadA: 14.5, lengthM: 15, areaMm2: 1.5, voltageV: 230, phases: 1 },
      { ampacityA: 16, dropPercent: 2.837, permitted: true },
      3,
    ],
    [
      'supply.extension',
      { loadA: 14.5, lengthM: 15, areaMm2: 1.5, coiled: true, voltageV: 230, phases: 1 },
      { ampacityA: 6.08, permitted: false },
      3,
    ],
    [
      'supply.plug',
      { loadA: 14.5, plugA: 15, breakerA: 20, region: 'nec' },
      { carriesA: 12, permitted: false, protected: false },
      6,
    ],
    ['supply.plug', { loadA: 14.5, plugA: 16, breakerA: 16, region: 'iec' }, { permitted: true, protected: true }, 6],
    [
      'supply.behind-unit',
      { loadA: 8, loadV: 230, loadPhases: 3, wallV: 230, wallPhases: 1, efficiency: 0.8 },
      { throughVA: 3186.97, currentA: 17.32 },
      2,
    ],
    ['supply.transformer', { inputA: 10, voltageV: 400, phases: 3 }, { kVA: 8.66 }, 2],
    [
      'dc.speed',
      { baseRpm: 1150, armatureFraction: 1, fieldFraction: 0.5 },
      { speedRpm: 2300, torqueFraction: 0.5, powerFraction: 1 },
      6,
    ],
    [
      'dc.speed',
      { baseRpm: 1150, armatureFraction: 0.1, fieldFraction: 1 },
      { speedRpm: 115, torqueFraction: 1, powerFraction: 0.1 },
      6,
    ],
    ['brushless.speed', { busV: 300, rpmPerVolt: 10 }, { speedRpm: 2700, noLoadRpm: 3000 }, 6],
    ['drive.bus-voltage', { supplyV: 230 }, { busV: 325.27 }, 2],
    ['drive.bus-voltage', { supplyV: 120, doubler: true }, { busV: 339.41 }, 2],
    [
      'drive.input-current',
      { shaftW: 1500, motorEfficiency: 0.79, driveEfficiency: 0.96, supplyV: 230, phases: 1, powerFactor: 0.65 },
      { currentA: 13.23 },
      2,
    ],
    ['drive.single-phase-rating', { ratedOutputA: 17, factor: 0.43, permitted: true }, { outputA: 7.31 }, 6],
    [
      'belt.length',
      { largeMm: 224, smallMm: 90, centreMm: 410 },
      { lengthMm: 1324.2, wrapSmallDeg: 161.19, wrapLargeDeg: 198.81 },
      2,
    ],
    [
      'belt.length',
      { largeMm: 224, smallMm: 90, centreMm: 410, crossed: true },
      { lengthMm: 1374.12, wrapSmallDeg: 225.03, wrapLargeDeg: 225.03 },
      2,
    ],
    ['belt.centre-distance', { largeMm: 224, smallMm: 90, lengthMm: 1330 }, { centreMm: 412.94 }, 2],
    [
      'drivetrain.speed',
      { frequencyHz: 50, poles: 4, slip: 0.05, stages: [{ kind: 'v-belt', driverMm: 90, drivenMm: 224 }] },
      { spindleRpm: 572.5, speedRatio: 0.4018, reversed: false },
      1,
    ],
    ['inertia.ring', { outerMm: 600, innerMm: 520, lengthMm: 50 }, { massKg: 27.62, inertiaKgM2: 2.1766 }, 2],
    [
      'motor.torque-by-current',
      { ratedTorqueNm: 10, ratedCurrentA: 5, noLoadCurrentA: 3, currentA: 5 },
      { torqueNm: 10 },
      6,
    ],
    [
      'motor.torque-by-current',
      { ratedTorqueNm: 10, ratedCurrentA: 5, noLoadCurrentA: 3, currentA: 3 },
      { torqueNm: 0 },
      6,
    ],
    [
      'motor.torque-by-current',
      { ratedTorqueNm: 10, ratedCurrentA: 5, noLoadCurrentA: 3, currentA: 5, fluxFraction: 0.5 },
      { torqueNm: (10 * 0.5 * Math.sqrt(25 - 2.25)) / 4 },
      6,
    ],
    [
      'motor.torque-capability',
      {
        frequencyHz: 25,
        ratedFrequencyHz: 50,
        ratedTorqueNm: 10,
        breakdownRatio: 2.5,
        cooling: 'blower',
        fluxFraction: 0.575,
      },
      { continuousNm: 5.75, peakNm: 8.265625 },
      6,
    ],
    [
      'motor.speed-at-base',
      { ratedSpeedRpm: 1420, poles: 4, plateFrequencyHz: 50, baseFrequencyHz: 87 },
      { speedRpm: 2530 },
      6,
    ],
    ['motor.safe-speed', { poles: 4, ratedSpeedRpm: 1420, powerW: 1500 }, { maximumRpm: 2700 }, 9],
    ['motor.safe-speed', { poles: 8, ratedSpeedRpm: 700, powerW: 1500 }, { maximumRpm: 2400 }, 9],
    ['motor.safe-speed', { poles: 2, ratedSpeedRpm: 2950, powerW: 30_000 }, { maximumRpm: 2950 }, 9],
    [
      'motor.highest-frequency',
      { plateFrequencyHz: 50, baseFrequencyHz: 50, fluxFraction: 0.575, breakdownRatio: 2.5, poles: 4, timesBase: 1.8 },
      { frequencyHz: 55 },
      9,
    ],
    [
      'motor.highest-frequency',
      { plateFrequencyHz: 50, baseFrequencyHz: 29, breakdownRatio: 2.5, poles: 4, timesBase: 1.8 },
      { frequencyHz: 52 },
      9,
    ],
    [
      'motor.highest-frequency',
      { plateFrequencyHz: 50, poles: 4, timesBase: 1.8, keptAtPlate: true },
      { frequencyHz: 50 },
      9,
    ],
    [
      'supply.motor-cable',
      { motorA: 6, overloadA: 6, areaMm2: 1.5, region: 'iec' },
      { ampacityA: 13.05, neededA: 6, permitted: true },
      6,
    ],
    [
      'supply.motor-cable',
      { motorA: 12, overloadA: 12, areaMm2: 2.08, region: 'nec' },
      { ampacityA: 12.3, neededA: 15, permitted: false },
      6,
    ],
    ['cutting.planned-torque', { torqueNm: 7.03, times: 2 }, { torqueNm: 14.06 }, 9],
    ['inertia.mass', { massKg: 23.12, outerMm: 250 }, { inertiaKgM2: 0.180625 }, 6],
    [
      'inertia.stepped',
      {
        steps: [
          { outerMm: 250, lengthMm: 60 },
          { outerMm: 120, innerMm: 35, lengthMm: 40 },
        ],
      },
      { massKg: 26.37, inertiaKgM2: 0.186977 },
      2,
    ],
    ['inertia.sum', { inertiasKgM2: [0.18, 0.02, 1] }, { inertiaKgM2: 1.2 }, 9],
    ['drive.drawn-power', { powerW: 2200, outputA: 4.3, plateA: 8.6 }, { drawnW: 1100 }, 6],
    ['drive.filter-fan', { lossW: 90, airflowM3PerH: 60, roomC: 30 }, { riseK: 8.955, insideC: 38.955 }, 3],
    ['inertia.rotor', { frameMm: 90, poles: 4 }, { inertiaKgM2: 0.003 }, 6],
    ['inertia.rotor', { frameMm: 114.3, poles: 2 }, { inertiaKgM2: 0.0072 }, 6],
    ['inertia.pulleys', { pulleys: [{ diameterMm: 200, widthMm: 26, turns: 2 }] }, { inertiaKgM2: 0.070573 }, 5],
    [
      'inertia.at-spindle',
      { loadKgM2: 0.18, rotorKgM2: 0.003, pulleysKgM2: 0.01, speedRatio: 0.4 },
      { inertiaKgM2: 0.20875 },
      6,
    ],
    [
      'inertia.run-up',
      { seconds: 3, speedRpm: 1200, torqueNm: 25, frictionNm: 1, ownKgM2: 0.03 },
      { inertiaKgM2: 0.542958, allKgM2: 0.572958 },
      5,
    ],
    ['workholding.thread-seat', { threadMm: 57.15 }, { seatNm: 6.2865 }, 4],
    ['workholding.thread-seat', { threadMm: 25.4 }, { seatNm: 2.794 }, 4],
    ['inertia.reflected', { inertiaKgM2: 0.18, ratio: 2.5 }, { inertiaKgM2: 0.0288 }, 6],
    [
      'cutting.turning',
      { kc11: 1700, mc: 0.25, feedMm: 0.25, depthMm: 2, surfaceSpeedMPerMin: 80 },
      { specificForce: 2404.2, forceN: 1202.1, powerW: 1602.8 },
      1,
    ],
    [
      'cutting.turning',
      { kc11: 1700, mc: 0.25, feedMm: 0.02, depthMm: 2, surfaceSpeedMPerMin: 80, approachDeg: 45 },
      { specificForce: 3595.1, forceN: 143.8 },
      1,
    ],
    [
      'cutting.drilling',
      { kc11: 1700, mc: 0.25, feedMm: 0.2, diameterMm: 20, speedRpm: 320 },
      { specificForce: 3023.1, torqueNm: 30.231, powerW: 1013.04 },
      1,
    ],
    [
      'cutting.drilling',
      { kc11: 1700, mc: 0.25, feedMm: 0.2, diameterMm: 20, speedRpm: 320, pilotMm: 10 },
      { torqueNm: 22.673 },
      2,
    ],
    [
      'cutting.hole-saw',
      { kc11: 2000, mc: 0.25, feedMm: 0.1, diameterMm: 60, kerfMm: 2.5, teeth: 20, speedRpm: 130 },
      { specificForce: 4229.5, torqueNm: 30.4 },
      1,
    ],
    ['cutting.milling', { specificForce: 2500, depthMm: 2, widthMm: 40, feedMmPerMin: 300 }, { powerW: 1000 }, 6],
    [
      'cutting.milling-chip',
      { feedPerToothMm: 0.1, widthMm: 63, diameterMm: 63 },
      { arcDeg: 180, chipMm: 0.063662 },
      5,
    ],
    [
      'cutting.tapping',
      { specificForce: 2500, pitchMm: 1.5, diameterMm: 10 },
      { torqueNm: 7.03125, bluntNm: 21.09375 },
      5,
    ],
    ['cutting.tap-overrun', { speedRpm: 120, stopSeconds: 1.5 }, { turns: 1.5 }, 9],
    [
      'drivetrain.ratio',
      { stages: [{ kind: 'worm', driverMm: 2, drivenMm: 40 }] },
      { speedRatio: 0.05, reversed: false },
      9,
    ],
    ['drivetrain.efficiency', { stages: [{ kind: 'variable-sheave' }, { kind: 'worm' }] }, { efficiency: 0.63 }, 9],
    [
      'belt.tension',
      { torqueNm: 20, diameterMm: 100, wrapSmallDeg: 180 },
      { tightN: 500, slackN: 100, staticTensionN: 300, shaftN: 600 },
      6,
    ],
    ['belt.from-outside', { section: 'a', outsideMm: 1347.26 }, { lengthMm: 1330, depthMm: 2.7475 }, 2],
    ['belt.slip-torque', { staticTensionN: 300, diameterMm: 100, wrapSmallDeg: 180 }, { torqueNm: 20 }, 6],
    [
      'belt.power',
      { section: 'a', diameterMm: 90, speedRpm: 1420, wrapSmallDeg: 161.19, belts: 2 },
      { speedMPerS: 6.6916, bendN: 272.5, flungN: 4.282, pullN: 150.59, beltW: 1007.7, powerW: 2015.4 },
      1,
    ],
    ['belt.adjustment', { centreMm: 410, lengthMm: 1324.2 }, { nearestMm: 390.137, farthestMm: 449.726 }, 6],
    [
      'belt.span-deflection',
      { largeMm: 224, smallMm: 90, centreMm: 410, staticTensionN: 275 },
      { spanMm: 404.489, deflectionMm: 6.3201, forceN: 17.1875 },
      3,
    ],
    [
      'belt.span-tension',
      { largeMm: 224, smallMm: 90, centreMm: 410, forceN: 17.1875, deflectionMm: 6.3201 },
      { spanMm: 404.489, staticTensionN: 275 },
      2,
    ],
    [
      'belt.in-groove',
      { section: 'a', grooves: 'b', diameterMm: 140 },
      { liftMm: -4.9063, effectiveMm: 130.1874, proudMm: -5.6588, clearanceMm: 0.6412, bottoms: false },
      3,
    ],
    [
      'belt.in-groove',
      { section: 'b', grooves: 'a', diameterMm: 150 },
      { liftMm: 4.3563, effectiveMm: 158.7126, proudMm: 5.7275, bottoms: false },
      3,
    ],
    ['belt.in-groove', { section: 'spz', grooves: 'a', diameterMm: 100 }, { clearanceMm: -1.738, bottoms: true }, 2],
    ['belt.toothed-pulley', { pitchMm: 9.525, teeth: 24 }, { diameterMm: 72.766 }, 3],
    ['belt.teeth-in-mesh', { teeth: 18, wrapSmallDeg: 160 }, { inMesh: 8, permitted: true }, 9],
    ['belt.teeth-in-mesh', { teeth: 12, wrapSmallDeg: 160 }, { inMesh: 5, permitted: false }, 9],
    [
      'pulley.bore',
      { shaftMm: 24, diameterMm: 90, section: 'a' },
      { keyWidthMm: 8, keyHeightMm: 7, hubMm: 3.3, wallMm: 21, permitted: true },
      6,
    ],
    [
      'pulley.bore',
      { shaftMm: 28.575, diameterMm: 60, section: 'a' },
      { keyWidthMm: 6.35, hubMm: 3.175, wallMm: 3.8375, permitted: false },
      6,
    ],
    ['belt.grip', { diameterMm: 100, wrapSmallDeg: 180, tightN: 500 }, { slackN: 100, torqueNm: 20 }, 6],
    [
      'belt.grip',
      {
        diameterMm: 100,
        wrapSmallDeg: 180,
        grooveDeg: 38,
        friction: 0.3,
        tightN: 500,
        massKgPerM: 0.1,
        speedMPerS: 20,
      },
      { slackN: 65.441, torqueNm: 21.728 },
      2,
    ],
    [
      'drivetrain.resonance',
      { stiffnessNmPerRad: 400, inertiaMotorKgM2: 0.01, inertiaLoadKgM2: 0.01 },
      { frequencyHz: 45.016, skipFromHz: 40.514, skipToHz: 49.517 },
      3,
    ],
    ['inertia.cylinder', { outerMm: 250, lengthMm: 60 }, { massKg: 23.12, inertiaKgM2: 0.18063 }, 2],
    [
      'workholding.wheel-speed',
      { diameterMm: 200, speedRpm: 3600, markedMPerS: 35 },
      { speedMPerS: 37.699, permitted: false },
      3,
    ],
    [
      'motor.operating-point',
      { circuit, voltageV: 230, frequencyHz: 50, slip: 0.05 },
      { currentA: 5.912, powerFactor: 0.7851, inputW: 1849, airGapW: 1707.5, torqueNm: 10.87, speedRpm: 1425 },
      1,
    ],
    [
      'motor.operating-point',
      { circuit, voltageV: 120, frequencyHz: 25, slip: 0.08 },
      { currentA: 5.179, powerFactor: 0.7575, inputW: 815.3, airGapW: 706.7, torqueNm: 8.998, speedRpm: 690 },
      1,
    ],
    ['motor.low-speed-pull', { circuit, frequencyHz: 5, outputVoltageV: 23 }, { peakNm: 5.65 }, 2],
    ['motor.low-speed-pull', { circuit, frequencyHz: 5, outputVoltageV: 33 }, { peakNm: 11.63 }, 2],
    ['motor.boost-limit', { boostV: 10, r1Ohm: 1.35, ratedCurrentA: 6 }, { currentA: 4.277, permitted: true }, 3],
    ['motor.insulation-check', { testMOhm: 20, temperatureC: 20, voltageV: 400 }, { at40CMOhm: 5 }, 6],
    ['drive.ramp-time', { inertiaKgM2: 0.35, speedRpm: 1200, torqueNm: 11.2, frictionNm: 1.2 }, { seconds: 4.398 }, 3],
    ['drive.ramp-seconds', { entered: 3, meaning: 'to-base', baseFrequencyHz: 50, maximumHz: 100 }, { seconds: 6 }, 6],
    [
      'drive.ramp-seconds',
      { entered: 2, meaning: 'per-10-hz', baseFrequencyHz: 50, maximumHz: 75 },
      { seconds: 15 },
      6,
    ],
    [
      'drive.ramp-seconds',
      { entered: 20, meaning: 'hz-per-s', baseFrequencyHz: 50, maximumHz: 90 },
      { seconds: 4.5 },
      6,
    ],
    ['drive.ramp-entry', { seconds: 6, meaning: 'to-base', baseFrequencyHz: 50, maximumHz: 100 }, { entered: 3 }, 6],
    ['drive.ramp-entry', { seconds: 4.5, meaning: 'hz-per-s', baseFrequencyHz: 50, maximumHz: 90 }, { entered: 20 }, 6],
    [
      'drive.brake-resistor',
      {
        inertiaKgM2: 0.35,
        speedRpm: 1200,
        stopSeconds: 3,
        frictionNm: 1.2,
        efficiency: 0.8,
        chopperV: 385,
        minOhm: 80,
        cycleSeconds: 60,
      },
      { energyJ: 2029.8, peakW: 1353.2, averageW: 33.83, maxOhm: 109.53, feasible: false },
      1,
    ],
    [
      'drive.brake-resistor',
      {
        inertiaKgM2: 0.35,
        speedRpm: 1200,
        stopSeconds: 3,
        frictionNm: 1.2,
        efficiency: 0.8,
        chopperV: 385,
        minOhm: 60,
        cycleSeconds: 60,
      },
      { suggestedOhm: 82, feasible: true },
      6,
    ],
    [
      'drive.stop-without-resistor',
      {
        inertiaKgM2: 0.35,
        speedRpm: 1200,
        frictionNm: 1.2,
        efficiency: 0.8,
        busCapacitanceF: 680e-6,
        busV: 325.27,
        tripV: 395,
        lossW: 40,
      },
      { seconds: 26.24, coastSeconds: 36.65 },
      2,
    ],
    ['drive.reflected-wave', { cableM: 15, busV: 325, riseTimeS: 2e-7 }, { criticalM: 15, peakV: 650 }, 6],
    ['drive.earth-leakage', { capacitanceF: 1e-7, voltageV: 230, frequencyHz: 50 }, { currentA: 0.0072257 }, 6],
    ['cable.voltage-drop', { currentA: 18, lengthM: 15, areaMm2: 2.5, phases: 1 }, { dropV: 3.78, hotDropV: 4.86 }, 6],
    [
      'supply.protection',
      { inputA: 13.23, plateInputA: 14.5, region: 'iec', topology: 'line-neutral' },
      { ratingA: 20 },
      6,
    ],
    [
      'supply.protection',
      { inputA: 13.23, plateInputA: 14.5, manualMaximumA: 16, region: 'iec', topology: 'line-neutral' },
      { ratingA: 16 },
      6,
    ],
    ['supply.protection', { inputA: 22, plateInputA: 20, region: 'nec', topology: 'line-line' }, { ratingA: 30 }, 6],
    [
      'supply.cable',
      { loadA: 14.5, protectionA: 20, lengthM: 15, system: 'metric', method: 'C', phases: 1, voltageV: 230 },
      { size: 2.5, ampacityA: 27, earthSize: 2.5, dropPercent: 1.702 },
      3,
    ],
    [
      'supply.cable',
      { loadA: 18, protectionA: 20, lengthM: 30, system: 'awg', method: 'conduit', phases: 1, voltageV: 120 },
      { size: 8 },
      6,
    ],
    ['supply.transformer', { inputA: 10, voltageV: 240 }, { kVA: 3 }, 6],
    ['supply.generator', { inputA: 10, voltageV: 240 }, { kVA: 4.8, comfortableKVA: 7.2 }, 6],
    ['supply.converter', { motors: [{ powerW: 1500 }, { powerW: 2200, hardStart: true }] }, { idlerW: 4400 }, 6],
    ['supply.inrush', {}, { waitSeconds: 120, typical: true }, 6],
    ['cutting.speed', { surfaceSpeedMPerMin: 30, diameterMm: 25 }, { speedRpm: 381.97 }, 2],
    ['motor.synchronous-speed', { frequencyHz: 60, poles: 6 }, { synchronousRpm: 1200 }, 9],
    ['motor.implied-efficiency-power-factor', { powerW: 2200, voltageV: 400, currentA: 4.7 }, { product: 0.675623 }, 6],
    [
      'motor.safe-speed',
      { poles: 4, frameMm: 90, plateMaximumRpm: 2700, ratedSpeedRpm: 1420 },
      { maximumRpm: 2700 },
      9,
    ],
    ['motor.fan-cooling', { frequencyFraction: 0.4 }, { torqueFraction: 0.81 }, 9],
    [
      'motor.equivalent-circuit',
      {
        powerW: 1500,
        voltageV: 230,
        ratedFrequencyHz: 50,
        poles: 4,
        ratedSpeedRpm: 1420,
        currentA: 6,
        powerFactor: 0.8,
        breakdownRatio: 2.7,
      },
      { breakdownRatio: 2.7 },
      6,
    ],
    [
      'motor.torque-capability',
      { frequencyHz: 100, ratedFrequencyHz: 50, ratedTorqueNm: 10, breakdownRatio: 2.4, cooling: 'shaft-fan' },
      { continuousNm: 4.615385, peakNm: 6 },
      5,
    ],
    ['motor.frequency-at-speed', { speedRpm: 3600, poles: 2 }, { frequencyHz: 60 }, 9],
    ['motor.star-voltage', { deltaV: 220 }, { starV: 381.0512 }, 3],
    ['motor.star-current', { deltaA: 10 }, { starA: 5.7735 }, 4],
    ['motor.other-voltage-current', { currentA: 4, voltageV: 460, otherVoltageV: 230 }, { currentA: 8 }, 9],
    ['motor.efficiency-from-power-factor', { product: 0.6, powerFactor: 0.75 }, { efficiency: 0.8 }, 9],
    ['motor.input-power', { powerW: 750, efficiency: 0.75 }, { inputW: 1000 }, 9],
    ['motor.shaft-power', { torqueNm: 10, speedRpm: 3000 }, { powerW: 3141.593 }, 2],
    ['motor.winding-peak', { ratedVoltageV: 400, timesRated: 2.5 }, { peakV: 1000 }, 9],
    ['motor.frequency-fraction', { frequencyHz: 10, baseFrequencyHz: 50 }, { fraction: 0.2 }, 9],
    ['motor.frequency-fraction', { frequencyHz: 70, baseFrequencyHz: 50 }, { fraction: 1 }, 9],
    [
      'motor.highest-frequency',
      { plateFrequencyHz: 60, poles: 2, timesBase: 1.8, safeRpm: 4500 },
      { frequencyHz: 60 },
      9,
    ],
    [
      'motor.highest-frequency',
      { plateFrequencyHz: 50, poles: 4, timesBase: 1.8, safeRpm: 2400 },
      { frequencyHz: 80 },
      9,
    ],
    ['motor.lowest-frequency', { baseFrequencyHz: 60, share: 0.12, inverterDutyRatio: 10 }, { frequencyHz: 6 }, 9],
    [
      'drive.output-voltage',
      { frequencyHz: 100, baseFrequencyHz: 50, ratedVoltageV: 230, supplyV: 120 },
      { outputV: 120, limited: true },
      9,
    ],
    ['drive.ceiling-voltage', { supplyV: 230 }, { outputV: 230 }, 9],
    ['drive.circuit-current', { computedA: 16, plateInputA: 14.5 }, { currentA: 16 }, 9],
    [
      'drive.set-voltage',
      { plateVoltageV: 230, ceilingV: 220, sameClass: true, untouched: true },
      { voltageV: 230 },
      9,
    ],
    ['drive.set-voltage', { plateVoltageV: 190, ceilingV: 230, untouched: true }, { voltageV: 230 }, 9],
    ['drive.bus-capacitance', { powerW: 2000, faradPerW: 3e-7 }, { capacitanceF: 0.0006 }, 12],
    ['drive.bus-threshold', { busV: 325, timesBus: 1.2 }, { thresholdV: 390 }, 9],
    ['supply.voltage-to-earth', { voltageV: 400, topology: 'three-phase' }, { voltageV: 230.9401 }, 3],
    ['supply.current-sum', { currentsA: [10, 4.5, 3] }, { currentA: 17.5 }, 9],
    ['belt.speed', { diameterMm: 100, speedRpm: 3000 }, { speedMPerS: 15.707963 }, 5],
    ['drivetrain.spindle-torque', { torqueNm: 10, speedRatio: 0.5, efficiency: 0.9 }, { torqueNm: 18 }, 9],
    ['drivetrain.reduction', { speedRatio: 0.25 }, { reduction: 4 }, 9],
    [
      // Friction that only grows, next to none at rest, would take ln(1 + x): ln 101 and ln 51 for x = 100.
      'drivetrain.coast-two-speeds',
      { fasterRpm: 1000, fasterS: Math.log(101), slowerRpm: 500, slowerS: Math.log(51), fromRpm: 2000 },
      { coastS: Math.log(201), growingShare: 100 / 101 },
      6,
    ],
    [
      'drivetrain.coast-two-speeds',
      { fasterRpm: 1000, fasterS: 10, slowerRpm: 500, slowerS: 5, fromRpm: 1500 },
      { coastS: 15, growingShare: 0 },
      9,
    ],
    ['drivetrain.ratio-from-speeds', { spindleRpm: 355, motorRpm: 1420 }, { speedRatio: 0.25 }, 9],
    ['drivetrain.missing-size', { speedRatio: 0.25, otherRatio: 0.5, size: 90, drives: true }, { size: 180 }, 9],
    ['drivetrain.missing-size', { speedRatio: 0.25, otherRatio: 0.5, size: 180, drives: false }, { size: 90 }, 9],
    ['drivetrain.shaft-speed', { speedRpm: 1400, speedRatio: 0.5 }, { speedRpm: 700 }, 9],
    ['drivetrain.shaft-torque', { torqueNm: 10, speedRatio: 2 }, { torqueNm: 5 }, 9],
    ['belt.pulley-speed', { speedRpm: 1420, driverMm: 90, diameterMm: 180 }, { speedRpm: 710 }, 9],
    ['belt.count', { powerW: 3000, serviceFactor: 1.2, beltW: 1200 }, { belts: 3 }, 9],
    ['belt.start-torque', { torqueNm: 10, startFactor: 1.5, driverMm: 180, smallMm: 90 }, { torqueNm: 7.5 }, 9],
    ['belt.share', { totalN: 450, belts: 3 }, { eachN: 150 }, 9],
    ['belt.total', { eachN: 120, belts: 3 }, { totalN: 360 }, 9],
    ['drivetrain.excited-frequency', { swingsHz: 10, poles: 6 }, { frequencyHz: 30 }, 9],
    ['drivetrain.coast-friction', { inertiaKgM2: 0.2, speedRpm: 600, coastS: 20 }, { torqueNm: 0.628319 }, 6],
    ['drivetrain.friction-share', { torqueNm: 20, share: 0.05 }, { torqueNm: 1 }, 9],
    ['drivetrain.rotational-energy', { inertiaKgM2: 0.2, speedRpm: 600 }, { energyJ: 394.7842 }, 3],
    ['belt.tooth-mesh', { teeth: 20, pitchMm: 5.08, speedRpm: 3000 }, { meshHz: 1000, speedMPerS: 5.08 }, 9],
    ['drivetrain.power-for-torque', { powerW: 750, torqueNm: 15, wantedNm: 30 }, { powerW: 1500, times: 2 }, 9],
    ['drivetrain.torque-by-power', { torqueNm: 30, powerW: 1500, otherPowerW: 750 }, { torqueNm: 15 }, 9],
    ['belt.stock', { lengthMm: 1290, lengthsMm: [1250, 1320, 1400], largeMm: 224, smallMm: 90 }, { lengthMm: 1320 }, 9],
    [
      'workholding.unscrew',
      { inertiaKgM2: 0.18, speedRpm: 1200, stopSeconds: 0.5, seatNm: 40 },
      { torqueNm: 45.23893, permitted: false },
      4,
    ],
    ['cutting.surface-speed', { diameterMm: 50, speedRpm: 600 }, { surfaceSpeedMPerMin: 94.24778 }, 4],
    ['cutting.specific-force', { kc11: 1700, mc: 0.25, chipMm: 0.2 }, { specificForce: 2542.0929 }, 3],
    ['cutting.table-feed', { feedPerToothMm: 0.1, teeth: 2, speedRpm: 900 }, { feedMmPerMin: 180 }, 9],
    ['cost.sum', { prices: [120, 30.5, 9.5] }, { cost: 160 }, 9],
    ['cost.route', { once: 500, each: 80, machines: 3, motor: 150 }, { cost: 890 }, 9],
    ['cost.crossover', { converter: 1000, each: 100, drive: 300 }, { machines: 6 }, 9],
    ['control.reference', { dial: 0.5, minHz: 6, maxHz: 90, mode: 'clamped' }, { frequencyHz: 45 }, 9],
  ]
  test.each([...examples, ...otherHeartExamples])('%s %j', (id, input, expected, digits) => {
    const output = run(id, input)
    for (const [key, value] of Object.entries(expected)) {
      if (typeof value === 'number') expect(output[key]).toBeCloseTo(value, digits)
      else expect(output[key]).toBe(value)
    }
  })

  test('every rule computes its own example', () => {
    for (const rule of rules.values())
      expect([rule.id, rule.run(describeRule(rule).example).ok]).toEqual([rule.id, true])
  })
  test('every rule says what each of its keys means, and nothing of keys it has not', () => {
    for (const rule of rules.values()) {
      const { input, output } = describeRule(rule)
      const silent = [...input, ...output].filter((line) => line.meaning === '').map((line) => line.key)
      expect([rule.id, silent]).toEqual([rule.id, []])
      const words = ruleWords[rule.id as RuleId]
      expect([Object.keys(words.input), Object.keys(words.output)]).toEqual([
        input.map((line) => line.key),
        output.map((line) => line.key),
      ])
    }
  })
  test('every rule has a worked example here', () => {
    const worked = new Set([...examples, ...otherHeartExamples].map(([id]) => id))
    // What these give back are links and lines, which have a table of their own below, and lists.
    expect([...rules.keys()].filter((id) => !worked.has(id))).toEqual(['motor.terminal-links', 'cnc.command-fit'])
  })
})

describe('poles from the plate', () => {
  test('a synchronous plate leaves the slip unknown', () => {
    expect(run('motor.poles-from-nameplate', { ratedSpeedRpm: 24000, ratedFrequencyHz: 400 })).toEqual({
      poles: 2,
      synchronousRpm: 24000,
      slip: 0,
      slipUnknown: true,
    })
    expect(run('motor.poles-from-nameplate', { ratedSpeedRpm: 1200, ratedFrequencyHz: 60 })).toMatchObject({
      poles: 6,
      slipUnknown: true,
    })
  })
  test('refuses faster than two poles, and slip over a quarter', () => {
    expect(faults('motor.poles-from-nameplate', { ratedSpeedRpm: 3001, ratedFrequencyHz: 50 })).toEqual([
      expect.stringMatching(/^ratedSpeedRpm must be at most 3000/),
    ])
    expect(faults('motor.poles-from-nameplate', { ratedSpeedRpm: 2249, ratedFrequencyHz: 50 })[0]).toMatch(
      /slip of 25.0 %/,
    )
    expect(run('motor.poles-from-nameplate', { ratedSpeedRpm: 2250, ratedFrequencyHz: 50 })).toMatchObject({
      poles: 2,
      slip: 0.25,
    })
  })
})

describe('safe speed', () => {
  test('plate first, then frame and poles, never under the rated speed', () => {
    const at = (poles: number, frameMm: number, extra = {}) =>
      run('motor.safe-speed', { poles, frameMm, ratedSpeedRpm: 60, ...extra })
    expect(at(2, 112)).toEqual({ maximumRpm: 5200, basis: 'typical' })
    expect(at(4, 90)).toEqual({ maximumRpm: 3600, basis: 'typical' })
    expect(at(6, 100)).toEqual({ maximumRpm: 2400, basis: 'typical' })
    expect(at(2, 132)).toEqual({ maximumRpm: 4500, basis: 'typical' })
    expect(at(4, 180)).toEqual({ maximumRpm: 2700, basis: 'typical' })
    expect(at(4, 90, { plateMaximumRpm: 2500 })).toEqual({ maximumRpm: 2500, basis: 'given' })
    expect(at(8, 90)).toEqual({ maximumRpm: 2400, basis: 'typical' })
    expect(run('motor.safe-speed', { poles: 2, frameMm: 80, ratedSpeedRpm: 24000 })).toEqual({
      maximumRpm: 24000,
      basis: 'given',
    })
  })
})

describe('output voltage', () => {
  const at = (frequencyHz: number, extra = {}) =>
    run('drive.output-voltage', { frequencyHz, baseFrequencyHz: 50, ratedVoltageV: 230, supplyV: 230, ...extra })
  test('rises on a straight line with boost, then holds', () => {
    expect(at(0, { boostV: 10 })).toEqual({ outputV: 10, limited: false })
    expect(at(25)).toEqual({ outputV: 115, limited: false })
    expect(at(90)).toEqual({ outputV: 230, limited: false })
  })
  test('is limited only where the supply clamps it', () => {
    expect(at(50, { ratedVoltageV: 400 })).toEqual({ outputV: 230, limited: true })
    expect(at(20, { ratedVoltageV: 400 })).toEqual({ outputV: 160, limited: false })
    expect(at(50, { supplyV: 120, doubler: true })).toEqual({ outputV: 230, limited: false })
  })
})

describe('drive train', () => {
  const stages = (...kinds: string[]) => kinds.map((kind) => ({ kind, driverMm: 100, drivenMm: 100 }))
  test('crossed belts and gear pairs flip the sense, twice gives it back', () => {
    const reversed = (...kinds: string[]) => run('drivetrain.ratio', { stages: stages(...kinds) })['reversed']
    expect(reversed('v-belt', 'timing-belt')).toBe(false)
    expect(reversed('crossed-belt')).toBe(true)
    expect(reversed('v-belt', 'gear-pair')).toBe(true)
    expect(reversed('gear-pair', 'crossed-belt')).toBe(false)
  })
  test('names the stage that lacks a size', () => {
    expect(
      faults('drivetrain.speed', {
        frequencyHz: 50,
        poles: 4,
        slip: 0,
        stages: [{ kind: 'direct' }, { kind: 'v-belt', driverMm: 90 }],
      }),
    ).toEqual([expect.stringMatching(/^stages\[1\]\.drivenMm is missing/)])
  })
})

describe('torque capability', () => {
  const at = (frequencyHz: number, extra = {}) =>
    run('motor.torque-capability', {
      frequencyHz,
      ratedFrequencyHz: 50,
      ratedTorqueNm: 10,
      breakdownRatio: 2.6,
      cooling: 'shaft-fan',
      ...extra,
    })
  test('follows the fan to base, and the two limits above it, which cross at fb b/1.3', () => {
    expect(at(25)).toMatchObject({ continuousNm: 8.7, peakNm: 26 })
    expect(at(100)['continuousNm']).toBeCloseTo(5, 9)
    expect(at(100)['peakNm']).toBeCloseTo(6.5, 9)
    expect(at(125)['continuousNm']).toBeCloseTo((10 * 2.6 * 0.16) / 1.3, 9)
  })
  test('a blower, a constant-torque plate, and what is not known', () => {
    expect([at(0, { cooling: 'blower' })['continuousNm'], at(1, { cooling: 'blower' })['continuousNm']]).toEqual([
      7, 10,
    ])
    expect(at(5, { inverterDutyRatio: 10 })['continuousNm']).toBe(10)
    expect('continuousNm' in at(3)).toBe(false)
  })
})

describe('terminal links', () => {
  const links = (leads: string, connection: string, names?: string) =>
    run('motor.terminal-links', { leads, connection, names }) as unknown as {
      links: string[][]
      lines: Record<string, string>
    }
  test('six leads', () => {
    expect(links('6', 'delta')).toEqual({
      links: [
        ['U1', 'W2'],
        ['V1', 'U2'],
        ['W1', 'V2'],
      ],
      lines: { L1: 'U1', L2: 'V1', L3: 'W1' },
    })
    expect(links('6', 'star').links.map((g) => [...g].sort())).toEqual([['U2', 'V2', 'W2']])
  })
  test('nine and twelve leads', () => {
    expect(links('9-star', 'low').links).toEqual([
      ['1', '7'],
      ['2', '8'],
      ['3', '9'],
      ['4', '5', '6'],
    ])
    expect(links('9-star', 'high').links).toEqual([
      ['4', '7'],
      ['5', '8'],
      ['6', '9'],
    ])
    expect(links('9-delta', 'low').links).toEqual([
      ['1', '6', '7'],
      ['2', '4', '8'],
      ['3', '5', '9'],
    ])
    expect(links('9-delta', 'high')).toEqual(links('9-star', 'high'))
    for (const connection of ['low-star', 'low-delta', 'high-star', 'high-delta']) {
      const { links: groups, lines } = links('12', connection)
      const tied = groups.flat()
      const used = tied.concat(Object.values(lines).filter((l) => !tied.includes(l)))
      expect(new Set(used).size).toBe(12)
      expect(used).toHaveLength(12)
    }
  })
  test('a connection the leads do not have is refused with those they have', () => {
    expect(faults('motor.terminal-links', { leads: '9-star', connection: 'delta' })).toEqual([
      'connection must be one of low, high for 9-star leads',
    ])
  })
})

describe('protection and cable', () => {
  test('earth-leakage device by how the drive stands', () => {
    const type = (topology: string) =>
      run('supply.protection', { inputA: 8, plateInputA: 8, region: 'iec', topology })['earthLeakageType']
    expect(['line-neutral', 'line-line', 'doubler', 'three-phase'].map(type)).toEqual(['F', 'B', 'B', 'B'])
  })
  test('a manual that allows less than the load is refused', () => {
    expect(
      faults('supply.protection', {
        inputA: 13,
        plateInputA: 14.5,
        manualMaximumA: 13,
        region: 'iec',
        topology: 'line-neutral',
      })[0],
    ).toMatch(/^manualMaximumA must be at least the larger input, 14\.5 A/)
  })
  test('load, protection and ampacity in that order, heat and company counted', () => {
    const cable = { loadA: 14.5, protectionA: 20, lengthM: 5, system: 'metric', method: 'C', phases: 1, voltageV: 230 }
    expect(faults('supply.cable', { ...cable, protectionA: 13 })[0]).toMatch(/^protectionA must be at least loadA/)
    expect(run('supply.cable', { ...cable, ambientC: 50 })['size']).toBe(4)
    expect(run('supply.cable', { ...cable, grouped: 3 })['size']).toBe(4)
    expect(faults('supply.cable', { ...cable, protectionA: 100, loadA: 90 })[0]).toMatch(/^loadA needs a larger cable/)
    expect(faults('supply.cable', { ...cable, method: 'conduit' })[0]).toMatch(/^method must be one of C, B2, A2, cord/)
    // Three loaded conductors carry less; an insulated wall less still.
    const size = (extra: object) =>
      run('supply.cable', { ...cable, loadA: 20, protectionA: 25, voltageV: 400, ...extra })['size']
    expect([size({}), size({ phases: 3 }), size({ method: 'A2' }), size({ method: 'cord' })]).toEqual([2.5, 4, 4, 2.5])
    // By gauge a quarter over the input, whatever breaker is there; and company by its conductors.
    const gauge = { ...cable, system: 'awg', method: 'conduit', loadA: 18, protectionA: 20, voltageV: 230 }
    expect(run('supply.cable', gauge)['size']).toBe(10)
    expect(run('supply.cable', { ...gauge, grouped: 2 })['size']).toBe(10)
    expect(run('supply.cable', { ...gauge, grouped: 2, loadA: 24, protectionA: 30 })['size']).toBe(8)
  })
  test('a stop that friction makes by itself needs no resistor', () => {
    expect(
      run('drive.brake-resistor', {
        inertiaKgM2: 0.05,
        speedRpm: 1000,
        stopSeconds: 20,
        frictionNm: 2,
        efficiency: 0.8,
        chopperV: 385,
        minOhm: 80,
        cycleSeconds: 60,
      }),
    ).toMatchObject({ energyJ: 0, averageW: 0, feasible: true })
  })
})

describe('knob', () => {
  test('scaled and clamped', () => {
    const at = (dial: number, mode?: string) =>
      run('control.reference', { dial, minHz: 6, maxHz: 90, mode })['frequencyHz']
    expect([at(0), at(0.5), at(1)]).toEqual([6, 48, 90])
    expect([at(0, 'clamped'), at(0.05, 'clamped'), at(0.5, 'clamped')]).toEqual([6, 6, 45])
  })
  test('lowest above highest is refused', () => {
    expect(faults('control.reference', { dial: 0, minHz: 60, maxHz: 50 })).toEqual(['minHz must be at most maxHz, 50'])
  })
})

describe('wheel without a mark', () => {
  test('may run its original speed and no faster; with nothing known, not at all', () => {
    const at = (extra: object) =>
      run('workholding.wheel-speed', { diameterMm: 200, speedRpm: 2850, ...extra })['permitted']
    expect([at({ originalSpeedRpm: 2850 }), at({ originalSpeedRpm: 2800 }), at({})]).toEqual([true, false, false])
  })
})

describe('bad input', () => {
  test.each([
    ['motor.rated-torque', { powerW: 0, speedRpm: 1420 }, /^powerW must be: number above 0 to 100000000; not 0$/],
    ['motor.rated-torque', { powerW: 'x', speedRpm: 1420 }, /^powerW must be: number/],
    ['motor.rated-torque', { speedRpm: 1420 }, /^powerW is missing/],
    ['motor.rated-torque', { powerW: 1, speedRpm: 2, watts: 3 }, /^watts is not a key known here$/],
    ['motor.rated-torque', { powerW: Infinity, speedRpm: 2 }, /^powerW must be/],
    ['motor.rated-torque', { powerW: NaN, speedRpm: 2 }, /^powerW must be/],
    [
      'drive.input-current',
      { shaftW: 1500, motorEfficiency: 0.79, driveEfficiency: 0.96, supplyV: 230, phases: 2, powerFactor: 0.65 },
      /^phases must be 1 or 3/,
    ],
    ['drivetrain.speed', { frequencyHz: 50, poles: 3, stages: [] }, /^poles must be an even number/],
    [
      'belt.grip',
      { diameterMm: 100, wrapSmallDeg: 180, tightN: 30, massKgPerM: 0.1, speedMPerS: 20 },
      /^tightN must be above 40/,
    ],
    ['belt.from-outside', { section: 'a', outsideMm: 17 }, /^outsideMm must be above 17.3/],
    ['belt.power', { section: 'a', diameterMm: 45, speedRpm: 1420, wrapSmallDeg: 160 }, /^diameterMm must be above 49/],
    ['belt.power', { section: 'a', diameterMm: 300, speedRpm: 6000, wrapSmallDeg: 160 }, /^speedRpm must be lower/],
    ['belt.in-groove', { section: 'z', grooves: 'c', diameterMm: 30 }, /^diameterMm must be above 34/],
    [
      'belt.span-deflection',
      { largeMm: 224, smallMm: 90, centreMm: 150, staticTensionN: 100 },
      /^centreMm must be above 157/,
    ],
    [
      'belt.span-tension',
      { largeMm: 224, smallMm: 90, centreMm: 410, forceN: 20, deflectionMm: 60 },
      /^deflectionMm must be at most 40/,
    ],
    ['pulley.bore', { shaftMm: 90, diameterMm: 200, section: 'a' }, /^shaftMm must be above 6 and at most 58/],
    [
      'belt.slip-torque',
      { staticTensionN: 10, diameterMm: 90, wrapSmallDeg: 180, massKgPerM: 0.1, speedMPerS: 20 },
      /^staticTensionN must be above 40/,
    ],
    ['inertia.ring', { outerMm: 500, innerMm: 520, lengthMm: 50 }, /^innerMm must be under outerMm/],
    [
      'cutting.drilling',
      { kc11: 1700, mc: 0.25, feedMm: 0.2, diameterMm: 20, speedRpm: 320, pilotMm: 20 },
      /^pilotMm must be under/,
    ],
    [
      'cutting.hole-saw',
      { kc11: 1700, mc: 0.25, feedMm: 0.2, diameterMm: 20, kerfMm: 11, speedRpm: 320 },
      /^kerfMm must be at most half/,
    ],
    [
      'cutting.milling-chip',
      { feedPerToothMm: 0.1, widthMm: 70, diameterMm: 63 },
      /^widthMm must be at most diameterMm/,
    ],
    ['belt.length', { largeMm: 224, smallMm: 90, centreMm: 100 }, /^centreMm must be at least 157/],
    ['belt.length', { largeMm: 90, smallMm: 224, centreMm: 500 }, /^smallMm must be at most largeMm/],
    ['belt.centre-distance', { largeMm: 224, smallMm: 90, lengthMm: 500 }, /^lengthMm must be at least/],
    [
      'dc.speed',
      { baseRpm: 1150, armatureFraction: 1, fieldFraction: 0.4, plateMaximumRpm: 2300 },
      /^fieldFraction must be at least 0\.500/,
    ],
    ['dc.speed', { baseRpm: 1150, armatureFraction: 1, fieldFraction: 0.1 }, /^fieldFraction must be/],
    [
      'motor.delta-87-hz',
      { lowVoltageV: 230, lowVoltageA: 6, plateFrequencyHz: 50, ratedSpeedRpm: 1420, powerW: 1500, driveV: 230 },
      /^driveV must be above/,
    ],
    [
      'supply.extension',
      { loadA: 5, lengthM: 5, areaMm2: 0.5, voltageV: 230, phases: 1 },
      /^areaMm2 must be at least 0\.75/,
    ],
  ])('%s %j', (id, input, message) => {
    expect(faults(id, input)[0]).toMatch(message)
  })
  test('an input that is not an object', () => {
    expect(faults('motor.rated-torque', null)).toHaveLength(1)
    expect(faults('motor.rated-torque', [1])).toHaveLength(1)
  })
})
