/** Typical values used until the person has better ones; each says where it comes from. */
export interface PlanningValue {
  value: number
  citation: string
}

export const planningValues = {
  driveEfficiency: { value: 0.96, citation: 'Planning value for small drives at full load, after IEC 61800-9-2' },
  truePowerFactorSinglePhase: {
    value: 0.6,
    citation: 'Planning value for sizing, capacitor-input rectifier on one phase without a choke (0.65 at best)',
  },
  truePowerFactorDoubler: {
    value: 0.55,
    citation: 'Planning value for sizing, capacitor-input rectifier that doubles its volts',
  },
  truePowerFactorThreePhase: {
    value: 0.7,
    citation: 'Planning value, capacitor-input rectifier on three phases without a choke (0.65 to 0.75)',
  },
  singlePhaseFactor: {
    value: 0.43,
    citation: 'Planning value for a three-phase-input drive on one phase; the manual rules',
  },
  /** Top hertz over base hertz up to which a four-pole motor is planned at constant power. */
  topHertzRatio: {
    value: 1.8,
    citation: 'Planning value: pull-out of a common motor lasts to about 1.8 times base at constant power',
  },
  lowestHertzShaftFan: {
    value: 0.12,
    citation: 'Planning value: a tenth of base hertz, and a little, on the shaft fan',
  },
  lowestHertzBlower: { value: 0.06, citation: 'Planning value: with a blower the drive’s own steadiness is the limit' },
  lowestHertzHighFrequency: {
    value: 0.25,
    citation: 'Planning value for high-frequency spindles, whose bearings and cooling want speed',
  },
  rampS: { value: 5, citation: 'Planning value for a first spin, to be timed at run-in' },
  threadedRampS: { value: 10, citation: 'Planning value for a threaded nose until the seating torque is measured' },
  heavyWheelRampS: { value: 10, citation: 'Planning value for wheels and other heavy rotors' },
  breakdownRatio: {
    value: 2.5,
    citation: 'Planning value: pull-out of common cage motors is 2 to 3 times rated torque',
  },
  formFactorOnePhase: {
    value: 1.4,
    citation: 'Planning value: rms over mean of a one-phase thyristor bridge without a choke; 1.1 with one',
  },
  formFactorThreePhase: { value: 1.05, citation: 'Planning value: rms over mean of a three-phase thyristor bridge' },
  treadmillShare: {
    value: 0.5,
    citation: 'Planning value: a treadmill’s plate tells what it stands for minutes, with its flywheel’s fan',
  },
  formFactorSmooth: { value: 1, citation: 'A generator’s current, or one chopped fast, is taken as smooth' },
  dcLeastSpeedShare: {
    value: 0.05,
    citation: 'Planning value: a twentieth of base, which a drive holds by its armature’s volts without a tachometer',
  },
  driverLeastSpeedShare: {
    value: 0.1,
    citation: 'Planning value: a tenth of rated speed, under which a motor with hall sensors goes in steps',
  },
  fieldLossShare: {
    value: 0.7,
    citation: 'Planning value: a field is called lost under 0.7 of the weakest that is wanted',
  },
  suppressionTimes: {
    value: 3,
    citation: 'Planning value: an opened field may rise to three times its volts without harm to an old winding',
  },
  driveOverload: { value: 1.5, citation: 'Planning value: most drives give half as much again for a minute' },
  busFaradPerWatt: { value: 300e-6 / 1000, citation: 'Planning value: 300 µF of bus capacitor for each kW of drive' },
  tripOverBus: { value: 1.21, citation: 'Planning value: over-voltage trip at about 1.21 times the bus at no load' },
  driveStandingLossW: { value: 30, citation: 'Planning value: what a small drive takes for itself' },
  generatingEfficiency: {
    value: 0.8,
    citation: 'Planning value: share of the stopping energy that comes back to the bus',
  },
  chopperOverBus: { value: 1.18, citation: 'Planning value: chopper at about 1.18 times the bus at no load' },
  frictionShare: {
    value: 0.05,
    citation:
      'Planning value: friction of belts, bearings and motor is a twentieth of rated torque, until a coast is timed',
  },
  stopCycleS: { value: 60, citation: 'Planning value: one stop a minute' },
  ambientC: { value: 30, citation: 'Planning value: the temperature the cable tables are made for' },
  maximumDrop: { value: 0.03, citation: 'Planning value: three per cent lost at full load' },
  roomC: { value: 30, citation: 'Planning value: a warm day in the shop' },
  riseS: { value: 0.2e-6, citation: 'Planning value: fronts of small drives take 0.1 to 0.3 µs' },
  oldWindingPeakV: { value: 1000, citation: 'NEMA MG 1 Part 30: ordinary motors on drives, peak at the terminals' },
  inverterDutyPeak: { value: 3.1, citation: 'NEMA MG 1 Part 31: motors made for drives, times their rated volts' },
  rotaryEfficiency: { value: 0.8, citation: 'Planning value: a rotary converter with a lightly loaded idler' },
  transformerEfficiency: { value: 0.95, citation: 'Planning value for transformers of a few kVA' },
  vBeltEfficiency: { value: 0.95, citation: 'Planning value, V-belt' },
  variableSheaveEfficiency: { value: 0.9, citation: 'Planning value, variable sheaves' },
  wormEfficiency: { value: 0.7, citation: 'Planning value, worm of one or two starts run in oil' },
  timingBeltEfficiency: { value: 0.97, citation: 'Planning value, timing belt' },
  gearboxEfficiency: { value: 0.8, citation: 'Planning value: an old geared head is 0.75 to 0.85' },
  variatorEfficiency: { value: 0.75, citation: 'Planning value: a hydraulic or friction variator in good order' },
  gearMeshEfficiency: { value: 0.97, citation: 'Planning value, one gear mesh' },
} as const satisfies Record<string, PlanningValue>

/** What `evaluate` takes beside the plan: the tables a shop may keep its own copy of. */
export interface PlanningTables {
  planning: Readonly<Record<keyof typeof planningValues, PlanningValue>>
}

export const shippedTables: PlanningTables = { planning: planningValues }
