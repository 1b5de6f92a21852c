import { z } from 'zod'
import { registerScales } from '../stages/registerScales'
import { rampMeanings } from '../stages/rampMeanings'
import { settingIds, type SettingId } from '../stages/settingTable'
import { nameText, text } from '../rules/text'
import { terminalFunctions, terminalGroups, type TerminalFunction, type TerminalGroup } from './terminalFunctions'

/** Names the kind of file, and rises whenever a stored manual would no longer validate. */
export const MANUAL_FORMAT = 'zesty-lathe/manual'
export const MANUAL_VERSION = 1

const keysOf = <T extends object>(table: T) => Object.keys(table) as [keyof T & string, ...(keyof T & string)[]]

const id = text(40).regex(/^[a-z0-9][a-z0-9-]*$/, 'must be small letters, digits and hyphens')
const printed = nameText(24)
const note = text(300).optional()
const page = z.number().int().min(1).max(5000).optional()
const volts = z.number().min(0).max(1500)
const milliamps = z.number().min(0).max(20_000)
const millimetres = z.number().min(0).max(3000)
const does = z.enum(keysOf(terminalFunctions))

/** Read in the manual or on the board, or only assumed from what such drives usually have. */
const basis = z.enum(['printed', 'assumed']).default('printed')

const terminalSchema = z.strictObject({
  id,
  /** As it is printed at the screw; two terminals may print one name. */
  prints: printed,
  group: z.enum(keysOf(terminalGroups)),
  /** What it does as the drive comes; a setting may change that. Nothing while it is not known. */
  does: does.optional(),
  /** The id that all terminals joined inside share, such as three commons. */
  joined: id.optional(),
  gives: z.strictObject({ volts, milliamps: milliamps.optional() }).optional(),
  takes: z
    .strictObject({
      leastV: volts.optional(),
      mostV: volts.optional(),
      milliamps: milliamps.optional(),
      ohm: z.number().min(1).max(1e6).optional(),
      /** Of a speed input: whether it goes through zero to the other direction. */
      bothSigns: z.boolean().optional(),
    })
    .optional(),
  /** Wires that go under its screw; one where it is not said. */
  wires: z.number().int().min(0).max(4).default(1),
  basis,
  note,
  page,
})

/** Screws of one kind: how tight, which wire, how much of it bare. */
const clampSchema = z.strictObject({
  group: z.enum(keysOf(terminalGroups)),
  torqueNm: z.number().min(0.05).max(50).optional(),
  leastMm2: z.number().min(0.05).max(300).optional(),
  mostMm2: z.number().min(0.05).max(300).optional(),
  bareMm: z.number().min(2).max(60).optional(),
})

export const linkPurposes = {
  enable: 'The enable',
  'safe-torque-off': 'Safe torque off',
  choke: 'A choke in the bus',
  stop: 'A stop button',
  'outside-fault': 'Faults from outside',
  other: 'Another thing',
} as const

/** A wire or strap that the maker fitted between two terminals. */
const factoryLinkSchema = z.strictObject({
  id,
  from: id,
  to: id,
  purpose: text(160),
  /** What must be wired instead once it is out. */
  outFor: z.enum(keysOf(linkPurposes)),
  /** Whether it must be in for the keypad alone to run the motor. */
  keypadNeedsIt: z.boolean().optional(),
  page,
})

const positionSchema = z.strictObject({
  prints: printed,
  means: text(160),
  /** Of a jumper that chooses how switches are closed: to the common, or to the volts given. */
  logic: z.enum(['sink', 'source']).optional(),
})

export const jumperChoices = {
  'sink-source': 'Sink or source',
  'volts-or-milliamps': 'Volts or milliamps',
  'input-volts': 'Volts of the supply',
  'motor-power': 'Power of the motor',
  'input-phases': 'Phases of the supply',
  'filter-earth': 'Earth of the filter',
  'current-limit': 'Current limit',
  other: 'Another thing',
} as const

/** A jumper or switch inside: its positions, and the one that it comes in. */
const jumperSchema = z.strictObject({
  id,
  prints: printed,
  kind: z.enum(['jumper', 'dip', 'strap']),
  positions: z.array(positionSchema).min(2).max(8),
  comesIn: printed.optional(),
  chooses: z.enum(keysOf(jumperChoices)),
  onlyWithoutPower: z.boolean().default(true),
  page,
})

export const trimFunctions = {
  'least-speed': 'Least speed',
  'most-speed': 'Most speed',
  'current-limit': 'Current limit',
  'slip-compensation': 'Pull at low speed',
  acceleration: 'Ramp up',
  deceleration: 'Ramp down',
  boost: 'Boost',
  'field-loss': 'Field lost',
  other: 'Another thing',
} as const

/** A trim potentiometer: what it sets, and which way is more. */
const trimSchema = z.strictObject({
  id,
  prints: printed,
  sets: z.enum(keysOf(trimFunctions)),
  moreIs: z.enum(['clockwise', 'counter-clockwise']).optional(),
  least: text(40).optional(),
  most: text(40).optional(),
  /** The same as numbers, in base units; of the current limit as shares of the amps that its jumper names. */
  leastValue: z.number().min(0).max(100_000).optional(),
  mostValue: z.number().min(0).max(100_000).optional(),
  /** Hours of the clock to which its slot points at both ends of its turn. */
  fromHour: z.number().min(0).max(12).optional(),
  toHour: z.number().min(0).max(12).optional(),
  page,
})

/** How a drive names its settings. */
export const codeSchemes = {
  plain: 'Plain numbers',
  groups: 'Groups and numbers in them',
  decimals: 'Decimal numbers',
  digits: 'One number, digit by digit',
  words: 'Words',
} as const

/** What a value is a share of, where it is no amount. */
export const shareBases = {
  'base-hertz': 'Base hertz',
  'highest-hertz': 'Highest hertz',
  'motor-amps': 'Motor amps',
  'motor-volts': 'Motor volts',
  'drive-amps': 'The drive’s own amps',
} as const

/** What a written value stands for under the product’s own names. */
const standsFor = z.partialRecord(z.enum(settingIds as [SettingId, ...SettingId[]]), z.union([z.number(), text(40)]))

/** How a number is written. */
const countingSchema = z.strictObject({
  /** What is printed behind it. */
  unit: text(16).optional(),
  /** Base units in one of what is written: 0.1 where 50 means 5.0 s, 1000 where 1.5 means kW; of a share 0.01 for per cent. */
  each: z.number().gt(0).max(1e6).default(1),
  decimals: z.number().int().min(0).max(4).default(0),
  shareOf: z.enum(keysOf(shareBases)).optional(),
})

const digitSchema = z.strictObject({
  name: text(80),
  values: z
    .array(z.strictObject({ digit: text(1), means: text(120), is: standsFor.optional() }))
    .min(1)
    .max(16),
})

const resetSchema = z.strictObject({
  code: printed.optional(),
  value: text(24).optional(),
  keys: text(200).optional(),
  /** What it does not put back, in words. */
  keeps: text(200).optional(),
  page,
})

const MOST_NEEDS = 12

/** One setting by its printed code: what it sets, how its value is written, and what the drive wants before it takes one. */
const codeSchema = z.strictObject({
  code: printed,
  words: text(160),
  /** Under the product's own name, where it has one. */
  sets: z.enum(settingIds as [(typeof settingIds)[number], ...(typeof settingIds)[number][]]).optional(),
  /** The terminal whose function it chooses. */
  terminal: id.optional(),
  /** Whether it chooses what all terminals do at once. */
  macro: z.boolean().optional(),
  /** Of a number; written as it is where nothing is said. */
  counts: countingSchema.optional(),
  /** Of a number, as written. */
  least: z.number().min(-1e6).max(1e6).optional(),
  most: z.number().min(-1e6).max(1e6).optional(),
  step: z.number().gt(0).max(1e6).optional(),
  /** Default as printed; and as devices were found to have it, where that is another. */
  comesWith: text(24).optional(),
  foundWith: text(24).optional(),
  /** Of a value that is written digit by digit: its places, from the left. */
  digits: z.array(digitSchema).max(8).optional(),
  menu: text(120).optional(),
  keys: text(200).optional(),
  values: z
    .array(
      z.strictObject({
        value: text(24),
        means: text(160),
        is: standsFor.optional(),
        /** Of a terminal's code: what the terminal does then. */
        does: does.optional(),
        /** Of a macro: what terminals do then, by their ids. */
        all: z.record(id, does).optional(),
      }),
    )
    .max(60)
    .default([]),
  onlyStopped: z.boolean().optional(),
  /** Not while a remote station is plugged in. */
  onlyUnplugged: z.boolean().optional(),
  /** Shut until the manual’s unlocking code is entered. */
  locked: z.boolean().optional(),
  /** Codes that must have been entered before it. */
  after: z.array(printed).max(MOST_NEEDS).optional(),
  /** Codes whose values it may not pass. */
  mostBy: printed.optional(),
  leastBy: printed.optional(),
  /** There only while another holds a value. */
  onlyWhile: z.strictObject({ code: printed, value: text(24) }).optional(),
  /** What entering it changes behind one’s back. */
  changes: z
    .array(z.strictObject({ code: printed, to: text(24).optional() }))
    .max(60)
    .optional(),
  keptAtReset: z.boolean().optional(),
  atFirstPower: z.boolean().optional(),
  page,
})

export const displayMoments = {
  idle: 'Ready, nothing set',
  set: 'Speed set, not running',
  running: 'Running',
  ramping: 'On its ramp',
  'reverse-pending': 'Waits to reverse',
  'not-enabled': 'Enable is open',
  taken: 'Value taken',
  refused: 'Value refused',
  undervoltage: 'Bus too low',
} as const

const displaySchema = z.strictObject({
  when: z.enum(keysOf(displayMoments)),
  prints: printed,
  lamp: text(80).optional(),
  page,
})

const faultSchema = z.strictObject({
  code: printed,
  means: text(160),
  causes: z.array(text(200)).max(12).default([]),
  page,
})

const outlineSchema = z.strictObject({
  widthMm: millimetres,
  heightMm: millimetres,
  depthMm: millimetres,
  holesAcrossMm: millimetres.optional(),
  holesDownMm: millimetres.optional(),
  aboveMm: millimetres.optional(),
  belowMm: millimetres.optional(),
  besideMm: millimetres.optional(),
  lossW: z.number().min(0).max(50_000).optional(),
  /** Holes for glands, and how many are plugged as it comes. */
  knockouts: z
    .array(z.strictObject({ mm: millimetres, count: z.number().int().min(1).max(12), plugged: z.boolean().optional() }))
    .max(6)
    .default([]),
})

const yesNoUnknown = z.boolean().optional()

/**
 * One drive's manual as data: what is printed at its screws and on its display, what is joined and linked inside, and the
 * codes that wiring and a first spin want. Everything may be unknown; what is only assumed says so.
 */
export const manualSchema = z
  .strictObject({
    version: z.literal(MANUAL_VERSION),
    name: nameText(80),
    edition: text(80).optional(),
    /** Where the paper lies: a file's name, an address as text; and on which pages what stands. */
    lies: z.strictObject({ file: text(200).optional(), address: text(300).optional() }).optional(),
    pages: z.strictObject({ wiring: page, settings: page, faults: page }).optional(),
    style: z.enum(['digital', 'trim-pot', 'brushless', 'dc']).optional(),
    /** Whether the control terminals are apart from the mains; not known counts as not. */
    isolated: yesNoUnknown,
    /** How its switch inputs are closed: to the common, to the volts given, or as a jumper or code chooses. */
    logic: z.enum(['sink', 'source', 'either']).optional(),
    runsAtPowerOn: yesNoUnknown,
    /** What the number of its ramps counts. */
    rampMeans: z.enum(keysOf(rampMeanings)).optional(),
    scheme: z.enum(keysOf(codeSchemes)).optional(),
    /** How a value is entered, with {code} and {value} in their places. */
    keying: text(200).optional(),
    /** A code that opens the locked ones. */
    unlock: z.strictObject({ code: printed, value: text(24), page }).optional(),
    reset: resetSchema.optional(),
    /** A key that takes the drive away from its terminals, and what shows it. */
    localKey: z.strictObject({ prints: printed, shows: text(80).optional(), page }).optional(),
    terminals: z.array(terminalSchema).max(120).default([]),
    clamps: z.array(clampSchema).max(8).default([]),
    factoryLinks: z.array(factoryLinkSchema).max(12).default([]),
    fuse: z
      .strictObject({ amps: z.number().min(0.5).max(1000).optional(), kind: text(80).optional(), page })
      .optional(),
    jumpers: z.array(jumperSchema).max(24).default([]),
    trims: z.array(trimSchema).max(16).default([]),
    codes: z.array(codeSchema).max(400).default([]),
    display: z.array(displaySchema).max(30).default([]),
    faults: z.array(faultSchema).max(120).default([]),
    /** What a bus writes and reads: the registers by their printed numbers, and what one step of the speed stands for. */
    registers: z
      .strictObject({
        speed: text(12).optional(),
        command: text(12).optional(),
        state: text(12).optional(),
        scale: z.enum(keysOf(registerScales)).optional(),
        most: z.number().int().min(1).max(65_535).optional(),
        page,
      })
      .optional(),
    outline: outlineSchema.optional(),
    /** Things that were looked for and are not in the manual, by the worksheet's names. */
    notFound: z.array(text(40)).max(40).default([]),
    notes: text(2000).optional(),
  })
  .meta({
    title: 'Zesty Lathe manual',
    description: 'One drive’s manual as data. Lengths are in mm, torque in N m, signals in V and mA.',
  })

export const manualFileSchema = z.strictObject({ format: z.literal(MANUAL_FORMAT), manual: manualSchema })

export type Manual = z.output<typeof manualSchema>
/** The same schema for a manual that was read before: what a file may leave out is there. */
export const keptManualSchema = manualSchema as unknown as z.ZodType<Manual, Manual>

export type ManualTerminal = Manual['terminals'][number]
export type ManualCode = Manual['codes'][number]
export type FactoryLink = Manual['factoryLinks'][number]

/** A manual of which nothing is known but the drive's name. */
export const emptyManual = (name: string): Manual => manualSchema.parse({ version: MANUAL_VERSION, name })

/** The group that a function belongs to. */
export const groupOf = (what: TerminalFunction): TerminalGroup => terminalFunctions[what].group
