import type { DialRing, Plan } from '../plan'

/** The rings that are drawn where none was chosen: the main position's rpm. */
export const ringsOf = (plan: Plan): DialRing[] =>
  plan.dial.rings !== undefined && plan.dial.rings.length > 0
    ? plan.dial.rings
    : [
        {
          id: 'main',
          shows: 'rpm',
          ...(plan.survey.mainPositionId === undefined ? {} : { positionId: plan.survey.mainPositionId }),
        },
      ]
