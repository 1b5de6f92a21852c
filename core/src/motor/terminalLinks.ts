import { z } from 'zod'
import { iecNames, terminalConnections } from '../data/terminalConnections'
import { refuse, rule } from '../rules/rule'

const lead = z.string()

/** Which leads are tied together and which take the lines, under either family of names. */
export const terminalLinks = rule({
  id: 'motor.terminal-links',
  title: 'Links in the terminal box',
  input: z.strictObject({
    leads: z.enum(['6', '9-star', '9-delta', '12']).describe('leads that come out, and how nine are wound'),
    connection: z
      .enum(['star', 'delta', 'low', 'high', 'low-star', 'low-delta', 'high-star', 'high-delta'])
      .describe('six: star, delta; nine: low, high; twelve: low-star, low-delta, high-star, high-delta'),
    names: z
      .enum(['iec', 'nema'])
      .optional()
      .describe('family of names; IEC for six leads, NEMA for nine and twelve unless given'),
  }),
  output: z.object({
    links: z.array(z.array(lead)).describe('groups of leads tied together'),
    lines: z.object({ L1: lead, L2: lead, L3: lead }).describe('lead (and all it is tied to) that takes each line'),
  }),
  formula: 'as the standard’s connection tables draw them',
  source: 'IEC 60034-8 and NEMA MG 1 Part 2 (terminal markings); the picture inside the lid is the authority',
  example: { leads: '9-star', connection: 'low' },
  compute: ({ leads, connection, names = leads === '6' ? 'iec' : 'nema' }) => {
    const offered = terminalConnections[leads] ?? {}
    const found = offered[connection]
    if (!found) return refuse('connection', `must be one of ${Object.keys(offered).join(', ')} for ${leads} leads`)
    const name = (n: number) => (names === 'iec' ? (iecNames[n] ?? '') : String(n))
    const [l1, l2, l3] = found.lines
    return { links: found.joined.map((group) => group.map(name)), lines: { L1: name(l1), L2: name(l2), L3: name(l3) } }
  },
})
