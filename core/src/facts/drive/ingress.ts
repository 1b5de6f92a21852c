import type { Hazard } from '../../plan'

/** The two digits of an IP code, or those a NEMA word stands for; undefined where the text has neither. */
export function ingressOf(enclosure: string | undefined): { solids: number; water: number } | undefined {
  const text = (enclosure ?? '').toUpperCase()
  const ip = /IP\s?(\d)(\d)/.exec(text)
  if (ip) return { solids: Number(ip[1]), water: Number(ip[2]) }
  if (/\bTEFC\b|\bTENV\b|NEMA\s?(4|12)/.test(text)) return { solids: 5, water: 4 }
  if (/\bODP\b|\bOPEN\b|NEMA\s?1\b/.test(text)) return { solids: 2, water: 1 }
  return undefined
}

/** What an enclosure must keep out for each hazard (IEC 60529: solids, water). */
const wanted: Readonly<Record<Hazard, { solids: number; water: number }>> = {
  chips: { solids: 4, water: 0 },
  grit: { solids: 5, water: 0 },
  coolant: { solids: 5, water: 4 },
  oil: { solids: 5, water: 4 },
  water: { solids: 5, water: 5 },
  damp: { solids: 0, water: 3 },
}

/** The hazards an enclosure does not keep out. */
export const letsIn = ({ solids, water }: { solids: number; water: number }, hazards: readonly Hazard[]): Hazard[] =>
  hazards.filter((h) => solids < wanted[h].solids || water < wanted[h].water)
