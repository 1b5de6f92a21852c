import { endOf, isMains, type Device } from '../../wiring/model'
import type { WiringFacts } from './wiringFacts'

/** Everything that lets a live conductor through. */
export const conducts = ['closes', 'opens', 'fuse', 'through', 'winding', 'joined'] as const

/** Nets that the wall's live conductors and neutral reach without passing the drive, or some other device either. */
export function mainsNets({ wiring, nets }: WiringFacts, not: (device: Device) => boolean = () => false): Set<string> {
  const reached = new Set<string>()
  for (const { id, terminals } of wiring.devices)
    for (const t of terminals)
      if (isMains(t.potential))
        for (const net of nets.reach(endOf(id, t.id), conducts, (d) => d.role === 'drive' || not(d))) reached.add(net)
  return reached
}
