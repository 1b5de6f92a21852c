/** Share by which the speed that a stop was timed from may be off the step's. */
const SAME_SPEED = 0.03

/** Whether something timed is of a step: of that thing, on that position, from about that speed. */
export const isOfStop =
  (step: { of: string; positionId: string; fromRpm: number }) =>
  (row: { of?: string | undefined; positionId?: string | undefined; fromRpm?: number | undefined }): boolean =>
    row.of === step.of &&
    row.positionId === step.positionId &&
    row.fromRpm !== undefined &&
    Math.abs(row.fromRpm / step.fromRpm - 1) < SAME_SPEED

export const BARE = 'The bare spindle'
