import type { FigureState } from '../facts/figure'
import type { RouteId } from '../plan'
import type { Message } from '../quantities'
import type { SlowTorque } from './slowestJob'

export const dcWayIds = ['keep-dc', 'fixed-dc', 'small-dc', 'ac-geared', 'ac-open'] as const
export type DcWayId = (typeof dcWayIds)[number]

/** Those of them that keep the DC motor; routes of the same names. */
export type DcRouteId = Extract<DcWayId, RouteId>

export const isDcRoute = (id: RouteId): id is DcRouteId => id === 'keep-dc' || id === 'fixed-dc' || id === 'small-dc'

/** What a way is worth for this machine; `unknown` where something that decides it is not known. */
export interface WayVerdict {
  answer: 'good' | 'watch' | 'stop' | 'unknown'
  says: Message
}

/** One way to turn a toolroom lathe that has a DC motor. */
export interface DcWay extends SlowTorque {
  id: DcWayId
  route: RouteId
  name: string
  /** Belt position that does most of the jobs without a change, and the spindle's speeds there. */
  span: { position: string; fromRpm: number; toRpm: number; jobs: number } | undefined
  /** Jobs whose speed is there on one position or another, of those that say a speed. */
  jobs: number
  /** Power at which an AC motor's torque at the slowest job equals the DC motor's. */
  equalW: FigureState | undefined
  verdict: WayVerdict
}

export const dcWayNames: Readonly<Record<DcWayId, string>> = {
  'keep-dc': 'DC drive kept',
  'fixed-dc': 'Modern DC drive, field fixed',
  'small-dc': 'DC drive, field by hand',
  'ac-geared': 'AC motor and drive, back gear kept',
  'ac-open': 'AC motor and drive, back gear lost',
}

export const routeOfWay = (id: DcWayId): RouteId => (id === 'ac-geared' || id === 'ac-open' ? 'drive-each' : id)
