import { z } from 'zod'
import { iecNames, terminalConnections } from '../data/terminalConnections'
import { refuse, rule } from '../rules/rule'

const lead = z.string()

/** Which leads are tied together and which take the lines, under either family of names. */
export const terminalLinks = rule({
  id: 'motor.terminal-links',
  input: z.strictObject({
    leads: z.enum(['6', '9-star', '9-delta', '12']),
    connection: z.enum(['star', 'delta', 'low', 'high', 'low-star', 'low-delta', 'high-star', 'high-delta']),
    names: z.enum(['iec', 'nema']).optional(),
  }),
  output: z.object({
    links: z.array(z.array(lead)),
    lines: z.object({ L1: lead, L2: lead, L3: lead }),
  }),
  compute: ({ leads, connection, names = leads === '6' ? 'iec' : 'nema' }) => {
    const offered = terminalConnections[leads] ?? {}
    const found = offered[connection]
    if (!found) return refuse('connection', `must be one of ${Object.keys(offered).join(', ')} for ${leads} leads`)
    const name = (n: number) => (names === 'iec' ? (iecNames[n] ?? '') : String(n))
    const [l1, l2, l3] = found.lines
    return { links: found.joined.map((group) => group.map(name)), lines: { L1: name(l1), L2: name(l2), L3: name(l3) } }
  },
})
