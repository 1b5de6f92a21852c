import type { Facts } from '../facts/facts'
import { isKnown } from '../facts/figure'
import { milestoneIds, type Milestone } from '../stages/milestones'

/**
 * What comes next: as the person says; else as far as the plan shows. Until motor and drive are known they are being
 * bought; with the card entered comes the first spin; what comes after that only the person knows.
 */
export function nextMilestone({ plan, motor, drive }: Pick<Facts, 'plan' | 'motor' | 'drive'>): Milestone {
  const said = milestoneIds.find((id) => id === plan.survey.comesNext)
  if (said !== undefined) return said
  if (!isKnown(motor.plateCurrentA) || !isKnown(drive.outputA)) return 'buying'
  return plan.settings.state === 'entered' ? 'first-spin' : 'first-power'
}
