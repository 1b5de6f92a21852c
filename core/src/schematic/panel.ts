import { enclosureHeat } from '../drive'
import type { Drawing, Shape } from '../drawing/shapes'
import { fitText } from '../drawing/textWidth'
import type { Plan } from '../plan'
import type { Device, DeviceRole, Wiring } from '../wiring/model'

/** Widths on the rail in mm: modules of 17.5 mm (DIN 43880), a contactor of four poles 45 mm. */
const onRail: Partial<Record<DeviceRole, { w: number; h: number }>> = {
  isolator: { w: 52.5, h: 90 },
  breaker: { w: 35, h: 90 },
  contactor: { w: 45, h: 80 },
  overload: { w: 45, h: 90 },
  'field-relay': { w: 35, h: 80 },
}
const onPlate: Partial<Record<DeviceRole, { w: number; h: number }>> = {
  filter: { w: 60, h: 150 },
  choke: { w: 80, h: 90 },
  'output-filter': { w: 90, h: 120 },
  resistor: { w: 60, h: 160 },
  suppressor: { w: 40, h: 60 },
  reverser: { w: 90, h: 90 },
  rectifier: { w: 120, h: 120 },
}
const GAP = 12
const EDGE = 25
const GLAND_H = 30
/** Only the rise is told, which does not hang on it. */
const USUAL_ROOM_C = 25
/** A drive of which the manual gives no size. */
const UNKNOWN_DRIVE = { w: 110, h: 190, d: 150, above: 100, below: 100, beside: 30 }

export interface PanelPlan {
  drawing: Drawing
  /** The smallest plate that holds everything with its air, in mm. */
  widthMm: number
  heightMm: number
  depthMm: number
  /** Over the room, at the drive's loss; not known where the loss is not. */
  riseK: number | undefined
  lossW: number | undefined
  /** Sizes that are not of this drive's manual. */
  assumed: boolean
  key: { number: number; name: string }[]
}

/**
 * The plate of the box: devices of the rail on top, filter and drive with the air that the manual wants round it, strip and
 * glands below; and how warm such a box gets, by the same rule as the box that is there.
 *
 * @param workedOutW losses at this motor's full load, where they are known; the manual's own else
 */
export function panelOf(plan: Plan, wiring: Wiring, workedOutW?: number): PanelPlan {
  const outline = plan.manual?.outline
  const drive = outline
    ? {
        w: outline.widthMm,
        h: outline.heightMm,
        d: outline.depthMm,
        above: outline.aboveMm ?? UNKNOWN_DRIVE.above,
        below: outline.belowMm ?? UNKNOWN_DRIVE.below,
        beside: outline.besideMm ?? UNKNOWN_DRIVE.beside,
      }
    : UNKNOWN_DRIVE
  const inBox = wiring.devices.filter((d) => d.place === 'box')
  const rail = inBox.filter((d) => onRail[d.role] !== undefined)
  const plate = inBox.filter((d) => onPlate[d.role] !== undefined)
  const railW = rail.reduce((sum, d) => sum + (onRail[d.role]?.w ?? 0), 0)
  const plateW = plate.reduce((sum, d) => sum + (onPlate[d.role]?.w ?? 0) + GAP, 0)
  const driveBand = Math.max(drive.h + drive.above + drive.below, ...plate.map((d) => onPlate[d.role]?.h ?? 0))
  const railH = rail.length > 0 ? 90 + GAP : 0
  const widthMm = roundUp(Math.max(railW, plateW + drive.w + 2 * drive.beside) + 2 * EDGE)
  const heightMm = roundUp(EDGE + railH + driveBand + GAP + 50 + GLAND_H)
  const depthMm = roundUp(drive.d + 40)
  const lossW = workedOutW ?? outline?.lossW
  const { boxMaterial: material, roomC = USUAL_ROOM_C } = plan.installation
  const heat =
    lossW === undefined
      ? undefined
      : enclosureHeat.run({ lossW, widthMm, heightMm, depthMm, roomC, ...(material === undefined ? {} : { material }) })
  const scale = Math.min(1, 250 / widthMm, 180 / heightMm)
  const key: PanelPlan['key'] = []
  const shapes: Shape[] = [
    {
      kind: 'rect',
      x: 2,
      y: 2,
      w: widthMm * scale,
      h: heightMm * scale,
      r: 2,
      fill: 'card',
      stroke: 'ink',
      width: 0.8,
    },
  ]
  const put = (device: Device, x: number, y: number, w: number, h: number) => {
    const number = key.length + 1
    key.push({ number, name: device.name })
    const [sx, sy, sw, sh] = [2 + x * scale, 2 + y * scale, w * scale, h * scale]
    shapes.push({
      kind: 'group',
      of: 'device',
      id: device.id,
      shapes: [
        { kind: 'rect', x: sx, y: sy, w: sw, h: sh, r: 1, fill: 'band', stroke: 'ink', width: 0.5 },
        {
          kind: 'text',
          x: sx + sw / 2,
          y: sy + sh / 2 + 1.6,
          text: String(number),
          size: 5,
          weight: 600,
          anchor: 'middle',
        },
        ...(sw > 24
          ? [
              {
                kind: 'text' as const,
                x: sx + sw / 2,
                y: sy + sh / 2 + 6,
                text: fitText(device.name, 3.4, sw - 2),
                size: 3.4,
                anchor: 'middle' as const,
                paint: 'ink-2' as const,
              },
            ]
          : []),
      ],
    })
  }
  let x = EDGE
  for (const d of rail) {
    const size = onRail[d.role]
    if (!size) continue
    put(d, x, EDGE, size.w, size.h)
    x += size.w
  }
  const top = EDGE + railH
  x = EDGE
  for (const d of plate) {
    const size = onPlate[d.role]
    if (!size) continue
    put(d, x, top + drive.above, size.w, size.h)
    x += size.w + GAP
  }
  const driveDevice = inBox.find((d) => d.role === 'drive')
  if (driveDevice) {
    const dx = x + drive.beside
    shapes.push({
      kind: 'rect',
      x: 2 + (dx - drive.beside) * scale,
      y: 2 + top * scale,
      w: (drive.w + 2 * drive.beside) * scale,
      h: (drive.h + drive.above + drive.below) * scale,
      stroke: 'blue',
      width: 0.4,
      dash: '2 1.5',
      fill: 'none',
    })
    put(driveDevice, dx, top + drive.above, drive.w, drive.h)
  }
  wiring.cables.forEach((cable, i) => {
    const gx = EDGE + 20 + i * 34
    if (gx < widthMm - EDGE)
      shapes.push({
        kind: 'circle',
        x: 2 + gx * scale,
        y: 2 + (heightMm - GLAND_H / 2) * scale,
        r: 8 * scale,
        fill: 'card',
        stroke: cable.device === 'motor' ? 'ink' : 'ink-2',
        width: 0.5,
      })
  })
  shapes.push({
    kind: 'text',
    x: 2,
    y: heightMm * scale + 8,
    text: `${widthMm} x ${heightMm} x ${depthMm} mm`,
    size: 4.2,
    weight: 600,
  })
  return {
    drawing: { width: widthMm * scale + 4, height: heightMm * scale + 12, shapes },
    widthMm,
    heightMm,
    depthMm,
    riseK: heat?.ok === true ? heat.value.riseK : undefined,
    lossW,
    assumed: outline === undefined,
    key,
  }
}

const roundUp = (mm: number): number => Math.ceil(mm / 10) * 10
