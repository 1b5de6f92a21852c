import { z } from 'zod'
import { workMaterials, type WorkMaterialId } from '../data/workMaterials'
import { milestones } from '../stages/milestones'
import { choice, count, id, on, quantity, words, yesNo } from './field'
import { positionSchema } from './position'

export const machineKinds = {
  lathe: 'Lathe',
  mill: 'Mill',
  'pillar-drill': 'Pillar drill',
  'surface-grinder': 'Surface grinder',
  'tool-grinder': 'Tool grinder',
  shaper: 'Shaper',
  bandsaw: 'Bandsaw',
  'belt-grinder': 'Belt grinder',
  router: 'CNC router',
  'bare-motor': 'Bare motor',
  other: 'Another machine',
} as const

export type MachineKind = keyof typeof machineKinds

export const spindleNoses = {
  threaded: 'Threaded',
  'cam-lock': 'Cam-lock',
  'long-taper-key': 'Taper with key and nut',
  taper: 'Plain taper',
  flange: 'Bolted flange or arbor',
  collet: 'Collet',
  none: 'No spindle (a ram or a wheel)',
} as const

export const facings = { same: 'The same way as the spindle’s nose', other: 'The other way' } as const
export const rotations = { clockwise: 'Clockwise', 'counter-clockwise': 'Counter-clockwise' } as const
export type Rotation = keyof typeof rotations

export const hazards = {
  chips: 'Chips',
  grit: 'Grit and dust',
  coolant: 'Coolant',
  oil: 'Oil',
  water: 'Water',
  damp: 'Damp or salt air',
} as const

export type Hazard = keyof typeof hazards

export const jobKinds = {
  turning: 'Turning',
  facing: 'Facing',
  boring: 'Boring',
  drilling: 'Drilling',
  reaming: 'Reaming',
  tapping: 'Tapping',
  threading: 'Threading',
  'hole-saw': 'Hole saw',
  milling: 'Milling',
  'fly-cutting': 'Fly-cutting',
  routing: 'Routing',
  grinding: 'Grinding wheel',
  polishing: 'Polishing, belt',
  sawing: 'Sawing',
  other: 'Other',
} as const

export type JobKind = keyof typeof jobKinds

const materials = Object.fromEntries(Object.entries(workMaterials).map(([key, { name }]) => [key, name])) as Record<
  WorkMaterialId,
  string
>
export const workOf = { ...materials, wood: 'Wood' } as const
export const toolsOf = { hss: 'High-speed steel', carbide: 'Carbide' } as const

export const duties = { moments: 'For moments', minutes: 'For minutes', 'all-day': 'All day' } as const
export const wants = { wanted: 'Wanted', wished: 'Only wished' } as const

/** A piece of work and the speed it wants: given, or from surface speed and diameter. */
export const jobSchema = z.strictObject({
  id,
  name: words('Job', 60),
  kind: choice('Kind of job', jobKinds),
  speedRpm: quantity('speed', 'Wanted spindle speed', 0.1, 200_000),
  surfaceSpeedMPerMin: quantity('surfaceSpeed', 'Surface speed', 0.1, 3000),
  diameterMm: quantity('length', 'Diameter', 0.05, 3000, 'Of the work, cutter or drill'),
  material: choice('Work of', workOf),
  tool: choice('Tool of', toolsOf),
  feedMm: quantity('length', 'Feed', 0.001, 20, 'A turn; milling: a tooth'),
  depthMm: quantity('length', 'Depth of cut', 0.01, 200, 'Turning: off the radius; milling: along the cutter'),
  widthMm: quantity('length', 'Width of cut', 0.05, 500, 'Milling: across the cutter; hole saw: its kerf'),
  teeth: count('Teeth', 1, 400, 'Of the cutter or saw'),
  pitchMm: quantity('length', 'Pitch', 0.1, 20, 'Of the thread'),
  pilotMm: quantity('length', 'Hole that is there', 0, 1000),
  kc11: quantity('number', 'Specific force', 10, 10_000, 'N/mm² at 1 mm of chip; your own in place of the table’s'),
  mc: quantity('number', 'Its exponent', 0, 0.9),
  torqueNm: quantity('torque', 'Torque it wants', 0.01, 5000, 'Measured or known, in place of the working'),
  duty: choice('How long at a time', duties, 'All day unless you say so'),
  wanted: choice('It is', wants, 'Wanted unless you say so'),
  positionId: on('speeds', id.optional().meta({ label: 'Belt position for it' })),
})

export const holderKinds = {
  chuck: 'Chuck',
  faceplate: 'Faceplate',
  collet: 'Collet',
  wheel: 'Grinding wheel',
  cutter: 'Cutter or saw blade',
  'band-wheel': 'Band wheel',
} as const

export const fastenings = {
  thread: 'Screwed on the nose',
  locked: 'Screwed on, with a lock',
  taper: 'A taper or collet',
  bolted: 'Bolts or cam locks',
  nut: 'A nut or screw on its end',
} as const

export const seats = {
  shoulder: 'Against the shoulder',
  gap: 'Not against the shoulder',
  washer: 'With a washer between',
} as const

export const inertiaWays = {
  size: 'Its size',
  rim: 'Its rim',
  mass: 'Its mass',
  drawing: 'Its steps, by drawing',
  timing: 'Timing',
} as const

export const holderMaterials = {
  steel: 'Steel',
  iron: 'Cast iron',
  aluminium: 'Aluminium',
  brass: 'Brass',
  abrasive: 'Grinding wheel',
  wood: 'Wood',
} as const

/** Steps that one drawing has at most. */
export const MOST_STEPS = 12

/** One step of something turned, as its drawing gives it. */
const stepSchema = z.strictObject({
  outerMm: quantity('length', 'Outside of the step', 1, 3000),
  boreMm: quantity('length', 'Its bore', 0.5, 3000),
  lengthMm: quantity('length', 'Its length', 0.1, 3000),
})

/** What spins at the spindle and has its own limit; how heavy it turns is known by size, rim, mass, drawing or timing. */
export const holderSchema = z.strictObject({
  id,
  name: words('What spins', 60),
  kind: choice('Kind', holderKinds),
  diameterMm: quantity('length', 'Outside diameter', 1, 3000),
  widthMm: quantity(
    'length',
    'Width',
    1,
    1000,
    'Along the spindle; with the diameter it gives the inertia of a steel disc',
  ),
  inertiaFrom: choice('Its inertia from', inertiaWays, 'Its size unless you say so'),
  boreMm: quantity('length', 'Inside of the rim', 1, 3000, 'Of a wheel that is mostly rim'),
  material: choice('Made of', holderMaterials, 'Steel unless you say so'),
  steps: z.array(stepSchema).max(MOST_STEPS).optional().meta({ label: 'Steps of its drawing' }),
  massKg: quantity('mass', 'Mass', 0.01, 5000, 'On a scale'),
  runUpS: quantity('time', 'Runs up in', 0.05, 600, 'Timed to the top of the position used most'),
  runUpA: quantity('current', 'Amps meanwhile', 0.05, 500, 'Where its ramp was set longer; on rated torque else'),
  markedRpm: quantity('speed', 'Marked highest speed', 1, 200_000, 'Only what is stamped or printed on it'),
  markedMPerS: quantity('beltSpeed', 'Marked rim speed', 1, 250, 'Wheels: the m/s or ft/min on the label'),
  heldBy: choice('Held by', fastenings, 'By the nose unless you say so'),
  alwaysTurns: yesNo('Always turns', 'With all that is put on: a flywheel'),
  unmarked: yesNo('No mark on it', 'Looked for all round, and there is none'),
})

/** The machine as found and the work it must do. */
export const surveySchema = z.strictObject({
  comesNext: choice('What comes next', milestones, 'Of the work; what is due later is not asked yet'),
  machineKind: choice('Machine', machineKinds),
  spindleNose: choice('Spindle nose', spindleNoses),
  noseThreadMm: quantity('length', 'Thread of the nose', 6, 300, 'Over its crests: the 2 1/4 of 2 1/4"-8'),
  noseSeat: choice('What is screwed on seats', seats),
  originalTopRpm: quantity(
    'speed',
    'Original top spindle speed',
    1,
    60_000,
    'As built; the ceiling for anything unmarked',
  ),
  motorFaces: choice('Motor’s shaft points', facings, 'As you stand facing the spindle’s nose'),
  forward: choice(
    'Forward at the spindle',
    rotations,
    'As you stand facing its nose: a lathe cuts counter-clockwise so',
  ),
  positions: z.array(positionSchema).max(24).meta({ label: 'Belt positions' }),
  mainPositionId: on('speeds', id.optional().meta({ label: 'Position used most' })),
  jobs: z.array(jobSchema).max(60).meta({ label: 'Jobs' }),
  holders: z.array(holderSchema).max(30).meta({ label: 'What spins' }),
  coastS: on(
    'drive',
    quantity(
      'time',
      'Coasts from full speed in',
      0.5,
      3600,
      'Timed with no braking on the position used most; it tells the friction',
    ),
  ),
  coastFromRpm: on(
    'drive',
    quantity(
      'speed',
      'Coast timed from',
      1,
      60_000,
      'Spindle speed at which it was let go; the top speed unless you say so',
    ),
  ),
  seatTorqueNm: quantity(
    'torque',
    'Torque that loosens the seated chuck',
    0.5,
    2000,
    'Measured with a bar and a spring balance, never guessed',
  ),
  hazards: z
    .array(z.enum(Object.keys(hazards) as [Hazard, ...Hazard[]]))
    .max(6)
    .meta({ label: 'What reaches the machine', options: hazards }),
  notes: words('Notes', 2000),
})
