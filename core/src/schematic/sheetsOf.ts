import { deviceOf, type Device, type DeviceRole, type Wire, type Wiring } from '../wiring/model'
import { layoutOf, type Held, type Layout } from './layout'
import { PAGE } from './measures'

/** One sheet: what it is called, and how it is laid out. */
export interface SchematicSheet {
  id: string
  name: string
  layout: Layout
}

/** The order in which power passes, left to right. */
const powerRank: readonly DeviceRole[][] = [
  ['supply'],
  ['leakage', 'transformer', 'plug'],
  ['isolator'],
  ['breaker'],
  ['contactor'],
  ['filter', 'choke', 'rectifier'],
  ['drive', 'box', 'shield-bar', 'strip', 'delay-relay'],
  ['output-filter'],
  ['motor-switch', 'reverser', 'field-relay'],
  ['overload'],
  ['connector'],
  [
    'motor',
    'resistor',
    'suppressor',
    'blower',
    'pump',
    'brake',
    'frame',
    'button',
    'stop',
    'switch',
    'guard',
    'flow',
    'pressure',
    'lamp',
    'controller',
    'pendant',
    'knob',
    'thermistor',
  ],
]

const rankOf = ({ role }: Device): number => powerRank.findIndex((roles) => roles.includes(role))

const DRIVE_RANK = powerRank.findIndex((roles) => roles.includes('drive'))

/** Sheets of a wiring in the order in which they are read; every wire is on exactly one. */
export function sheetsOf(wiring: Wiring): SchematicSheet[] {
  const of = (sheet: Wire['sheet']) => wiring.wires.filter((w) => w.sheet === sheet)
  return [...powerSheets(wiring, of('power')), ...controlSheets(wiring, of('control'))]
}

const fits = ({ width, height }: Layout): boolean =>
  width * PAGE.leastScale <= PAGE.width && height * PAGE.leastScale <= PAGE.height

/** Wall to motor on one sheet where it fits; else wall to drive, and drive to motor. */
function powerSheets(wiring: Wiring, wires: readonly Wire[]): SchematicSheet[] {
  const columns = powerColumns(wiring, wires)
  const held = heldOn(wiring, 'power')
  // What is far too large is not worth more than one try.
  if (fits(layoutOf(columns, wires, 1, held))) {
    const whole = layoutOf(columns, wires, undefined, held)
    if (fits(whole)) return [{ id: 'power', name: 'Power', layout: whole }]
  }
  const rank = new Map(wiring.devices.map((d) => [d.id, rankOf(d)]))
  const beyond = (w: Wire): boolean =>
    [w.from, w.to].some((end) => (rank.get(deviceOf(end)) ?? 0) > DRIVE_RANK) || w.group === 'earth'
  // What holds a contactor or feeds a blower is a circuit by itself.
  const aside = (w: Wire): boolean => w.group === 'stop' || w.group === 'load'
  const [before, behind] = [wires.filter((w) => !beyond(w) && !aside(w)), wires.filter((w) => beyond(w) && !aside(w))]
  const side = wires.filter(aside)
  return [
    { id: 'power', name: 'Wall to drive', wires: before },
    { id: 'power-2', name: 'Drive to motor, earths', wires: behind },
    { id: 'power-3', name: 'Side circuits', wires: side },
  ]
    .map(({ id, name, wires: own }) => ({
      id,
      name,
      layout: layoutOf(powerColumns(wiring, own), own, undefined, heldOn(wiring, id)),
    }))
    .filter(({ layout }) => layout.paths.length > 0)
}

/** Where devices stood on a sheet when the build began. */
const placesOn = ({ places }: Wiring, sheet: string): ReadonlyMap<string, number> =>
  new Map(
    Object.entries(places).flatMap(([key, place]) =>
      key.startsWith(`${sheet}/`) ? [[key.slice(sheet.length + 1), place] as const] : [],
    ),
  )

/** The same as their order from the top, whatever the side. */
const heldOn = (wiring: Wiring, sheet: string): Held =>
  new Map([...placesOn(wiring, sheet)].map(([device, place]) => [device, Math.abs(place)]))

const onSheet = (wiring: Wiring, wires: readonly Wire[]): Device[] => {
  const used = new Set(wires.flatMap(({ from, to }) => [deviceOf(from), deviceOf(to)]))
  return wiring.devices.filter(({ id }) => used.has(id))
}

/** One column for each rank that is there. */
function powerColumns(wiring: Wiring, wires: readonly Wire[]): Device[][] {
  const devices = onSheet(wiring, wires)
  return powerRank.map((_, rank) => devices.filter((d) => rankOf(d) === rank)).filter((column) => column.length > 0)
}

/** Everything to one sheet where it fits; else run and speed, then stop, guard and what the drive switches. */
function controlSheets(wiring: Wiring, wires: readonly Wire[]): SchematicSheet[] {
  if (wires.length === 0) return []
  const whole = bestSides(wiring, wires, 'control')
  if (fits(whole)) return [{ id: 'control', name: 'Control', layout: whole }]
  const run = wires.filter((w) => w.group === 'run')
  const rest = wires.filter((w) => w.group !== 'run')
  return [
    { id: 'control', name: 'Run and speed', wires: run },
    { id: 'control-2', name: 'Stop, guard, switched', wires: rest },
  ]
    .filter((sheet) => sheet.wires.length > 0)
    .map(({ id, name, wires: own }) => ({ id, name, layout: bestSides(wiring, own, id) }))
}

const inMiddle = new Set<DeviceRole>(['drive', 'strip', 'shield-bar', 'delay-relay'])
/** What a hand is on, and so stands left. */
const byHand = new Set<DeviceRole>(['knob', 'switch', 'button', 'pendant', 'controller'])
/** More ways of sharing the sides than this are not tried one by one. */
const MOST_TRIED = 24
const CROSSING_MM = 4

/** The drive in the middle, what is at hand left, the rest right; of the ways to share them the smallest sheet with few crossings. */
function bestSides(wiring: Wiring, wires: readonly Wire[], sheet: string): Layout {
  const devices = onSheet(wiring, wires)
  const outer = devices.filter(({ role }) => !inMiddle.has(role))
  const middle = devices.filter(({ role }) => inMiddle.has(role))
  const placed = placesOn(wiring, sheet)
  const held = heldOn(wiring, sheet)
  const isLeft = ({ id, role }: Device): boolean => {
    const place = placed.get(id)
    return place === undefined ? byHand.has(role) : place < 0
  }
  const left = outer.filter(isLeft)
  const right = outer.filter((device) => !isLeft(device))
  const columnsFor = (l: readonly Device[], r: readonly Device[]) => [l, middle, r].filter((c) => c.length > 0)
  let best = layoutOf(columnsFor(left, right), wires, 1, held)
  const worth = ({ width, height, crossings, together }: Layout): number =>
    Math.max(height / 172, width / 270) * 100 + crossings * CROSSING_MM + together * 1000
  // One device over to the other side, as long as that helps: hands stay left where it does not.
  let sides = { left, right }
  for (let tried = 0; tried < MOST_TRIED;) {
    let better: typeof sides | undefined
    for (const device of outer) {
      // What stood there when the build began stays on its side.
      if (placed.has(device.id)) continue
      tried += 1
      const next = sides.left.includes(device)
        ? { left: sides.left.filter((d) => d !== device), right: [...sides.right, device] }
        : { left: [...sides.left, device], right: sides.right.filter((d) => d !== device) }
      const layout = layoutOf(columnsFor(next.left, next.right), wires, 1, held)
      if (worth(layout) < worth(best) - 1) {
        best = layout
        better = next
      }
    }
    if (!better) break
    sides = better
  }
  return layoutOf(columnsFor(sides.left, sides.right), wires, undefined, held)
}
