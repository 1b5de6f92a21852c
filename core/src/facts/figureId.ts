import type { PlanPath } from '../plan'

/**
 * The names of the figures that are worked out, by what they are of. A figure of something typed bears the name of its
 * field in the plan. A name that stands here is booked by some plan, and none is booked that does not stand here.
 */
export const figureKeys = {
  belts: ['serviceFactor', 'startFactor'],
  checks: ['insulation', 'spread'],
  controls: ['topHz'],
  dc: [
    'armatureOhm',
    'brushSpeed',
    'continuousA',
    'continuousNm',
    'formFactor',
    'outputV',
    'rheostatOhm',
    'rheostatW',
    'suppressorMostOhm',
    'topRpm',
    'weakestFlux',
  ],
  drive: [
    'busV',
    'ceilingV',
    'computedInputA',
    'drawnW',
    'efficiency',
    'factor',
    'feedPhases',
    'feedV',
    'generatingEfficiency',
    'inputA',
    'leakageA',
    'lossW',
    'lowestV',
    'onePhaseA',
    'outputA',
    'rippleV',
    'setVoltageV',
    'throughW',
    'trueCost',
    'truePowerFactor',
    'typicalBusFarad',
    'typicalChopperV',
    'typicalRiseS',
    'typicalTripV',
  ],
  driver: ['highV', 'kneeRpm', 'limitNm', 'lowV', 'mainsBusV', 'reachesRpm', 'stallHeat'],
  installation: ['boxW', 'insideC', 'lossW', 'riseK', 'typicalRoomC'],
  motor: [
    'criticalM',
    'deltaA',
    'delta87A',
    'delta87BaseHz',
    'delta87UsableHz',
    'delta87W',
    'fluxFraction',
    'frameMm',
    'impliedProduct',
    'lowHzFraction',
    'lowPull',
    'lowTorqueFraction',
    'noLoadA',
    'peakV',
    'plateCurrentA',
    'plateVoltageV',
    'poles',
    'pullOut',
    'rotor',
    'safeRpm',
    'serviceFactorA',
    'slip',
    'speedAtBase',
    'standsV',
    'statorOhm',
    'synchronousRpm',
    'topRpm',
    'topTorque',
    'torque',
    'usableNm',
  ],
  settings: [
    'baseFrequencyHz',
    'decelerationS',
    'leastSpeedRpm',
    'maximumHz',
    'minimumHz',
    'mostSpeedRpm',
    'overloadA',
  ],
  stop: [
    'coastS',
    'cycleS',
    'energyJ',
    'frictionNm',
    'inertia',
    'leastTorque',
    'load',
    'lossW',
    'ownInertia',
    'pulleys',
    'rampS',
    'resistorMeanW',
    'resistorMostOhm',
    'resistorOhm',
    'resistorW',
    'runUpFrictionNm',
    'withoutResistorS',
  ],
  supply: [
    'drop',
    'earthV',
    'extensionA',
    'extensionDrop',
    'neededIdlerW',
    'neededAskedMm2',
    'neededMm2',
    'neededVA',
    'plugCarriesA',
    'protectionA',
    'typicalAmbientC',
    'unitEfficiency',
    'wallA',
  ],
} as const

/** Of one belt position. */
export const positionKeys = [
  'baseRpm',
  'bottomRpm',
  'efficiency',
  'excitedHz',
  'feltInertia',
  'knownMotorRpm',
  'knownRatio',
  'knownSpindleRpm',
  'measuredRatio',
  'motorAtOneHertz',
  'reduction',
  'rotorInertia',
  'rpmAtOneHertz',
  'speedRatio',
  'swings',
  'topRpm',
  'torque',
  'unloadedTopRpm',
] as const

/** Of one belt of a position. */
export const beltKeys = [
  'before',
  'beltW',
  'beltsWanted',
  'centre',
  'deflectionForceN',
  'deflectionMm',
  'drivenMm',
  'driverMm',
  'driverNm',
  'driverRpm',
  'eachN',
  'farthest',
  'foundN',
  'inMesh',
  'keyWidth',
  'keyway',
  'length',
  'lengthAgain',
  'nearest',
  'oneFoundN',
  'pulleyRpm',
  'slipsNm',
  'smallRpm',
  'speed',
  'startNm',
  'staticTensionN',
  'stock',
  'stockCentre',
  'wall',
  'wrap',
] as const

/** Of one job. */
export const jobKeys = [
  'chip',
  'feed',
  'formulaTorque',
  'kerf',
  'times',
  'force',
  'kc11',
  'mc',
  'power',
  'surfaceSpeed',
  'tableFeed',
  'torque',
  'wantedRpm',
] as const

/** Of one thing that spins. */
export const holderKeys = ['inertia', 'runUpTorque'] as const

type Keys = typeof figureKeys

type OfSubject = { [S in keyof Keys]: `${S}.${Keys[S][number]}` }[keyof Keys]

export type PositionFigureId = `position.${string}.${(typeof positionKeys)[number]}`
export type BeltFigureId = `position.${string}.belt${number}.${(typeof beltKeys)[number]}`
export type HolderFigureId = `holder.${string}.${(typeof holderKeys)[number]}`
export type JobFigureId = `job.${string}.${(typeof jobKeys)[number]}`
/** Of a route that is compared with others. */
export type RouteFigureId = `route.${string}`
/** At the slowest job, where motors, drives and routes are compared. */
export type SlowFigureId = 'slow.continuousNm' | 'slow.peakNm'

/**
 * Fields by whose names figures go. Sections of which no figure is booked are left out: a union of more than a thousand
 * names is more than the compiler compares.
 */
export type FieldFigureId = Exclude<
  PlanPath,
  | `candidates.${string}`
  | `wiring.${string}`
  | `axes.${string}`
  | `planned.${string}`
  | `commanded.${string}`
  | `dial.${string}`
  | `runIn.${string}`
  | `asTyped.${string}`
>

/** What a figure is called. Names that no plan books do not compile. */
export type FigureId =
  | FieldFigureId
  | OfSubject
  | PositionFigureId
  | BeltFigureId
  | HolderFigureId
  | JobFigureId
  | RouteFigureId
  | SlowFigureId
