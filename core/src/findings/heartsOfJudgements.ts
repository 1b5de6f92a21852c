import { heartOf, type Plan } from '../plan'
import { heartIds, hearts, type Heart } from '../stages/hearts'
import { doesNotApply, lacks, type CannotBeJudged, type DoesNotApply } from './answer'

/** What only a drive that makes hertz, and its motor, is asked. */
const ONLY_HERTZ = [
  'wall.doubler',
  'motor.one-winding',
  'motor.plate-speed',
  'motor.plate-poles',
  'motor.plate-amps',
  'motor.plate-circuit',
  'motor.plate-pair',
  'motor.links-and-leads',
  'motor.as-arrived',
  'motor.flux',
  'motor.overload',
  'motor.over-safe-speed',
  'motor.two-pole-over-plate',
  'motor.past-pull-out',
  'motor.hot-at-low-hertz',
  'motor.liquid-flow',
  'motor.spindle-lowest',
  'motor.delta-87-hz',
  'motor.peak',
  'motor.dc-injection-heat',
  'checks.phases',
  'drive.three-phase-input-on-one',
  'drive.rectifier',
  'drive.hertz-beyond-drive',
  'drive.plain-vf-at-low-hertz',
  'drive.stop-trips',
  'drive.resistor-without-chopper',
  'drive.resistor',
  'drive.quick-ramp',
  'drive.derated',
  'drive.leakage',
  'drive.one-size-up',
  'drive.terminals',
  'supply.standing-leakage',
  'spindle.knob-ends-early',
  'spindle.lowest-over-highest',
  'spindle.resonance',
  'settings.middle-point',
  'settings.boost',
  'controls.ride-through',
  'controls.over-voltage',
  'measured.amps',
  'wiring.two-motors',
  'wiring.bus',
] as const

const table: ReadonlyMap<string, readonly Heart[]> = new Map(ONLY_HERTZ.map((id) => [id, ['inverter']]))

/** By the first part of an id: what a DC machine or a motor with a driver of its own is asked, and no other. */
const rooms: Readonly<Record<string, Heart>> = { dc: 'dc', driver: 'driver' }

const roomOf = (id: string): Heart | undefined => {
  const room = id.slice(0, id.indexOf('.'))
  return Object.hasOwn(rooms, room) ? rooms[room] : undefined
}

/** By id, worked out once: it is asked of every judgement at every key. */
const asked = new Map<string, { room: Heart | undefined; hearts: readonly Heart[] | undefined }>()

function askedOf(id: string) {
  const known = asked.get(id)
  if (known) return known
  const room = roomOf(id)
  const made = { room, hearts: room === undefined ? table.get(id) : [room] }
  asked.set(id, made)
  return made
}

/** What is said where a question is none of a heart's. */
const none = Object.fromEntries(
  heartIds.map((heart) => [
    heart,
    doesNotApply(`It is ${hearts[heart].charAt(0).toLowerCase()}${hearts[heart].slice(1)}`),
  ]),
) as Readonly<Record<Heart, DoesNotApply>>

/** Why a judgement is no question of what turns this machine; undefined where it is one. */
export function notOfHeart(id: string, plan: Plan): DoesNotApply | CannotBeJudged | undefined {
  const heart = heartOf(plan)
  const { room, hearts: whose } = askedOf(id)
  if (whose === undefined || whose.includes(heart)) return undefined
  // What was told of another heart waits for the motor to say what it is.
  if (room !== undefined && plan.motor.kind === undefined && isTold(room === 'dc' ? plan.dcDrive : plan.driver))
    return lacks('motor.kind')
  return none[heart]
}

const isTold = (section: object): boolean => Object.values(section).some((value) => value !== undefined)
