import type { BeltFacts } from '../facts/belts/beltFacts'
import { LEAST_WALL_MM } from '../drivetrain'
import { numberOf } from '../facts/figure'
import { set } from '../plan'
import { amount, message } from '../quantities'
import { ended, good, lacks } from './answer'
import { ofEachBelt, waiting } from './beltFindings'
import { judgement } from './finding'

const mm = (value: number) => amount('length', value)

/** Bore and shaft within this are one size, mm. */
const SAME = 0.1

/** Whether the pulleys suit their belts and the motor's shaft. */
export const pulleyFindings = [
  judgement(
    {
      id: 'belts.small-pulley',
      asks: 'Smallest pulley of the belt',
      stage: 'survey',
      chainLink: 'belts',
      by: 'on-machine',
    },
    (facts) =>
      ofEachBelt(
        facts,
        'section',
        (belt, about) => {
          const { name, path, pulleys } = belt
          const smallMm = numberOf(pulleys.smallMm)
          const least = leastPulley(belt)
          if (least === undefined) return { ...lacks(`${path}.section`), about }
          if (smallMm === undefined) return waiting(about, `${path}.driverMm`, pulleys.smallMm)
          if (smallMm >= least.mm)
            return good(message`${mm(smallMm)} where ${least.name} wants at least ${mm(least.mm)}.`, { about })
          return {
            severity: 'watch',
            about,
            title: message`A pulley of ${name} is small for its belt`,
            says: message`${mm(smallMm)} where the belt runs; ${least.name} wants at least ${mm(least.mm)}${least.teeth === undefined ? '' : `, ${least.teeth} teeth`}.`,
            why: 'Bent that sharply the belt heats, cracks and slips long before its time.',
            path: pulleys.smallPath,
          }
        },
        ({ kind }) =>
          kind === 'flat-belt' || kind === 'crossed-belt'
            ? 'How far a flat belt bends goes by its thickness, which is not asked'
            : undefined,
      ),
  ),

  judgement(
    { id: 'belts.strange-groove', asks: 'Belt in its grooves', stage: 'survey', chainLink: 'belts', by: 'on-machine' },
    (facts) =>
      ofEachBelt(
        facts,
        'section',
        (belt, about) => {
          const { name, path, pulleys, stage, id } = belt
          const { inGroove } = pulleys
          if (!inGroove || stage.grooves === undefined) return { ...lacks(`${path}.section`), about }
          const { liftMm, proudMm, clearanceMm, bottoms } = inGroove
          const lies = liftMm < 0 ? message`${mm(-liftMm)} too deep` : message`${mm(liftMm)} too high`
          return {
            severity: 'watch',
            about,
            title: bottoms
              ? message`The belt of ${name} rests on the bottom of its grooves`
              : message`The belt of ${name} lies in grooves cut for another`,
            says: bottoms
              ? message`It lies ${lies} and would be ${mm(-clearanceMm)} through the bottom.`
              : liftMm < 0
                ? message`It lies ${lies}, with ${mm(clearanceMm)} left under it, and runs on ${mm(numberOf(pulleys.driverMm) ?? 0)} and ${mm(numberOf(pulleys.drivenMm) ?? 0)}; the speeds here count that.`
                : message`It lies ${lies}, its back ${mm(Math.max(0, proudMm))} over the rim, and runs on ${mm(numberOf(pulleys.driverMm) ?? 0)} and ${mm(numberOf(pulleys.drivenMm) ?? 0)}; the speeds here count that.`,
            why: bottoms
              ? 'A V-belt pulls by its wedged flanks. On the bottom it slips at a fraction of its load.'
              : 'Its flanks bear on a part of their width, wear steps into the groove and spoil it for the right belt.',
            remedies: [
              {
                label: message`Take a belt for these grooves`,
                patch: [set(`${path}.section`, stage.grooves), set(`${path}.grooves`, undefined)],
              },
            ],
            figures: [`${id}.driverMm`, `${id}.drivenMm`],
            path: `${path}.grooves`,
          }
        },
        ({ grooves }) => (grooves === undefined ? 'Its grooves are not said to be cut for another' : undefined),
      ),
  ),

  judgement(
    {
      id: 'belts.bore',
      asks: 'Pulley’s bore on the motor’s shaft',
      stage: 'survey',
      chainLink: 'belts',
      by: 'on-machine',
    },
    (facts) =>
      ofEachBelt(
        facts,
        'boreMm',
        (belt, about) => {
          const { name, path, bore, stage, id } = belt
          if (stage.boreMm === undefined) return { ...lacks(`${path}.boreMm`), about }
          if (!bore) {
            const { shaftMm, frame } = facts.plan.motor
            const noSection = (stage.section ?? stage.grooves) === undefined
            if (noSection) return { ...lacks(`${path}.section`), about }
            return shaftMm === undefined && frame === undefined
              ? { ...lacks('motor.shaftMm', 'motor.frame'), about }
              : ended('The tables of shafts and keys do not have this one', about)
          }
          const { shaftMm, wallMm, permitted, keyWidthMm, hubMm } = bore
          if (Math.abs(stage.boreMm - shaftMm) < SAME)
            return good(message`${mm(stage.boreMm)} on a shaft of ${mm(shaftMm)}.`, { about })
          if (stage.boreMm > shaftMm)
            return {
              severity: 'note',
              about,
              title: message`The pulley of ${name} is bored larger than the motor’s shaft`,
              says: message`${mm(stage.boreMm)} on a shaft of ${mm(shaftMm)}: a keyed sleeve of ${mm((stage.boreMm - shaftMm) / 2)} wall, or another pulley.`,
              why: 'Packed out with shim it runs out of true, whips the belt and frets the shaft.',
              path: `${path}.boreMm`,
            }
          return {
            severity: permitted ? 'note' : 'watch',
            about,
            title: permitted
              ? message`The pulley of ${name} is to be bored out`
              : message`The pulley of ${name} is too small to be bored for this motor`,
            says: message`From ${mm(stage.boreMm)} to ${mm(shaftMm)}, with a keyway ${mm(keyWidthMm)} wide and ${mm(hubMm)} deep over the bore; ${mm(Math.max(0, wallMm))} of iron stay between keyway and groove${permitted ? '' : message`; ${mm(LEAST_WALL_MM)} are wanted`}.`,
            why: permitted
              ? 'Bore it true to the grooves, to a push fit; the set screw sits on the key.'
              : 'It splits along the keyway. A larger pulley in the same ratio, or one made from the solid with a hub beside the grooves.',
            figures: [`${id}.wall`],
            path: `${path}.boreMm`,
          }
        },
        ({ kind }, index) =>
          index > 0
            ? 'It does not stand on the motor’s shaft'
            : kind === 'v-belt'
              ? undefined
              : 'Only of V-pulleys is known how much iron stays',
      ),
  ),
]

/** The least pulley that the belt stands. */
function leastPulley({ pulleys: { profile } }: BeltFacts): { mm: number; name: string; teeth?: number } | undefined {
  switch (profile?.form) {
    case 'v':
      return { mm: profile.section.smallestMm, name: `section ${profile.section.name}` }
    case 'rib':
      return { mm: profile.profile.smallestMm, name: profile.profile.name }
    case 'tooth': {
      const { pitchMm, fewestTeeth, name } = profile.pitch
      return { mm: (fewestTeeth * pitchMm) / Math.PI, name, teeth: fewestTeeth }
    }
    case undefined:
      return undefined
  }
}
