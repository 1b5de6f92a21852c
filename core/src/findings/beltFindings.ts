import type { BeltFacts } from '../facts/belts/beltFacts'
import { isKnown, numberOf, type FigureState } from '../facts/figure'
import { lacks, doesNotApply, good, type CannotBeJudged } from './answer'
import type { Facts } from '../facts/facts'
import type { PlanPath, TransmissionStage } from '../plan'
import { amount, message } from '../quantities'
import { judgement, type Answer } from './finding'

const mm = (value: number) => amount('length', value)

/** A tape, a stretched belt and a worn groove are no better than this. */
const MEASURED_WITHIN = 0.02

/** What stands in the way of a reading of a belt: its own missing fields, or else the one named. */
export function waiting(about: string, otherwise: PlanPath, ...readings: (FigureState | undefined)[]): CannotBeJudged {
  const missing = readings.flatMap((r) => (r === undefined || isKnown(r) ? [] : r.missing))
  const refusal = readings.flatMap((r) => (r === undefined || isKnown(r) ? [] : (r.refusal ?? [])))[0]
  const known = missing.length > 0 ? lacks(...new Set(missing)) : refusal === undefined ? lacks(otherwise) : lacks()
  return { ...known, about, ...(missing.length === 0 && refusal !== undefined ? { ended: refusal } : {}) }
}

/**
 * Asks of every belt there is: those of which more than the pulleys is known by `ask`; of the others what is asked first
 * is missing.
 */
export function ofEachBelt(
  facts: Facts,
  first: 'centreMm' | 'section' | 'boreMm' | 'belts' | 'deflectionForceN',
  ask: (belt: BeltFacts, about: string) => Answer,
  /** Why it is no question of a belt of some kind. */
  notOf: (stage: TransmissionStage, index: number) => string | undefined = () => undefined,
): Answer | Answer[] {
  const stages = facts.beltStages
  if (stages.length === 0)
    return facts.plan.survey.positions.length === 0
      ? lacks('survey.positions')
      : doesNotApply('No belt drives the spindle')
  return stages.map(({ stage, index, path, about, known }): Answer => {
    if (stage.kind === undefined) return { ...lacks(`${path}.kind`), about }
    const why = notOf(stage, index)
    if (why !== undefined) return doesNotApply(why, about)
    return known ? ask(known, about) : { ...lacks(`${path}.${first}`), about }
  })
}

/** Whether the belts can lie as they were measured. */
export const beltFindings = [
  judgement(
    {
      id: 'belts.cannot-be',
      asks: 'Whether the belts can lie as measured',
      stage: 'survey',
      chainLink: 'belts',
      by: 'on-machine',
    },
    (facts) =>
      ofEachBelt(facts, 'centreMm', (belt, about) => {
        const { name, path, stage, geometry, pulleys } = belt
        if (!geometry) return { ...lacks(`${path}.centreMm`), about }
        const [smallMm, largeMm, lengthMm] = [pulleys.smallMm, pulleys.largeMm, geometry.lengthMm].map(numberOf)
        if (smallMm === undefined || largeMm === undefined)
          return waiting(about, `${path}.driverMm`, pulleys.smallMm, pulleys.largeMm)
        if (!geometry.impossible)
          return lengthMm === undefined
            ? waiting(about, `${path}.beltMm`, geometry.lengthMm)
            : good(message`A belt of ${mm(lengthMm)} lies round ${mm(smallMm)} and ${mm(largeMm)}.`, { about })
        return geometry.impossible === 'overlap'
          ? {
              severity: 'stop',
              about,
              title: message`The pulleys of ${name} would overlap`,
              says: message`${mm(stage.centreMm ?? 0)} centre to centre; pulleys of ${mm(smallMm)} and ${mm(largeMm)} want at least ${mm((largeMm + smallMm) / 2)}.`,
              why: 'A diameter, or the distance, was read wrongly.',
              path: `${path}.centreMm`,
            }
          : {
              severity: 'stop',
              about,
              title: message`The belt of ${name} is shorter than can be`,
              says: message`Its pitch length is ${mm(lengthMm ?? 0)}; it cannot go round pulleys of ${mm(smallMm)} and ${mm(largeMm)}.`,
              why: 'A diameter, or the length, was read wrongly; inside, outside and pitch length are three numbers.',
              path: stage.beltMm === undefined ? `${path}.outsideMm` : `${path}.beltMm`,
            }
      }),
  ),

  judgement(
    { id: 'belts.out-of-slot', asks: 'Motor in its slot', stage: 'survey', chainLink: 'belts', by: 'on-machine' },
    (facts) =>
      ofEachBelt(facts, 'centreMm', (belt, about) => {
        const { geometry, name, path, id } = belt
        const { slotLeastMm: least, slotMostMm: most } = belt.stage
        if (!geometry) return { ...lacks(`${path}.centreMm`), about }
        if (geometry.impossible) return doesNotApply('It cannot lie as it was measured', about)
        const at = numberOf(geometry.centreMm)
        if (at === undefined) return waiting(about, `${path}.centreMm`, geometry.centreMm)
        if (least === undefined && most === undefined)
          return { ...lacks(`${path}.slotLeastMm`, `${path}.slotMostMm`), about }
        const near = least !== undefined && at < least
        const far = most !== undefined && at > most
        if (!near && !far)
          return good(message`${mm(at)} centre to centre lies in it.`, { about, figures: [`${id}.centre`] })
        return {
          severity: 'watch',
          about,
          title: message`The motor of ${name} would stand outside its slot`,
          says: near
            ? message`The belt wants ${mm(at)} centre to centre; the slot begins at ${mm(least)}.`
            : message`The belt wants ${mm(at)} centre to centre; the slot ends at ${mm(most ?? 0)}.`,
          why: near
            ? 'It hangs slack, slips, and jumps off.'
            : 'It cannot be put on, or not be taken up once it has stretched.',
          figures: [`${id}.centre`],
          path: `${path}.${near ? 'slotLeastMm' : 'slotMostMm'}`,
        }
      }),
  ),

  judgement(
    {
      id: 'belts.no-room',
      asks: 'Room to put the belt on and take it up',
      stage: 'survey',
      chainLink: 'belts',
      by: 'on-machine',
    },
    (facts) =>
      ofEachBelt(facts, 'centreMm', (belt, about) => {
        const { geometry, name, path, id, stage } = belt
        const { slotLeastMm: least, slotMostMm: most } = stage
        if (!geometry) return { ...lacks(`${path}.centreMm`), about }
        if (geometry.impossible) return doesNotApply('It cannot lie as it was measured', about)
        const [at, nearest, farthest] = [geometry.centreMm, geometry.nearestMm, geometry.farthestMm].map(numberOf)
        if (at === undefined || nearest === undefined || farthest === undefined)
          return waiting(about, `${path}.centreMm`, geometry.centreMm, geometry.nearestMm, geometry.farthestMm)
        if (least === undefined && most === undefined)
          return { ...lacks(`${path}.slotLeastMm`, `${path}.slotMostMm`), about }
        if (at < (least ?? 0) || at > (most ?? Infinity))
          return doesNotApply('The motor stands outside its slot', about)
        const fits = least === undefined || least <= nearest
        const stretches = most === undefined || most >= farthest
        if (fits && stretches)
          return good(message`From ${mm(nearest)}, to put it on, to ${mm(farthest)}, when it has stretched.`, {
            about,
            figures: [`${id}.nearest`, `${id}.farthest`],
          })
        return {
          severity: 'note',
          about,
          title: fits
            ? message`Little room to tension the belt of ${name}`
            : message`Little room to put the belt of ${name} on`,
          says: fits
            ? message`As it stretches it wants up to ${mm(farthest)} centre to centre; the slot ends at ${mm(most ?? 0)}.`
            : message`To go over the rims it wants ${mm(nearest)} centre to centre; the slot begins at ${mm(least)}.`,
          why: fits
            ? 'Once the slot is used up, a stretched belt can only be replaced.'
            : 'Levered over the rim, a belt breaks cords that cannot be seen. Take a pulley off, or a longer belt.',
          figures: [`${id}.${fits ? 'farthest' : 'nearest'}`],
          path: `${path}.${fits ? 'slotMostMm' : 'slotLeastMm'}`,
        }
      }),
  ),

  judgement(
    {
      id: 'belts.measured-twice',
      asks: 'Belt length against centre distance',
      stage: 'survey',
      chainLink: 'belts',
      by: 'on-machine',
    },
    (facts) =>
      ofEachBelt(facts, 'centreMm', (belt, about) => {
        const { stage, name, path, geometry, id } = belt
        const measured = stage.centreMm
        if (measured === undefined || (stage.beltMm ?? stage.outsideMm) === undefined)
          return doesNotApply('Only one of the two was measured', about)
        const at = geometry && numberOf(geometry.centreMm)
        if (at === undefined)
          return geometry?.impossible
            ? doesNotApply('It cannot lie as it was measured', about)
            : waiting(about, `${path}.section`, geometry?.centreMm)
        if (Math.abs(measured / at - 1) <= MEASURED_WITHIN)
          return good(message`The belt lies at ${mm(at)}; measured were ${mm(measured)}.`, {
            about,
            figures: [`${id}.centre`],
          })
        return {
          severity: 'watch',
          about,
          title: message`Belt and distance of ${name} do not agree`,
          says: message`The belt that was typed lies at ${mm(at)} centre to centre; measured were ${mm(measured)}.`,
          why: 'One of the two, or a diameter, was read wrongly. The belt counts here.',
          figures: [`${id}.centre`],
          path: `${path}.centreMm`,
        }
      }),
  ),
]
