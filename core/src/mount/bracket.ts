import type { Primitive, WorkDrawing } from '../drawing/primitives'
import type { Plan } from '../plan'
import { feetOf, plateHoles } from './feet'
import { BEFORE_DRILLING, beltEdge, EDGE, fourHoles, MARGIN, mm, rectangle, TEXT, words } from './outline'

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
  const pieces: { name: string; wide: number; inside: (cx: number, cy: number) => Primitive[] }[] = [
    {
      name: 'Top, under the motor',
      wide: motor.acrossMm + travel + room,
      inside: (cx, cy) => [...fourHoles(cx, cy, motor, hole, travel), ...beltEdge(cx, cy, top + long, size)],
    },
    {
      name: 'Base, on the machine',
      wide: machine.acrossMm + room,
      inside: (cx, cy) => fourHoles(cx, cy, machine, hole),
    },
    { name: 'Web, two of them', wide: webMm, inside: () => [] },
  ]
  // Read at the same size whatever the size of the bracket: three pieces beside each other make a wide sheet.
  const size = Math.max(TEXT, pieces.reduce((sum, { wide }) => sum + wide + MARGIN, MARGIN) / TEXTS_ACROSS)
  const column = (wide: number) => Math.max(wide, NAME * size)
  const width = pieces.reduce((sum, { wide }) => sum + column(wide) + MARGIN, MARGIN)
  const top = MARGIN + 2 * size
  const primitives: Primitive[] = []
  let x = MARGIN
  for (const { name, wide, inside } of pieces) {
    const cx = x + column(wide) / 2
    primitives.push(
      ...rectangle(cx - wide / 2, top, wide, long),
      words(cx, top - 2.2 * size, name, 'size', size),
      words(cx, top - 0.8 * size, `${mm(wide)} x ${mm(long)} x ${mm(plateMm)}`, 'size', size),
      ...inside(cx, top + long / 2),
    )
    x += column(wide) + MARGIN
  }
  const notes = [
    `Top: slots ${mm(motor.acrossMm)} x ${mm(motor.alongMm)}, travel ${mm(travel)}; base: holes ${mm(machine.acrossMm)} x ${mm(machine.alongMm)}; bolts ${mm(bolt)}`,
    `Webs along the shaft, under the rows of feet; height over all ${mm(webMm + 2 * plateMm)}`,
    BEFORE_DRILLING,
  ]
  notes.forEach((note, i) => primitives.push(words(width / 2, top + long + (1.8 + 1.5 * i) * size, note, 'size', size)))
  return { width, height: top + long + (2.6 + 1.5 * notes.length) * size, primitives }
}

/** Heights of a letter that go into the width of a sheet. */
const TEXTS_ACROSS = 45
/** Width of the longest name of a piece, in heights of a letter. */
const NAME = 9.5
