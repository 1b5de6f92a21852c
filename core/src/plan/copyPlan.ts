import { cut } from '../rules/text'
import { applyPatch, set } from './patch'
import type { Plan } from './plan'
import { ofOneDrive } from './settingFields'

const LONGEST_NAME = 80
const COPY = ', copy'

/** Of the wiring what belongs to one machine alone. */
const ofOneMachine = [
  'steps',
  'numbers',
  'places',
  'changes',
  'asFound',
  'codesHeld',
  'parts',
  'looseEnds',
  'receivedOn',
  'sendBackBy',
] as const

/**
 * The start of another conversion like this one: two saws alike, one drive used again. What was decided and what the
 * plates print goes along; what was measured, tested or read on this one machine does not.
 *
 * @example copyPlan(emptyPlan('Bandsaw')).name // 'Bandsaw, copy'
 */
export const copyPlan = (plan: Plan): Plan =>
  applyPatch(plan, [
    set('name', `${cut(plan.name, LONGEST_NAME - COPY.length)}${COPY}`),
    set('settings.inDrive', {}),
    set('settings.state', undefined),
    ...ofOneDrive.map((key) => set(`settings.${key}`, undefined)),
    set('checks', {}),
    set('runIn', {}),
    set('planned', undefined),
    set('survey.comesNext', undefined),
    set('survey.coastS', undefined),
    set('survey.coastFromRpm', undefined),
    set('survey.seatTorqueNm', undefined),
    set('controls.knobTopHz', undefined),
    set('controls.resetStarts', undefined),
    set('drive.jumperSet', undefined),
    // How far that build was, what was found there, and where that machine differs.
    ...ofOneMachine.map((key) => set(`wiring.${key}`, undefined)),
    ...plan.survey.positions.map((_, i) => set(`survey.positions.${i}.resonanceHz`, undefined)),
  ])
