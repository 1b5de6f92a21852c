import type { BeltFacts } from '../facts/belts/beltFacts'
import { numberOf } from '../facts/figure'
import { amount, message } from '../quantities'
import { judgement, type Verdict } from './finding'

const mm = (value: number) => amount('length', value)

/** A tape, a stretched belt and a worn groove are no better than this. */
const MEASURED_WITHIN = 0.02

/** What tells one belt's findings from another's. */
export const aboutBelt = ({ id }: BeltFacts): string => id.replace(/\./g, '-')

/** Whether the belts can lie as they were measured. */
export const beltFindings = [
  judgement('belts.cannot-be', 'survey', 'belts', ({ belts }) =>
    belts.flatMap((belt): Verdict[] => {
      const { name, path, stage, geometry, pulleys } = belt
      if (!geometry?.impossible) return []
      const [smallMm, largeMm] = [numberOf(pulleys.smallMm) ?? 0, numberOf(pulleys.largeMm) ?? 0]
      return [
        geometry.impossible === 'overlap'
          ? {
              severity: 'stop',
              about: aboutBelt(belt),
              title: message`The pulleys of ${name} would overlap`,
              says: message`${mm(stage.centreMm ?? 0)} centre to centre; pulleys of ${mm(smallMm)} and ${mm(largeMm)} want at least ${mm((largeMm + smallMm) / 2)}.`,
              why: 'A diameter, or the distance, was read wrongly.',
              remedies: [],
              path: `${path}.centreMm`,
            }
          : {
              severity: 'stop',
              about: aboutBelt(belt),
              title: message`The belt of ${name} is shorter than can be`,
              says: message`Its pitch length is ${mm(numberOf(geometry.lengthMm) ?? 0)}; it cannot go round pulleys of ${mm(smallMm)} and ${mm(largeMm)}.`,
              why: 'A diameter, or the length, was read wrongly; inside, outside and pitch length are three numbers.',
              remedies: [],
              path: stage.beltMm === undefined ? `${path}.outsideMm` : `${path}.beltMm`,
            },
      ]
    }),
  ),

  judgement('belts.out-of-slot', 'survey', 'belts', ({ belts }) =>
    belts.flatMap((belt): Verdict[] => {
      const { geometry, name, path, id } = belt
      const at = geometry && numberOf(geometry.centreMm)
      const { slotLeastMm: least, slotMostMm: most } = belt.stage
      if (at === undefined || geometry?.impossible) return []
      const near = least !== undefined && at < least
      const far = most !== undefined && at > most
      if (!near && !far) return []
      return [
        {
          severity: 'watch',
          about: aboutBelt(belt),
          title: message`The motor of ${name} would stand outside its slot`,
          says: near
            ? message`The belt wants ${mm(at)} centre to centre; the slot begins at ${mm(least)}.`
            : message`The belt wants ${mm(at)} centre to centre; the slot ends at ${mm(most ?? 0)}.`,
          why: near
            ? 'It hangs slack, slips, and jumps off.'
            : 'It cannot be put on, or not be taken up once it has stretched.',
          remedies: [],
          figures: [`${id}.centre`],
          path: `${path}.${near ? 'slotLeastMm' : 'slotMostMm'}`,
        },
      ]
    }),
  ),

  judgement('belts.no-room', 'survey', 'belts', ({ belts }) =>
    belts.flatMap((belt): Verdict[] => {
      const { geometry, name, path, id, stage } = belt
      const { slotLeastMm: least, slotMostMm: most } = stage
      const [at, nearest, farthest] = [geometry?.centreMm, geometry?.nearestMm, geometry?.farthestMm].map(
        (r) => r && numberOf(r),
      )
      if (at === undefined || nearest === undefined || farthest === undefined || geometry?.impossible) return []
      const inSlot = at >= (least ?? 0) && at <= (most ?? Infinity)
      const fits = least === undefined || least <= nearest
      const stretches = most === undefined || most >= farthest
      if (!inSlot || (fits && stretches)) return []
      return [
        {
          severity: 'note',
          about: aboutBelt(belt),
          title: fits
            ? message`Little room to tension the belt of ${name}`
            : message`Little room to put the belt of ${name} on`,
          says: fits
            ? message`As it stretches it wants up to ${mm(farthest)} centre to centre; the slot ends at ${mm(most ?? 0)}.`
            : message`To go over the rims it wants ${mm(nearest)} centre to centre; the slot begins at ${mm(least)}.`,
          why: fits
            ? 'Once the slot is used up, a stretched belt can only be replaced.'
            : 'Levered over the rim, a belt breaks cords that cannot be seen. Take a pulley off, or a longer belt.',
          remedies: [],
          figures: [`${id}.${fits ? 'farthest' : 'nearest'}`],
          path: `${path}.${fits ? 'slotMostMm' : 'slotLeastMm'}`,
        },
      ]
    }),
  ),

  judgement('belts.measured-twice', 'survey', 'belts', ({ belts }) =>
    belts.flatMap((belt): Verdict[] => {
      const { stage, name, path, geometry, id } = belt
      const at = geometry && numberOf(geometry.centreMm)
      const measured = stage.centreMm
      if (at === undefined || measured === undefined || (stage.beltMm ?? stage.outsideMm) === undefined) return []
      if (Math.abs(measured / at - 1) <= MEASURED_WITHIN) return []
      return [
        {
          severity: 'watch',
          about: aboutBelt(belt),
          title: message`Belt and distance of ${name} do not agree`,
          says: message`The belt that was typed lies at ${mm(at)} centre to centre; measured were ${mm(measured)}.`,
          why: 'One of the two, or a diameter, was read wrongly. The belt counts here.',
          remedies: [],
          figures: [`${id}.centre`],
          path: `${path}.centreMm`,
        },
      ]
    }),
  ),
]
