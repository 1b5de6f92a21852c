import { set } from '../plan'
import { message } from '../quantities'
import { doesNotApply, good, lacks } from './answer'
import { forSeconds } from './coasting'
import { judgement } from './finding'
import { mayUnscrew } from '../facts/spindle/held'

const CANNOT = 'Nothing on the spindle can unscrew'
const held = lacks('survey.spindleNose')

/** What brakes a turning spindle beside STOP: a new RUN, a dip of the power, a bus that is full. */
export const turningFindings = [
  judgement(
    {
      id: 'controls.run-while-turning',
      asks: 'RUN while it still turns',
      stage: 'settings',
      chainLink: 'spindle',
      by: 'on-machine',
      danger: true,
    },
    ({ plan }) => {
      const { turningStart } = plan.settings.inDrive
      const screwed = mayUnscrew(plan)
      if (turningStart === 'lockout') return good(message`The drive waits until it has coasted${forSeconds(plan)}.`)
      if (turningStart === 'flying') return good(message`The drive catches it at its speed.`)
      if (turningStart === undefined)
        return screwed === false
          ? doesNotApply(CANNOT)
          : screwed === undefined
            ? held
            : lacks('settings.inDrive.turningStart')
      return {
        severity: screwed === false ? 'watch' : 'stop',
        title: message`RUN brakes a spindle that still turns`,
        says: message`The drive starts from its lowest hertz whatever the spindle does: the motor brakes it as hard as it can.`,
        why:
          screwed === false
            ? 'It trips on over-voltage or overcurrent, and jerks the belt.'
            : 'That is the hardest stop there is: the chuck or wheel runs on and unscrews.',
        remedies: [
          {
            label: message`Lock the start out until it has coasted`,
            patch: [set('settings.inDrive.turningStart', 'lockout')],
          },
          {
            label: message`Use the flying start, if it has one`,
            patch: [set('settings.inDrive.turningStart', 'flying')],
          },
        ],
        path: 'settings.inDrive.turningStart',
      }
    },
  ),

  judgement(
    {
      id: 'controls.ride-through',
      asks: 'When the power dips',
      stage: 'settings',
      chainLink: 'spindle',
      by: 'on-machine',
      danger: true,
    },
    ({ plan }) => {
      const { rideThrough } = plan.settings.inDrive
      const screwed = mayUnscrew(plan)
      if (rideThrough === 'off') return good(message`It coasts${forSeconds(plan)}.`)
      if (rideThrough === undefined)
        return screwed === false
          ? doesNotApply(CANNOT)
          : screwed === undefined
            ? held
            : lacks('settings.inDrive.rideThrough')
      if (screwed === false) return good(message`It brakes itself alive; nothing on the spindle can unscrew.`)
      return {
        severity: 'stop',
        title: message`A dip of the power brakes the spindle`,
        says: message`The drive takes the energy of what turns to stay alive, as hard as it needs to.`,
        why: 'A stop that nobody asked for, at no ramp that anyone set: the chuck or wheel runs on and unscrews.',
        remedies: [{ label: message`Switch it off`, patch: [set('settings.inDrive.rideThrough', 'off')] }],
        path: 'settings.inDrive.rideThrough',
      }
    },
  ),

  judgement(
    {
      id: 'controls.over-voltage',
      asks: 'When a stop pumps the bus',
      stage: 'settings',
      chainLink: 'spindle',
      by: 'on-machine',
    },
    ({ plan }) => {
      switch (plan.settings.inDrive.overVoltage) {
        case undefined:
          return lacks('settings.inDrive.overVoltage')
        case 'trips':
          return good(message`It trips, and the spindle coasts${forSeconds(plan)}.`)
        case 'lengthens':
          return good(message`It lengthens the ramp: the stop takes longer than is set.`)
        case 'speeds':
          return {
            severity: 'watch',
            title: message`A pumped bus lets the speed rise`,
            says: message`Rather than trip, the drive gives more hertz for moments.`,
            why: 'What spins may pass its mark in the middle of a stop.',
            remedies: [
              {
                label: message`Let it lengthen the ramp instead`,
                patch: [set('settings.inDrive.overVoltage', 'lengthens')],
              },
            ],
            path: 'settings.inDrive.overVoltage',
          }
      }
    },
  ),
]
