import type { Facts } from '../../facts/facts'
import type { WiringFacts } from '../../facts/wiring/wiringFacts'
import type { Manual } from '../../manual/manual'
import type { TerminalFunction } from '../../manual/terminalFunctions'
import type { ChainLinkId } from '../../stages/chainLinks'
import type { Milestone } from '../../stages/milestones'
import { deviceOf, endOf, isMains, terminalOf, type Device, type End, type Wire } from '../../wiring/model'
import { lacks } from '../answer'
import { judgement, type Answer, type Judgement } from '../finding'

/** Everything a judgement of the wiring looks at. */
export interface Circuit extends WiringFacts {
  facts: Facts
  manual: Manual
}

interface Asked<Id extends string> {
  id: Id
  asks: string
  by: Milestone
  chainLink?: ChainLinkId
  danger?: boolean
}

/** A judgement of the wiring: it waits for the drive's manual, without which no terminal is known. */
export const ofWiring = <const Id extends string>(
  { id, asks, by, chainLink = 'drive', danger = false }: Asked<Id>,
  ask: (circuit: Circuit) => Answer | Answer[],
): Judgement<Id> =>
  judgement({ id, asks, by, chainLink, stage: 'wiring', ...(danger ? { danger } : {}) }, (facts) =>
    facts.plan.manual === undefined ? lacks('manual') : ask({ ...facts.wiring, facts, manual: facts.plan.manual }),
  )

/**
 * A judgement of what was decided or seen, which no terminal decides. What nobody has said yet is asked once the manual is
 * there: before that one question stands for all.
 */
export const ofChoices = <const Id extends string>(
  { id, asks, by, chainLink = 'drive', danger = false }: Asked<Id>,
  ask: (facts: Facts) => Answer | Answer[],
): Judgement<Id> =>
  judgement({ id, asks, by, chainLink, stage: 'wiring', ...(danger ? { danger } : {}) }, (facts) => {
    const answer = ask(facts)
    const waits = !Array.isArray(answer) && 'missing' in answer && answer.ended === undefined
    return waits && facts.plan.manual === undefined ? lacks('manual') : answer
  })

export const deviceBy = ({ wiring }: Circuit, role: Device['role']): Device | undefined =>
  wiring.devices.find((d) => d.role === role)

/** Ends of the drive that do something. */
export const driveEnds = ({ wiring }: Circuit, ...does: readonly TerminalFunction[]): End[] =>
  wiring.devices
    .filter((d) => d.role === 'drive')
    .flatMap((d) =>
      d.terminals.filter((t) => t.does !== undefined && does.includes(t.does)).map((t) => endOf(d.id, t.id)),
    )

/** Wires that end there. */
export const wiresAt = ({ wiring }: Circuit, end: End): Wire[] =>
  wiring.wires.filter(({ from, to }) => from === end || to === end)

/** A device's end in the words of the shop: `Speed knob 2`. */
export function endWords({ wiring }: Pick<Circuit, 'wiring'>, end: End): string {
  const device = wiring.devices.find(({ id }) => id === deviceOf(end))
  const prints = device?.terminals.find((t) => t.id === terminalOf(end))?.prints
  return device ? `${device.name} ${prints ?? ''}`.trim() : end
}

/** Everything that lets a live conductor through. */
export const conducts = ['closes', 'opens', 'fuse', 'through', 'winding', 'joined'] as const

const mainsOf = new WeakMap<WiringFacts['nets'], ReadonlySet<string>>()

/** Nets that the wall's live conductors and neutral reach without passing the drive; followed once for each wiring. */
export function mainsNets(circuit: Circuit): ReadonlySet<string> {
  const known = mainsOf.get(circuit.nets)
  if (known) return known
  const found = mainsNetsBut(circuit, () => false)
  mainsOf.set(circuit.nets, found)
  return found
}

/** The same without passing some other device either. */
export function mainsNetsBut(circuit: Circuit, not: (device: Device) => boolean): Set<string> {
  const { wiring, nets } = circuit
  const reached = new Set<string>()
  for (const { id, terminals } of wiring.devices)
    for (const t of terminals)
      if (isMains(t.potential))
        for (const net of nets.reach(endOf(id, t.id), conducts, (d) => d.role === 'drive' || not(d))) reached.add(net)
  return reached
}

/** What an end is joined to by wires and joined screws alone. */
export const netOf = ({ nets }: Circuit, end: End): string => nets.of(end)
