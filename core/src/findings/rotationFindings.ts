import { rotations, set } from '../plan'
import { doesNotApply, good, lacks } from './answer'
import { message } from '../quantities'
import { leadsSwapped, spindleRotation } from '../facts/spindle/spindleRotation'
import { judgement, type Answer } from './finding'

const word = (sense: keyof typeof rotations) => rotations[sense].toLowerCase()

/** Which way the spindle turns, as it is seen facing its nose. */
export const rotationFindings = [
  judgement(
    {
      id: 'spindle.rotation',
      asks: 'Which way the spindle turns',
      stage: 'speeds',
      chainLink: 'spindle',
      by: 'on-machine',
    },
    ({ plan, speeds }) => {
      const { forward } = plan.survey
      const { main } = speeds
      const sense = spindleRotation(plan, main?.reversed)
      if (!main) return lacks('survey.mainPositionId')
      if (forward === undefined) return lacks('survey.forward')
      if (plan.motor.leads === '9-star' || plan.motor.leads === '9-delta')
        return {
          severity: 'note',
          about: 'numbered',
          title: message`Which way it turns is to be proved`,
          says: message`The numbers on nine leads do not say which way a motor turns; the letters of IEC do.`,
          why: 'Prove it by a jog, uncoupled, at the lowest hertz. Swap two leads at the drive, dead and discharged; never the supply leads, which change nothing.',
          path: 'motor.leads',
        }
      if (sense === undefined) return lacks('survey.motorFaces', `survey.positions.${main.index}.transmission`)
      if (!leadsSwapped(plan, main.reversed))
        return good(message`With its leads in order it turns ${word(sense)}, which is forward.`)
      return {
        severity: 'note',
        title: message`Two of the motor’s leads are to be swapped`,
        says: message`On ${main.name}, with its leads in order, the spindle turns ${word(sense)} as you face its nose; forward is ${word(forward)}.`,
        why: 'Swap them at the drive, dead and discharged; never the supply leads, which change nothing. Prove it by a jog, uncoupled, at the lowest hertz.',
        path: 'survey.mainPositionId',
      }
    },
  ),

  judgement(
    {
      id: 'spindle.other-way',
      asks: 'Positions that turn the other way',
      stage: 'speeds',
      chainLink: 'belts',
      by: 'on-machine',
      danger: true,
    },
    ({ plan, speeds }) => {
      const { main } = speeds
      if (!main) return lacks('survey.mainPositionId')
      if (main.reversed === undefined) return lacks(`survey.positions.${main.index}.transmission`)
      const others = speeds.positions.filter((p) => p.index !== main.index)
      if (others.length === 0) return doesNotApply('There is one position')
      return others.map((p): Answer => {
        const about = p.position.id
        if (p.reversed === undefined) return { ...lacks(`survey.positions.${p.index}.transmission`), about }
        if (p.reversed === main.reversed) return good(message`${p.name} turns as ${main.name} does.`, { about })
        const threaded = plan.survey.spindleNose === 'threaded' && plan.controls.reverseLocked !== true
        const planned = plan.controls.reverseWanted === true
        return {
          severity: threaded ? 'stop' : planned ? 'note' : 'watch',
          about,
          title: message`On ${p.name} the spindle turns the other way`,
          says: message`A gear pair or a crossed belt more or less turns it against ${main.name}, with the same leads and the same switch.`,
          why: threaded
            ? 'Forward on the switch is reverse at the spindle there, and a threaded chuck unscrews. Run that position in reverse, with the chuck locked.'
            : 'Forward on the switch is reverse at the spindle there. Run that position in reverse, and mark the change-over card.',
          remedies:
            threaded || planned
              ? []
              : [{ label: message`Plan for running in reverse`, patch: [set('controls.reverseWanted', true)] }],
          path: 'survey.mainPositionId',
        }
      })
    },
  ),
]
