import type { BeltFacts } from '../facts/belts/beltFacts'
import { numberOf } from '../facts/figure'
import { nextStockPulleys } from '../facts/belts/nextStockPulleys'
import { set } from '../plan'
import { amount, newtonMetres, message } from '../quantities'
import { aboutBelt } from './beltFindings'
import { judgement, type Remedy, type Verdict } from './finding'

const watts = (value: number) => amount('power', value)
const newtons = (value: number) => amount('force', value)
const mm = (value: number) => amount('length', value)

/** Pull at rest over what is wanted, from which bearings suffer. */
const TOO_TIGHT = 2

/** Whether the belts bear and hold what the motor gives. */
export const beltLoadFindings = [
  judgement('belts.too-weak', 'survey', 'belts', ({ belts }) =>
    belts.flatMap((belt): Verdict[] => {
      const { capacity, stage, name, id, path } = belt
      const wanted = capacity?.beltsWanted && numberOf(capacity.beltsWanted)
      const each = capacity?.beltW && numberOf(capacity.beltW)
      if (wanted === undefined || each === undefined || stage.belts === undefined || wanted <= stage.belts) return []
      return [
        {
          severity: 'watch',
          about: aboutBelt(belt),
          title: message`The belt of ${name} is weak for this motor`,
          says: message`${stage.belts === 1 ? 'One belt bears' : `${stage.belts} belts bear`} about ${watts(each * stage.belts)} at rated speed; the motor would want ${wanted} side by side.`,
          why: 'It slips at full load, heats and wears out in months. Larger pulleys in the same ratio make it stronger: the pull is less and the bend is gentler.',
          remedies: largerPulleys(belt),
          figures: [`${id}.beltsWanted`, `${id}.beltW`],
          path: `${path}.belts`,
        },
      ]
    }),
  ),

  judgement('belts.slips-at-start', 'survey', 'belts', ({ belts }) =>
    belts.flatMap((belt): Verdict[] => {
      const { capacity, name, id, path } = belt
      const [slips, found] = [capacity?.slipsNm, capacity?.foundN].map((r) => r && numberOf(r))
      const [start, wanted] = [capacity?.startNm, capacity?.staticTensionN].map((r) => r && numberOf(r))
      if (slips === undefined || found === undefined || start === undefined || wanted === undefined) return []
      if (slips >= start) return []
      return [
        {
          severity: 'watch',
          about: aboutBelt(belt),
          title: message`The belt of ${name} slips at a start`,
          says: message`As tight as it is, it holds ${newtonMetres(slips)} on the small pulley; a start can ask ${newtonMetres(start)}. It has ${newtons(found)} a side at rest and wants ${newtons(wanted)}.`,
          why: 'It squeals, polishes its flanks and throws off. Tighten it, or give the start a longer ramp.',
          remedies: [],
          figures: [`${id}.slipsNm`, `${id}.startNm`, `${id}.staticTensionN`],
          path: `${path}.deflectionForceN`,
        },
      ]
    }),
  ),

  judgement('belts.too-tight', 'survey', 'belts', ({ belts }) =>
    belts.flatMap((belt): Verdict[] => {
      const { capacity, name, id, path } = belt
      const found = capacity?.foundN && numberOf(capacity.foundN)
      const wanted = capacity && numberOf(capacity.staticTensionN)
      if (found === undefined || wanted === undefined || found <= TOO_TIGHT * wanted) return []
      return [
        {
          severity: 'watch',
          about: aboutBelt(belt),
          title: message`The belt of ${name} is too tight`,
          says: message`${newtons(found)} a side at rest; ${newtons(wanted)} hold a start.`,
          why: 'It whines, and wears out bearings that nobody meant to change.',
          remedies: [],
          figures: [`${id}.foundN`, `${id}.staticTensionN`],
          path: `${path}.deflectionForceN`,
        },
      ]
    }),
  ),

  judgement('belts.teeth-in-mesh', 'survey', 'belts', ({ belts }) =>
    belts.flatMap((belt): Verdict[] => {
      const { geometry, name, id, path, pulleys } = belt
      const inMesh = geometry?.teethInMesh && numberOf(geometry.teethInMesh)
      if (inMesh === undefined || inMesh >= 6) return []
      return [
        {
          severity: 'watch',
          about: aboutBelt(belt),
          title: message`Few teeth hold the timing belt of ${name}`,
          says: message`${inMesh} in mesh on the small pulley; six are wanted.`,
          why: 'It jumps under load, and jumping strips it.',
          remedies: [],
          figures: [`${id}.inMesh`],
          path: `${path}.${pulleys.driverIsSmall ? 'driverMm' : 'drivenMm'}`,
        },
      ]
    }),
  ),
]

/** The next stock pair of the same ratio that bears the motor; not where a belt was measured, which it would not fit. */
function largerPulleys(belt: BeltFacts): Remedy[] {
  const { stage, path } = belt
  const pair = (stage.beltMm ?? stage.outsideMm ?? stage.ratedBeltW) === undefined ? nextStockPulleys(belt) : undefined
  return pair
    ? [
        {
          label: message`Pulleys of ${mm(pair.driverMm)} and ${mm(pair.drivenMm)}, the same ratio`,
          patch: [set(`${path}.driverMm`, pair.driverMm), set(`${path}.drivenMm`, pair.drivenMm)],
        },
      ]
    : []
}
