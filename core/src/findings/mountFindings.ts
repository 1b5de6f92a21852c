import { beltTravel } from '../mount/beltTravel'
import { pulleyFit } from '../mount/mountFit'
import { set } from '../plan'
import { amount, message } from '../quantities'
import { doesNotApply, good, lacks } from './answer'
import { judgement } from './finding'

const question = { stage: 'run-in', by: 'on-machine' } as const

/** What comes between motor and machine. */
export const mountFindings = [
  judgement({ id: 'mount.fit', asks: 'Fit of the pulley', chainLink: 'belts', danger: true, ...question }, (facts) => {
    const { fit } = facts.plan.mount
    if (fit === undefined) return doesNotApply('How the pulley holds is not said')
    if (fit !== 'press' && fit !== 'shrink') return doesNotApply('Key and set-screw hold it')
    const made = pulleyFit(facts)
    if (made.refused !== undefined)
      return {
        severity: 'stop',
        title: message`The pulley cannot be fitted so`,
        says: message`${made.refused}.`,
        why: 'Grey iron bursts round a bore that is too tight; overheated, aluminium and steel lose what they were hardened to, and a bearing its grease.',
        remedies: [{ label: message`Let it slide, with key and set-screw`, patch: [set('mount.fit', 'slide')] }],
        path: 'mount.tightMm',
      }
    if (made.missing.length > 0) return lacks(...made.missing)
    if (made.holdsNm === undefined) return lacks('mount.hubMm', 'mount.hubLengthMm')
    if (made.asksNm !== undefined && made.holdsNm < made.asksNm)
      return {
        severity: 'watch',
        title: message`The fit alone does not hold a start`,
        says: message`It holds ${amount('torque', made.holdsNm)}; a start may ask ${amount('torque', made.asksNm)}.`,
        why: 'It creeps, frets and comes loose. A key beside it, or a tighter fit as far as the hub bears it.',
        path: 'mount.tightMm',
      }
    return good(
      message`It holds ${amount('torque', made.holdsNm)}${made.asksNm === undefined ? '' : message`; a start may ask ${amount('torque', made.asksNm)}`}.`,
    )
  }),
  judgement(
    { id: 'mount.rotor', asks: 'Rotor end for end', chainLink: 'motor', ...question },
    ({ plan: { mount } }) => {
      if (mount.rotorTurned !== true) return doesNotApply('The rotor stays as it is')
      if (mount.innerFan === undefined) return lacks('mount.innerFan')
      return mount.innerFan
        ? {
            severity: 'stop',
            title: message`The rotor may not go in end for end`,
            says: message`It has a fan inside the winding, or fins of one hand.`,
            why: 'Turned round it moves the air the wrong way, and the winding cooks at plate amps.',
            remedies: [{ label: message`Leave the rotor as it is`, patch: [set('mount.rotorTurned', false)] }],
            path: 'mount.rotorTurned',
          }
        : good(message`No fan inside, no fins of one hand.`)
    },
  ),
  judgement({ id: 'mount.travel', asks: 'Travel for the belt', chainLink: 'belts', ...question }, (facts) => {
    const { boxCostsMm = 0 } = facts.plan.mount
    const travel = beltTravel(facts)
    if (!travel) return doesNotApply('No belt of which length and distance are known')
    const { hasMm: has, wantsMm: wants } = travel
    if (has === undefined) return lacks('mount.travelMm')
    return has < wants
      ? {
          severity: 'watch',
          title: message`Too little travel for the belt`,
          says: message`${amount('length', has)} is left${boxCostsMm > 0 ? message`, the terminal box takes ${amount('length', boxCostsMm)}` : ''}; the belt wants ${amount('length', wants)}.`,
          why: 'It cannot be put on, or not be tensioned once it has stretched.',
          path: 'mount.travelMm',
        }
      : good(message`${amount('length', has)}; the belt wants ${amount('length', wants)}.`)
  }),
  judgement(
    { id: 'mount.guard', asks: 'Guard over belt and pulleys', chainLink: 'belts', danger: true, ...question },
    (facts) => {
      const { guard } = facts.plan.mount
      if (facts.speeds.positions.length === 0) return doesNotApply('There is no belt')
      if (guard === undefined) return lacks('mount.guard')
      if (guard === 'to-make')
        return {
          severity: facts.plan.runIn.state === 'in-use' || facts.plan.runIn.state === 'done' ? 'stop' : 'watch',
          title: message`The guard is not made yet`,
          says: message`Belt and pulleys run open.`,
          why: 'A belt takes a sleeve and the hand with it. For a try with nobody near it may run; for work it may not.',
          remedies: [],
          path: 'mount.guard',
        }
      return good(guard === 'not-needed' ? message`None is needed.` : message`It stands over belt and pulleys.`)
    },
  ),
]
