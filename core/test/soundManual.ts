import type { Manual, TerminalFunction } from '../src/manual'
import { shippedManual } from './shippedManuals'

/** The wall-box drive’s manual with safe torque off and a third direction input, as the sound plan wants them. */
export function soundManual(): Manual {
  const manual = shippedManual('heron-wall-box')
  const more = (id: string, prints: string, group: 'safety' | 'control', does: TerminalFunction) =>
    manual.terminals.push({ id, prints, group, does, wires: 2, basis: 'printed' })
  more('st', 'safe+', 'safety', 'torque-off-supply')
  more('sa', 'safe-a', 'safety', 'torque-off-1')
  more('sb', 'safe-b', 'safety', 'torque-off-2')
  more('dir', 'in-e', 'control', 'direction')
  more('quick', 'in-f', 'control', 'quick-stop')
  for (const jumper of manual.jumpers) if (jumper.chooses === 'sink-source') jumper.comesIn = 'hi'
  return manual
}
