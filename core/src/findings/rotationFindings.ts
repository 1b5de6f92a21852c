import { rotations, set } from '../plan'
import { message } from '../quantities'
import { leadsSwapped, spindleRotation } from '../facts/spindle/spindleRotation'
import { judgement, type Verdict } from './finding'

const word = (sense: keyof typeof rotations) => rotations[sense].toLowerCase()

/** Which way the spindle turns, as it is seen facing its nose. */
export const rotationFindings = [
  judgement('spindle.rotation', 'speeds', 'spindle', ({ plan, speeds }) => {
    const { forward } = plan.survey
    const { main } = speeds
    const sense = spindleRotation(plan, main?.reversed)
    if (!main || sense === undefined || forward === undefined || !leadsSwapped(plan, main.reversed)) return undefined
    return {
      severity: 'note',
      title: message`Two of the motor’s leads are to be swapped`,
      says: message`On ${main.name}, with its leads in order, the spindle turns ${word(sense)} as you face its nose; forward is ${word(forward)}.`,
      why: 'Swap them at the drive, dead and discharged; never the supply leads, which change nothing. Prove it at the spindle, without a chuck, at the lowest hertz.',
      path: 'survey.mainPositionId',
    }
  }),

  judgement('spindle.other-way', 'speeds', 'belts', ({ plan, speeds }) => {
    const { main } = speeds
    if (main?.reversed === undefined) return undefined
    return speeds.positions.flatMap((p): Verdict[] => {
      if (p.reversed === undefined || p.reversed === main.reversed) return []
      const threaded = plan.survey.spindleNose === 'threaded' && plan.controls.reverseLocked !== true
      const planned = plan.controls.reverseWanted === true
      return [
        {
          severity: threaded ? 'stop' : planned ? 'note' : 'watch',
          about: p.position.id,
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
        },
      ]
    })
  }),
]
