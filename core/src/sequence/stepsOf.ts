import type { Plan } from '../plan'
import type { Wire, WireGroup, Wiring } from '../wiring/model'
import type { Add } from './adding'
import { arriving, bonding } from './arriving'
import { controlling } from './controlling'
import { powering } from './powering'
import { finishing, proving } from './proving'
import { spinning } from './spinning'
import type { BuildStep } from './step'

/**
 * The work in the order in which people truly do it, a step at a time: from the parcel to a machine that may be used. What
 * this machine has not got is not asked of it.
 *
 * @param firstLines lines of the settings card that stand before a first spin, printed; none where it holds them all
 */
export function stepsOf(plan: Plan, wiring: Wiring, firstLines?: readonly string[]): BuildStep[] {
  const steps: BuildStep[] = []
  const step: Add = (made) => void steps.push({ wires: [], sees: [], readings: [], ...made })
  const wires = (of: (w: Wire) => boolean): string[] => wiring.wires.filter(of).map((w) => w.key)
  const group = (...groups: WireGroup[]) => wires((w) => groups.includes(w.group))
  arriving(plan, wiring, step)
  bonding(step, group)
  powering(plan, wiring, step, wires, group)
  spinning(plan, wiring, step, firstLines)
  controlling(plan, wiring, step, group)
  proving(plan, wiring, step)
  finishing(plan, wiring, step)
  return steps
}
