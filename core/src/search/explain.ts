import { amount, message, type Message } from '../quantities'
import { firstDifference } from './rank'
import type { Combination } from './combination'
import type { SearchKey } from './searchCriteria'

/** Why the first is before the second, by the first thing that parts them. */
export function whyFirst(key: SearchKey, winner: Combination, other: Combination): Message {
  switch (firstDifference(key, winner, other)) {
    case 'jobs':
      return winner.covered === other.covered
        ? message`Both do ${winner.covered} jobs; the first does ${winner.allDay} of them all day, the second ${other.allDay}.`
        : message`It does ${winner.covered} jobs; the second does ${other.covered}.`
    case 'moves':
      return message`Both do as many jobs; the first with ${belts(winner.moves)}, the second with ${belts(other.moves)}.`
    case 'cost':
      return other.cost === undefined
        ? message`They do the same; what the second costs is not known.`
        : message`They do the same; the first costs ${amount('money', winner.cost ?? 0)}, the second ${amount('money', other.cost)}.`
    case 'torque':
      return message`They do the same for as much; at the slowest job the first has ${amount('torque', winner.slowNm)} all day, the second ${amount('torque', other.slowNm)}.`
    case 'heat':
      return message`They do the same for as much; the first has ${Number(winner.inHand.toFixed(2))} times the torque that its hardest job asks, the second ${Number(other.inHand.toFixed(2))} times.`
    default:
      return message`Nothing that is asked here parts them.`
  }
}

const belts = (moves: number): string =>
  moves === 0 ? 'no belt move' : moves === 1 ? 'one belt move' : `${moves} belt moves`
