import type { TerminalFunction } from '../manual/terminalFunctions'
import type { Plan } from '../plan'
import type { Draft, NetWish } from './draft'
import type { DriveTerminals } from './driveTerminals'
import type { End, WireGroup } from './model'

const CONTROL_MM2 = 0.75
/** Of a wire that stays in the box, m. */
export const BOX_M = 0.4

/** What the control wires are made from. */
export interface Control {
  draft: Draft
  plan: Plan
  drive: DriveTerminals
  /** The side of the drive's signal supply that switches close to. */
  feed: End | undefined
  /** The other side. */
  zero: End | undefined
  /** Contacts that wait for the feed, in the order in which they are built. */
  fed: End[]
  /** Contacts that wait for what must be closed first, where RUN and that share one input of the drive. */
  behindChain: End[]
  /** What else hangs on one of the drive's screws: one net each, however many wish for it. */
  hubs: Map<End, { purpose: string; live: string; group: WireGroup; ends: End[] }>
  volts: string
}

/** Hangs an end on a screw of the drive that others hang on too. */
export function tie(
  { hubs }: Control,
  hub: End | undefined,
  end: End,
  group: WireGroup,
  purpose: string,
  live: string,
): void {
  if (hub === undefined) return
  const there = hubs.get(hub)
  if (there) there.ends.push(end)
  else hubs.set(hub, { purpose, live, group, ends: [end] })
}

export const net = ({ draft, plan }: Control, wish: Omit<NetWish, 'sheet' | 'class'>): void =>
  draft.join({
    sheet: 'control',
    class: 'control',
    areaMm2: CONTROL_MM2,
    lengthM: plan.wiring.knobLeadM ?? (plan.installation.place === 'at-machine' ? BOX_M : undefined),
    ...wish,
  })

/** One contact's far side to an input of the drive; nothing where the drive has no such terminal. */
export function toInput(
  control: Control,
  from: End,
  does: TerminalFunction,
  group: WireGroup,
  purpose: string,
  opens = false,
): void {
  const to = control.drive.find(does)
  if (to === undefined) return
  net(control, {
    key: does,
    purpose,
    group,
    ends: [to, from],
    dead: opens
      ? 'under 1 ohm through the closed contact, open when it is pressed'
      : 'open at rest, under 1 ohm closed',
    live: opens ? `${control.volts} at rest, 0 V when it is pressed` : `${control.volts} closed, 0 V open`,
  })
}
