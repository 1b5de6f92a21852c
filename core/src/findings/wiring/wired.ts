import type { WiringFacts } from '../../facts/wiring/wiringFacts'
import type { Manual } from '../../manual/manual'
import type { TerminalFunction } from '../../manual/terminalFunctions'
import type { ChainLinkId } from '../../stages/chainLinks'
import type { Milestone } from '../../stages/milestones'
import { deviceOf, endOf, terminalOf, type Device, type End, type Wire } from '../../wiring/model'
import { lacks } from '../answer'
import { judgement, type Answer, type Judged, type Judgement } from '../finding'

/** Everything a judgement of the wiring looks at. */
export interface Circuit extends WiringFacts {
  facts: Judged
  manual: Manual
}

interface Asked<Id extends string> {
  id: Id
  asks: string
  by: Milestone
  chainLink?: ChainLinkId
  danger?: boolean
}

const circuitOf = (facts: Judged, manual: Manual): Circuit => {
  const { wiring, nets } = facts.wiring
  return { wiring, nets, facts, manual }
}

/** A judgement of the wiring: it waits for the drive's manual, without which no terminal is known. */
export const ofWiring = <const Id extends string>(
  { id, asks, by, chainLink = 'drive', danger = false }: Asked<Id>,
  ask: (circuit: Circuit) => Answer | Answer[],
): Judgement<Id> =>
  judgement({ id, asks, by, chainLink, stage: 'wiring', ...(danger ? { danger } : {}) }, (facts) =>
    facts.plan.manual === undefined ? lacks('manual') : ask(circuitOf(facts, facts.plan.manual)),
  )

/**
 * A judgement of what was decided or seen, which no terminal decides. What nobody has said yet is asked once the manual is
 * there: before that one question stands for all.
 */
export const ofChoices = <const Id extends string>(
  { id, asks, by, chainLink = 'drive', danger = false }: Asked<Id>,
  ask: (facts: Judged) => Answer | Answer[],
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

/** What an end is joined to by wires and joined screws alone. */
export const netOf = ({ nets }: Circuit, end: End): string => nets.of(end)
