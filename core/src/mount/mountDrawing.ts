import type { WorkDrawing } from '../drawing/primitives'
import type { Plan } from '../plan'
import { bracketDrawing } from './bracket'
import { feetOf, plateHoles } from './feet'
import { BEFORE_DRILLING, beltEdge, EDGE, fourHoles, MARGIN, mm, rectangle, words } from './outline'

/**
 * What is made between an old machine and a new motor, drawn: a bracket where that is what it sits on, else the plate or
 * riser with the machine's holes, and slots for the motor's feet as long as the belt wants. Undefined while its sizes
 * are not known.
 */
export function mountDrawing(plan: Plan): { name: string; drawing: WorkDrawing } | undefined {
  if (plan.mount.seat === 'bracket') {
    const drawing = bracketDrawing(plan)
    return drawing && { name: 'Bracket', drawing }
  }
  const drawing = plateDrawing(plan)
  return drawing && { name: plan.mount.seat === 'riser' ? 'Riser' : 'Mounting plate', drawing }
}

function plateDrawing(plan: Plan): WorkDrawing | undefined {
  const { old, next } = feetOf(plan)
  const raise = (old.heightMm ?? 0) - (next.heightMm ?? 0)
  const isRiser = plan.mount.seat === 'riser' && old.heightMm !== undefined && next.heightMm !== undefined && raise > 0
  const thick = isRiser ? raise : plan.mount.plateMm
  const [machine, motor] = [plateHoles(old), plateHoles(next)]
  if (!machine || !motor) return undefined
  const bolt = plan.mount.boltMm ?? 10
  const travel = plan.mount.travelMm ?? 0
  const hole = bolt + 1
  const wide = Math.max(machine.acrossMm, motor.acrossMm + travel) + 2 * (EDGE + hole / 2)
  const long = Math.max(machine.alongMm, motor.alongMm) + 2 * (EDGE + hole / 2)
  const [cx, cy] = [MARGIN + wide / 2, MARGIN + long / 2]
  return {
    width: Math.max(wide + 2 * MARGIN, 190),
    height: long + 2 * MARGIN,
    primitives: [
      ...rectangle(MARGIN, MARGIN, wide, long),
      ...fourHoles(cx, cy, machine, hole),
      ...fourHoles(cx, cy, motor, hole, travel),
      words(
        cx,
        MARGIN - 12,
        `${isRiser ? 'Riser' : 'Plate'} ${mm(wide)} x ${mm(long)}${thick === undefined ? '' : `, ${mm(thick)} thick`}`,
      ),
      words(
        cx,
        MARGIN + long + 8,
        `Machine: holes ${mm(machine.acrossMm)} x ${mm(machine.alongMm)}; motor: slots ${mm(motor.acrossMm)} x ${mm(motor.alongMm)}, travel ${mm(travel)}, bolts ${mm(bolt)}`,
      ),
      ...beltEdge(cx, cy, MARGIN + long),
      words(cx, MARGIN + long + 15, BEFORE_DRILLING),
    ],
  }
}
