import type { BeltFacts } from '../evaluate/beltFacts'
import { numberOf } from '../evaluate/figure'
import { amount, say } from '../quantities'
import { judgement, type Verdict } from './finding'

const mm = (value: number) => amount('length', value)

/** A tape, a stretched belt and a worn groove are no better than this. */
const MEASURED_WITHIN = 0.02

const about = ({ id }: BeltFacts): string => id.replace(/\./g, '-')

export const beltFindings = [
  judgement('belts.cannot-be', 'survey', 'belts', ({ belts }) =>
    belts.flatMap((belt): Verdict[] => {
      const { impossible, positionName, smallMm, largeMm, path, stage } = belt
      if (!impossible) return []
      const least = (largeMm + smallMm) / 2
      return [
        impossible === 'overlap'
          ? {
              severity: 'stop',
              about: about(belt),
              title: say`The pulleys of ${positionName} would overlap`,
              says: say`${mm(stage.centreMm ?? 0)} centre to centre; pulleys of ${mm(smallMm)} and ${mm(largeMm)} want at least ${mm(least)}.`,
              why: 'A diameter, or the distance, was read wrongly.',
              remedies: [],
              path: `${path}.centreMm`,
            }
          : {
              severity: 'stop',
              about: about(belt),
              title: say`The belt of ${positionName} is shorter than can be`,
              says: say`Its pitch length is ${mm(numberOf(belt.lengthMm) ?? 0)}; it cannot go round pulleys of ${mm(smallMm)} and ${mm(largeMm)}.`,
              why: 'A diameter, or the length, was read wrongly; inside, outside and pitch length are three numbers.',
              remedies: [],
              path: stage.beltMm === undefined ? `${path}.outsideMm` : `${path}.beltMm`,
            },
      ]
    }),
  ),

  judgement('belts.small-pulley', 'survey', 'belts', ({ belts }) =>
    belts.flatMap((belt): Verdict[] => {
      const { section, smallMm, positionName, path, stage } = belt
      if (!section || smallMm >= section.smallestMm) return []
      return [
        {
          severity: 'watch',
          about: about(belt),
          title: say`A pulley of ${positionName} is small for its belt`,
          says: say`${mm(smallMm)}; section ${section.name} wants at least ${mm(section.smallestMm)}.`,
          why: 'Bent that sharply the belt heats, cracks and slips long before its time.',
          remedies: [],
          path: `${path}.${stage.driverMm === smallMm ? 'driverMm' : 'drivenMm'}`,
        },
      ]
    }),
  ),

  judgement('belts.out-of-slot', 'survey', 'belts', ({ belts }) =>
    belts.flatMap((belt): Verdict[] => {
      const at = numberOf(belt.centreMm)
      const { slotLeastMm: least, slotMostMm: most } = belt.stage
      if (at === undefined || belt.impossible) return []
      const near = least !== undefined && at < least
      const far = most !== undefined && at > most
      if (!near && !far) return []
      return [
        {
          severity: 'watch',
          about: about(belt),
          title: say`The motor of ${belt.positionName} would stand outside its slot`,
          says: near
            ? say`The belt wants ${mm(at)} centre to centre; the slot begins at ${mm(least)}.`
            : say`The belt wants ${mm(at)} centre to centre; the slot ends at ${mm(most ?? 0)}.`,
          why: near
            ? 'It hangs slack, slips, and jumps off.'
            : 'It cannot be put on, or not be taken up once it has stretched.',
          remedies: [],
          figures: [`${belt.id}.centre`],
          path: `${belt.path}.${near ? 'slotLeastMm' : 'slotMostMm'}`,
        },
      ]
    }),
  ),

  judgement('belts.measured-twice', 'survey', 'belts', ({ belts }) =>
    belts.flatMap((belt): Verdict[] => {
      const { stage, positionName, path } = belt
      const at = numberOf(belt.centreMm)
      const measured = stage.centreMm
      if (at === undefined || measured === undefined || (stage.beltMm ?? stage.outsideMm) === undefined) return []
      if (Math.abs(measured / at - 1) <= MEASURED_WITHIN) return []
      return [
        {
          severity: 'watch',
          about: about(belt),
          title: say`Belt and distance of ${positionName} do not agree`,
          says: say`The belt that was typed lies at ${mm(at)} centre to centre; measured were ${mm(measured)}.`,
          why: 'One of the two, or a diameter, was read wrongly. The belt counts here.',
          remedies: [],
          figures: [`${belt.id}.centre`],
          path: `${path}.centreMm`,
        },
      ]
    }),
  ),
]
