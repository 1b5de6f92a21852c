import type { Primitive, WorkDrawing } from '../drawing/primitives'
import type { Plan } from '../plan'
import { feetOf, plateHoles } from './feet'
import { BEFORE_DRILLING, beltEdge, EDGE, fourHoles, MARGIN, mm, rectangle, words } from './outline'

/** How high a bracket stands: as measured, else what brings the new shaft to the height of the old one. */
export function bracketHeight(plan: Plan): number | undefined {
  if (plan.mount.bracketMm !== undefined) return plan.mount.bracketMm
  const { old, next } = feetOf(plan)
  if (old.heightMm === undefined || next.heightMm === undefined) return undefined
  const raise = old.heightMm - next.heightMm
  return raise > 0 ? raise : undefined
}

/** Height of the webs between base and top; undefined while height or thickness is not known, 0 where there is no room for any. */
export function webHeight(plan: Plan): number | undefined {
  const [heightMm, plateMm] = [bracketHeight(plan), plan.mount.plateMm]
  return heightMm === undefined || plateMm === undefined ? undefined : Math.max(0, heightMm - 2 * plateMm)
}

/**
 * A bracket of four pieces: a top with slots for the motor's feet, a base with the machine's holes, and two webs that
 * stand between them along the shaft. Undefined while its sizes are not known, or where two plates alone are higher
 * than it.
 */
export function bracketDrawing(plan: Plan): WorkDrawing | undefined {
  const { old, next } = feetOf(plan)
  const [machine, motor] = [plateHoles(old), plateHoles(next)]
  const [webMm, plateMm] = [webHeight(plan), plan.mount.plateMm]
  if (!machine || !motor || plateMm === undefined || webMm === undefined || webMm === 0) return undefined
  const bolt = plan.mount.boltMm ?? 10
  const travel = plan.mount.travelMm ?? 0
  const hole = bolt + 1
  const room = 2 * (EDGE + hole / 2)
  const long = Math.max(machine.alongMm, motor.alongMm) + room
  const [topWide, baseWide] = [motor.acrossMm + travel + room, machine.acrossMm + room]
  const primitives: Primitive[] = []
  let x = MARGIN
  /** One piece beside the last, its name over it. */
  const piece = (name: string, wide: number, high: number, inside: (cx: number, cy: number) => Primitive[]) => {
    // A narrow piece stands apart by the width of its name.
    const column = Math.max(wide, NAME)
    const left = x + (column - wide) / 2
    primitives.push(...rectangle(left, MARGIN, wide, high), words(left + wide / 2, MARGIN - 12, name))
    primitives.push(words(left + wide / 2, MARGIN - 5, `${mm(wide)} x ${mm(high)} x ${mm(plateMm)}`))
    primitives.push(...inside(left + wide / 2, MARGIN + high / 2))
    x += column + MARGIN
  }
  piece('Top, under the motor', topWide, long, (cx, cy) => [
    ...fourHoles(cx, cy, motor, hole, travel),
    ...beltEdge(cx, cy, MARGIN + long),
  ])
  piece('Base, on the machine', baseWide, long, (cx, cy) => fourHoles(cx, cy, machine, hole))
  piece('Web, two of them', webMm, long, () => [])
  const cx = x / 2
  const lowest = MARGIN + long
  primitives.push(
    words(
      cx,
      lowest + 8,
      `Top: slots ${mm(motor.acrossMm)} x ${mm(motor.alongMm)}, travel ${mm(travel)}; base: holes ${mm(machine.acrossMm)} x ${mm(machine.alongMm)}; bolts ${mm(bolt)}`,
    ),
    words(cx, lowest + 15, `Webs along the shaft, under the rows of feet; height over all ${mm(webMm + 2 * plateMm)}`),
    words(cx, lowest + 22, BEFORE_DRILLING),
  )
  return { width: Math.max(x, 210), height: lowest + 22 + MARGIN / 2, primitives }
}

/** As wide as the longest name of a piece, mm. */
const NAME = 52
