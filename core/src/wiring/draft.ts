import { colourFor, coresOf, type ConductorColour, type Region } from './conductors'
import {
  deviceOf,
  endOf,
  terminalOf,
  type Cable,
  type Device,
  type End,
  type Sheet,
  type Terminal,
  type TerminalClass,
  type Wire,
  type WireGroup,
  type WireKind,
} from './model'

/** Wires that one screw takes before a strip is wanted; one that takes a single wire gets both in a twin ferrule. */
const UNDER_A_SCREW = 2

/** Ends that belong on one potential, and what for. */
export interface NetWish {
  key: string
  purpose: string
  group: WireGroup
  sheet: Sheet
  class: TerminalClass
  kind?: WireKind
  /** The first is the hub, mostly the drive's terminal. */
  ends: readonly End[]
  colour?: ConductorColour | undefined
  areaMm2?: number | undefined
  lengthM?: number | undefined
  dead: string
  live: string
}

export interface CableWish {
  text: string
  shielded?: boolean
}

/** A wiring while it is put together: devices first, then what is to be joined, then the wires that do it. */
export class Draft {
  readonly devices = new Map<string, Device>()
  readonly wires: Omit<Wire, 'number'>[] = []
  readonly cables = new Map<string, Cable>()
  private readonly cableWishes = new Map<string, CableWish>()
  private readonly used = new Map<End, number>()
  private readonly coresUsed = new Map<string, number>()
  private rows = 0

  constructor(readonly region: Region) {}

  /** Puts a device there; what runs to it from another place goes in a cable of its own. */
  add(device: Device, cable?: CableWish): Device {
    this.devices.set(device.id, device)
    if (cable) this.cableWishes.set(device.id, cable)
    return device
  }

  terminal(end: End): Terminal | undefined {
    return this.devices.get(deviceOf(end))?.terminals.find(({ id }) => id === terminalOf(end))
  }

  /** Joins ends: device by device from the hub, within a device from screw to screw; by a strip where too many meet. */
  join(wish: NetWish): void {
    const [hub, ...others] = wish.ends
    if (hub === undefined || others.length === 0) return
    const byDevice = new Map<string, End[]>()
    for (const end of others) byDevice.set(deviceOf(end), [...(byDevice.get(deviceOf(end)) ?? []), end])
    // What stands on the hub's own device is linked there.
    const own = byDevice.get(deviceOf(hub)) ?? []
    byDevice.delete(deviceOf(hub))
    let count = 0
    const wire = (from: End, to: End, kind = wish.kind ?? 'wire') => {
      count += 1
      this.lay({ ...wish, kind }, from, to, `${wish.key}/${count}`)
    }
    let last = hub
    for (const end of own) {
      wire(last, end, wish.kind === 'earth' ? 'earth' : 'link')
      last = end
    }
    const branches = [...byDevice.values()]
    const room = (this.terminal(hub)?.wires ?? 1) > UNDER_A_SCREW ? (this.terminal(hub)?.wires ?? 1) : UNDER_A_SCREW
    const free = room - (this.used.get(hub) ?? 0)
    const starts =
      branches.length <= free || wish.kind === 'earth'
        ? branches.map(() => hub)
        : this.strip(wish, hub, branches.length, wire)
    branches.forEach((ends, i) => {
      let at = starts[i] ?? hub
      ends.forEach((end, k) => {
        wire(at, end, k === 0 ? (wish.kind ?? 'wire') : 'link')
        at = end
      })
    })
  }

  /** Rows of the joining strip for one net: the hub's own, and one for each branch, joined by the strip's bridge. */
  private strip(wish: NetWish, hub: End, branches: number, wire: (from: End, to: End) => void): End[] {
    const strip =
      this.devices.get('strip') ??
      this.add({
        id: 'strip',
        role: 'strip',
        place: 'box',
        name: 'Joining strip',
        short: 'Strip',
        terminals: [],
        inside: [],
      })
    const rows = Array.from({ length: Math.ceil((branches + 1) / 2) }, (_, i): Terminal => ({
      id: `${wish.key}-${i + 1}`,
      prints: String(this.rows + i + 1),
      note: i === 0 ? wish.purpose : 'bridged',
      class: wish.class,
      side: 'any',
      wires: UNDER_A_SCREW,
      needed: true,
    }))
    this.rows += rows.length
    strip.terminals.push(...rows)
    strip.inside.push({ kind: 'joined', between: rows.map(({ id }) => id) })
    const places = rows.flatMap(({ id }) => [endOf('strip', id), endOf('strip', id)])
    const [first, ...rest] = places
    if (first) wire(hub, first)
    return rest
  }

  private lay(wish: NetWish & { kind: WireKind }, from: End, to: End, key: string): void {
    for (const end of [from, to]) this.used.set(end, (this.used.get(end) ?? 0) + 1)
    const cable = wish.kind === 'link' ? undefined : this.cableFor(from, to, wish.areaMm2)
    this.wires.push({
      key,
      from,
      to,
      kind: wish.kind,
      class: wish.class,
      sheet: wish.sheet,
      purpose: wish.purpose,
      colour: wish.kind === 'link' ? this.linkColour(wish) : this.colourOf(wish, cable),
      areaMm2: wish.areaMm2,
      cable,
      lengthM: wish.kind === 'link' ? undefined : wish.lengthM,
      ends: this.endsOf(wish, from, to),
      dead: wish.dead,
      live: wish.live,
      group: wish.group,
    })
  }

  private linkColour(wish: NetWish): ConductorColour {
    return wish.colour ?? colourFor(this.region, 'dc')
  }

  /** A cable's cores are told apart by their colours; loose wire in the box has the colour of its task. */
  private colourOf(wish: NetWish & { kind: WireKind }, cable: string | undefined): ConductorColour {
    if (wish.kind === 'shield') return 'SH'
    if (wish.kind === 'earth') return colourFor(this.region, 'PE')
    if (wish.colour !== undefined) return wish.colour
    if (cable === undefined) return colourFor(this.region, 'dc')
    const cores = coresOf(this.region)
    const used = this.coresUsed.get(cable) ?? 0
    this.coresUsed.set(cable, used + 1)
    return cores[used % cores.length] ?? 'WH'
  }

  /** The cable of the outer device, where a wire leaves a place or goes to another device on the machine. */
  private cableFor(from: End, to: End, areaMm2: number | undefined): string | undefined {
    const outer = [to, from].map(deviceOf).find((id) => this.cableWishes.has(id))
    if (outer === undefined || deviceOf(from) === deviceOf(to)) return undefined
    const id = `cable-${outer}`
    const wish = this.cableWishes.get(outer)
    const there = this.cables.get(id)
    this.cables.set(id, {
      id,
      device: outer,
      text: wish?.text ?? '',
      shielded: wish?.shielded ?? false,
      cores: (there?.cores ?? 0) + 1,
      areaMm2: there?.areaMm2 ?? areaMm2,
    })
    return id
  }

  private endsOf({ kind, class: of }: NetWish & { kind: WireKind }, from: End, to: End): string {
    if (kind === 'shield') return 'clamped all round'
    const cup = [from, to].some((end) => this.devices.get(deviceOf(end))?.role === 'connector')
    if (kind === 'earth') return cup ? 'soldered in its cup; ring at the stud' : 'ring or ferrule, tugged'
    if (cup) return 'soldered in its cup, a sleeve over it'
    const twin = [from, to].filter(
      (end) => (this.used.get(end) ?? 0) > (this.terminal(end)?.wires ?? 1) && deviceOf(end) === 'drive',
    )
    if (twin.length > 0) return 'twin ferrule at the drive, ferrule'
    return of === 'power' && [from, to].some((end) => deviceOf(end) === 'motor')
      ? 'ferrule; ring at the stud'
      : 'ferrule'
  }
}
