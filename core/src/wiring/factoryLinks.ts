import type { Manual } from '../manual/manual'
import type { Plan } from '../plan'
import type { Wiring } from './model'
import { delayedFunction, enableChain, stopFunction } from './wishes'

/** Which of the links that the maker fitted come out for this wiring, and which must stay. */
export function factoryLinks(manual: Manual, plan: Plan): Pick<Wiring, 'linksOut' | 'linksIn'> {
  const { controls } = plan
  const chained = enableChain(plan).length > 0 || stopFunction(plan) !== undefined
  const printed = (id: string): string => manual.terminals.find((t) => t.id === id)?.prints ?? id
  const linksOut: Wiring['linksOut'] = []
  const linksIn: Wiring['linksIn'] = []
  for (const { from, to, outFor, purpose, keypadNeedsIt } of manual.factoryLinks) {
    const out =
      outFor === 'safe-torque-off'
        ? controls.emergencyStop === 'safe-torque-off' || delayedFunction(plan) === 'torque-off-1'
        : outFor === 'enable' || outFor === 'outside-fault'
          ? chained
          : outFor === 'stop'
            ? controls.runBy === 'momentary' || controls.emergencyStop === 'stop-input'
            : false
    const line = { from: printed(from), to: printed(to) }
    if (out) linksOut.push({ ...line, why: `${purpose}; what is wired there takes its place` })
    else
      linksIn.push({
        ...line,
        why: keypadNeedsIt === true ? `${purpose}; without it the keypad does not run it` : purpose,
      })
  }
  return { linksOut, linksIn }
}

/** Jumpers inside that this wiring wants in a certain position. */
export const jumpersFor = (manual: Manual, logic: 'sink' | 'source'): Wiring['jumpers'] =>
  manual.jumpers.flatMap(({ prints, chooses, positions }) => {
    if (chooses !== 'sink-source') return []
    const wanted = positions.find((position) => position.logic === logic)
    return [
      wanted
        ? { prints, position: wanted.prints, why: wanted.means }
        : { prints, position: '?', why: 'which position it is, is not known: read it in the manual' },
    ]
  })
