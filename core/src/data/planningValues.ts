/** Typical values used until the person has better ones; each says where it comes from. */
export interface PlanningValue {
  value: number
  source: string
}

export const planningValues = {
  driveEfficiency: { value: 0.96, source: 'Planning value for small drives at full load, after IEC 61800-9-2' },
  truePowerFactorSinglePhase: { value: 0.65, source: 'Planning value, capacitor-input rectifier on one phase without a choke (0.60 to 0.65)' },
  truePowerFactorThreePhase: { value: 0.7, source: 'Planning value, capacitor-input rectifier on three phases without a choke (0.65 to 0.75)' },
  singlePhaseFactor: { value: 0.43, source: 'Planning value for a three-phase-input drive on one phase; the manual rules' },
  /** Top hertz over base hertz up to which a four-pole motor is planned at constant power. */
  topHertzRatio: { value: 1.8, source: 'Planning value: pull-out of a common motor lasts to about 1.8 times base at constant power' },
  lowestHertzShaftFan: { value: 0.12, source: 'Planning value: a tenth of base hertz, and a little, on the shaft fan' },
  lowestHertzBlower: { value: 0.06, source: 'Planning value: with a blower the drive’s own steadiness is the limit' },
  lowestHertzHighFrequency: { value: 0.25, source: 'Planning value for high-frequency spindles, whose bearings and cooling want speed' },
  rampS: { value: 5, source: 'Planning value for a first spin, to be timed at run-in' },
  threadedRampS: { value: 10, source: 'Planning value for a threaded nose until the seating torque is measured' },
  heavyWheelRampS: { value: 10, source: 'Planning value for wheels and other heavy rotors' },
  breakdownRatio: { value: 2.5, source: 'Planning value: pull-out of common cage motors is 2 to 3 times rated torque' },
  driveOverload: { value: 1.5, source: 'Planning value: most drives give half as much again for a minute' },
  vectorFloorHz: { value: 1, source: 'Planning value: sensorless vector holds its torque down to about 1 Hz' },
  vBeltEfficiency: { value: 0.95, source: 'Planning value, V-belt' },
  timingBeltEfficiency: { value: 0.97, source: 'Planning value, timing belt' },
  gearMeshEfficiency: { value: 0.97, source: 'Planning value, one gear mesh' },
} as const satisfies Record<string, PlanningValue>

/** What `evaluate` takes beside the plan: the tables a shop may keep its own copy of. */
export interface Library {
  planning: Readonly<Record<keyof typeof planningValues, PlanningValue>>
}

export const shippedLibrary: Library = { planning: planningValues }
