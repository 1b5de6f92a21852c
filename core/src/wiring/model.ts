import type { TerminalFunction } from '../manual/terminalFunctions'

/** Where a device stands: at the wall, in the drive's box (or at the drive), on the machine. */
export const devicePlaces = { wall: 'At the wall', box: 'In the box', machine: 'On the machine' } as const
export type DevicePlace = keyof typeof devicePlaces

/** What a device is to the circuit; the order is that in which power passes. */
export const deviceRoles = {
  supply: 'Supply',
  plug: 'Plug and socket',
  isolator: 'Isolator',
  breaker: 'Fuse or breaker',
  leakage: 'Earth-leakage device',
  transformer: 'Transformer or converter',
  contactor: 'Supply contactor',
  filter: 'Filter',
  choke: 'Choke',
  drive: 'Drive',
  'output-filter': 'Filter behind the drive',
  'motor-switch': 'Switch at the motor',
  overload: 'Overload of one motor',
  connector: 'Round connector',
  motor: 'Motor',
  resistor: 'Brake resistor',
  blower: 'Blower',
  pump: 'Coolant pump',
  brake: 'Spring brake',
  'delay-relay': 'Delay relay',
  'field-relay': 'Field relay',
  suppressor: 'Suppressor of the field',
  reverser: 'Reversing switch',
  rectifier: 'Rectifier and capacitors',
  knob: 'Speed knob',
  switch: 'Switch',
  button: 'Button',
  stop: 'Emergency stop',
  guard: 'Guard switch',
  flow: 'Flow switch',
  pressure: 'Pressure switch',
  thermistor: 'Thermistor',
  lamp: 'Lamp',
  controller: 'CNC controller',
  pendant: 'Pendant',
  strip: 'Joining strip',
  'shield-bar': 'Shield bar',
  bar: 'Earth bar',
  frame: 'Machine frame',
  box: 'Box and door',
} as const
export type DeviceRole = keyof typeof deviceRoles

export type TerminalClass = 'power' | 'control'

/** What fixes a terminal's potential. Two of them on one net is a fault, whatever the net is for. */
export type Potential =
  | 'L1'
  | 'L2'
  | 'L3'
  | 'N'
  | 'PE'
  | 'U'
  | 'V'
  | 'W'
  | 'arm1'
  | 'arm2'
  | 'field1'
  | 'field2'
  | 'direct+'
  | 'direct-'
  | 'hall+'
  | 'bus+'
  | 'bus-'
  | 'brake'
  | '24V'
  | '0V'
  | 'ref+'
  | 'sto'
  | 'A'
  | 'B'
  | 'a0V'

export const isMains = (p: Potential | undefined): boolean => p === 'L1' || p === 'L2' || p === 'L3' || p === 'N'
export const isLive = (p: Potential | undefined): boolean => p === 'L1' || p === 'L2' || p === 'L3'
export const isBus = (p: Potential | undefined): boolean => p === 'bus+' || p === 'bus-' || p === 'brake'
const ofMotors: ReadonlySet<Potential> = new Set(['U', 'V', 'W', 'arm1', 'arm2', 'field1', 'field2'])
/** Whether it comes from the motor's side of a drive, whatever the motor. */
export const isMotor = (p: Potential | undefined): boolean => p !== undefined && ofMotors.has(p)

export interface Terminal {
  /** Within its device. */
  id: string
  /** As it is printed there. */
  prints: string
  note?: string | undefined
  class: TerminalClass
  side: 'in' | 'out' | 'any'
  potential?: Potential | undefined
  /** What a drive's terminal does, under the settings that the wiring wants. */
  does?: TerminalFunction | undefined
  /** Only assumed, as nothing printed is known. */
  assumed?: boolean
  /** Wires that go under it. */
  wires: number
  /** Whether it must have a wire. */
  needed?: boolean
  /** A shield that is cut and taped back here. */
  cut?: boolean
}

export const insideKinds = {
  opens: 'contact that opens',
  closes: 'contact that closes',
  coil: 'coil',
  knob: 'resistance of the knob',
  fuse: 'fuse or breaker',
  through: 'way through',
  joined: 'joined inside',
  winding: 'winding',
  lamp: 'lamp',
  resistance: 'resistance',
} as const
export type InsideKind = keyof typeof insideKinds

/** What lies between terminals of one device. */
export interface Inside {
  kind: InsideKind
  between: readonly string[]
  /** What it is called where one device has several: F, R. */
  name?: string
}

export interface Device {
  id: string
  role: DeviceRole
  place: DevicePlace
  name: string
  /** Of at most twelve letters, for a phone. */
  short: string
  line2?: string | undefined
  terminals: Terminal[]
  inside: Inside[]
}

/** One end of a wire: `drive.u`. */
export type End = `${string}.${string}`

/** The name of a device's terminal, as wires name their ends. */
export const endOf = (device: string, terminal: string): End => `${device}.${terminal}`
/** The device of an end. */
export const deviceOf = (end: End): string => end.slice(0, end.indexOf('.'))
/** The terminal of an end, within its device. */
export const terminalOf = (end: End): string => end.slice(end.indexOf('.') + 1)

export const wireKinds = { wire: 'Wire', link: 'Link', earth: 'Earth', shield: 'Shield' } as const
export type WireKind = keyof typeof wireKinds

export const sheets = { power: 'Power', control: 'Control', box: 'Motor box' } as const
export type Sheet = keyof typeof sheets

export interface Wire {
  /** Stays the same while the plan's choices do: what it is for, and which of several. */
  key: string
  number: number
  from: End
  to: End
  kind: WireKind
  class: TerminalClass
  sheet: Sheet
  purpose: string
  /** Key of `conductorColours`. */
  colour: string
  areaMm2: number | undefined
  cable: string | undefined
  lengthM: number | undefined
  /** How its ends are made. */
  ends: string
  /** What is read on it dead, and live; live without anybody at bare live parts. */
  dead: string
  live: string
  /** Which part of the build it belongs to. */
  group: WireGroup
  /** Changed by hand, and how. */
  byHand?: string
}

/** In the order in which they are built. */
export const wireGroups = {
  earth: 'Frame, motor and drive bonded',
  motor: 'Motor box and motor cable',
  supply: 'Supply to the drive',
  run: 'Run and speed',
  stop: 'Stop and guard',
  load: 'What the drive switches',
} as const
export type WireGroup = keyof typeof wireGroups

export interface Cable {
  id: string
  /** The outer device that it serves. */
  device: string
  text: string
  shielded: boolean
  cores: number
  areaMm2: number | undefined
}

/** A wish of the plan that this drive has no terminal for. */
export interface Lack {
  does: TerminalFunction
  why: string
}

/** One line that the wiring wants entered in the drive. */
export interface WantedLine {
  code: string
  value: string
  words: string
  means: string
}

/** The wiring of one machine: what there is, what is joined to what, and what this drive lacks for it. */
export interface Wiring {
  devices: Device[]
  wires: Wire[]
  cables: Cable[]
  lacks: Lack[]
  lines: WantedLine[]
  /** Links fitted at the factory that come out, and those that stay. */
  linksOut: { from: string; to: string; why: string }[]
  linksIn: { from: string; to: string; why: string }[]
  /** Jumpers and the position that they want. */
  jumpers: { prints: string; position: string; why: string }[]
  /** Where cards stood when the build began, by sheet and device: what is drawn keeps to it. */
  places: Readonly<Record<string, number>>
  /** Changes by hand that could not be kept, and why. */
  refused: { id: string; wire: string; why: string }[]
  /** What stays open on the drive and is told: taped, capped, insulated. */
  region: 'iec' | 'nec'
  logic: 'sink' | 'source'
  /** Whether the drive's terminals are as printed, or some are only assumed. */
  assumed: boolean
}
