import type { RuleWording } from '../rules/ruleWording'

/** What the rules of workholding say of themselves. */
export const workholdingRuleWords = {
  'workholding.wheel-speed': {
    title: 'Wheel rim speed against its marking',
    formula: 'v = pi D n / 60; permitted where v <= marking; unmarked: n <= the original rpm',
    citation: 'EN 12413 and ANSI B7.1 (maximum operating speed is marked on the wheel)',
    input: {
      diameterMm: 'mm, diameter of the wheel',
      speedRpm: 'rpm, of the wheel',
      markedMPerS: 'm/s, highest speed marked on the wheel',
      originalSpeedRpm: 'rpm, the machine’s original wheel speed, the ceiling for an unmarked wheel',
    },
    output: {
      speedMPerS: 'm/s, rim speed',
      permitted: 'false over the marking; for an unmarked wheel, over the original rpm or where that is unknown too',
    },
    example: { diameterMm: 200, speedRpm: 2850, markedMPerS: 35 },
  },
  'workholding.unscrew': {
    title: 'Unscrewing torque of a chuck on a threaded nose',
    formula: 'T = J w / t, permitted up to half the measured seating torque',
    citation: 'Mechanics; the factor of two is a planning value',
    input: {
      inertiaKgM2: 'kg m2, of chuck and work',
      speedRpm: 'rpm, spindle speed at which the stop begins',
      stopSeconds: 's, to standstill',
      seatNm: 'N m, measured torque that loosens the seated chuck',
    },
    output: {
      torqueNm: 'N m, at the chuck’s thread',
      permitted: 'true only where it is at most half the measured seating torque; false where that is unknown',
    },
    example: { inertiaKgM2: 0.18, speedRpm: 800, stopSeconds: 4, seatNm: 40 },
  },
  'workholding.thread-seat': {
    title: 'Loosening torque of a chuck seated by hand',
    formula: 'T = 0.11 N m/mm x d: the least of dry cases, seated by hand, friction 0.10',
    citation: 'Planning value after the mechanics of a screw joint; measure it with a bar and a spring balance',
    input: { threadMm: 'mm, diameter of the nose’s thread over its crests' },
    output: { seatNm: 'N m, planned to loosen it' },
    example: { threadMm: 25.4 },
  },
  'inertia.mass': {
    title: 'Inertia of a disc by its mass',
    formula: 'J = m D^2 / 8',
    citation: 'Mechanics of a solid of revolution; that it is a full disc is a planning value',
    input: { massKg: 'kg, on a scale', outerMm: 'mm, outer diameter' },
    output: { inertiaKgM2: 'kg m2, about the axis' },
    example: { massKg: 23.12, outerMm: 250 },
  },
  'inertia.cylinder': {
    title: 'Mass and inertia of a disc',
    formula: 'm = rho pi (D^2 - d^2) L / 4;  J = m (D^2 + d^2) / 8',
    citation: 'Mechanics of a solid of revolution',
    input: {
      outerMm: 'mm, outer diameter',
      innerMm: 'mm, bore; 0 where solid',
      lengthMm: 'mm, length or thickness',
      densityKgM3: 'kg/m3; steel 7850',
    },
    output: { massKg: 'kg, mass', inertiaKgM2: 'kg m2, about the axis' },
    example: { outerMm: 250, innerMm: 0, lengthMm: 60, densityKgM3: 7850 },
  },
  'inertia.ring': {
    title: 'Mass and inertia of a ring',
    formula: 'm = rho pi (D^2 - d^2) L / 4;  J = m (D^2 + d^2) / 8',
    citation: 'Mechanics of a solid of revolution',
    input: {
      outerMm: 'mm, outer diameter',
      innerMm: 'mm, inner diameter',
      lengthMm: 'mm, length or thickness',
      densityKgM3: 'kg/m3; steel 7850',
    },
    output: { massKg: 'kg, mass', inertiaKgM2: 'kg m2, about the axis' },
    example: { outerMm: 600, innerMm: 520, lengthMm: 50, densityKgM3: 7850 },
  },
  'inertia.reflected': {
    title: 'Inertia felt at the motor',
    formula: 'J_m = J / ratio^2',
    citation: 'Conservation of energy',
    input: { inertiaKgM2: 'kg m2, on the load’s own shaft', ratio: 'motor rpm over load rpm' },
    output: { inertiaKgM2: 'kg m2, at the motor' },
    example: { inertiaKgM2: 0.18, ratio: 2.49 },
  },
} as const satisfies Readonly<Record<string, RuleWording>>
