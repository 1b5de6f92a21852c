import type { WorkDrawing } from '@zesty/core/dial'
import { layers, type Layer } from '@zesty/core/dial'
import { Colors, DxfWriter, point3d, TextHorizontalAlignment, TextVerticalAlignment, Units } from '@tarikjabiri/dxf'

const colours: Record<Layer, number> = {
  cut: Colors.White,
  mark: Colors.White,
  words: Colors.White,
  danger: Colors.Red,
  size: Colors.Cyan,
  check: Colors.Green,
}

/** A workshop drawing as a DXF file in millimetres, a layer for each kind of line. */
export function toDxf({ height, primitives }: WorkDrawing): string {
  const dxf = new DxfWriter()
  dxf.setUnits(Units.Millimeters)
  for (const [layer, name] of Object.entries(layers)) dxf.addLayer(name, colours[layer as Layer], 'CONTINUOUS')
  // Its y runs up, its angles count from the right, against the clock.
  const at = (x: number, y: number) => point3d(x, height - y, 0)
  for (const p of primitives) {
    dxf.setCurrentLayerName(layers[p.layer])
    switch (p.kind) {
      case 'line':
        dxf.addLine(at(p.x1, p.y1), at(p.x2, p.y2))
        break
      case 'circle':
        dxf.addCircle(at(p.x, p.y), p.r)
        break
      case 'arc': {
        const [from, to] = [Math.min(p.fromDeg, p.toDeg), Math.max(p.fromDeg, p.toDeg)]
        dxf.addArc(at(p.x, p.y), p.r, upright(90 - to), upright(90 - from))
        break
      }
      case 'text': {
        const horizontalAlignment =
          p.anchor === 'middle'
            ? TextHorizontalAlignment.Center
            : p.anchor === 'end'
              ? TextHorizontalAlignment.Right
              : TextHorizontalAlignment.Left
        dxf.addText(at(p.x, p.y), p.size * 0.7, p.text, {
          horizontalAlignment,
          verticalAlignment: TextVerticalAlignment.BaseLine,
          ...(horizontalAlignment === TextHorizontalAlignment.Left ? {} : { secondAlignmentPoint: at(p.x, p.y) }),
        })
      }
    }
  }
  return dxf.stringify()
}

const upright = (deg: number): number => ((deg % 360) + 360) % 360
