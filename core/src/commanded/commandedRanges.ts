import { commandFit, commandForSpeed } from '../cnc'
import type { PositionFacts } from '../facts/spindle/speedFacts'
import { numberOf } from '../facts/figure'
import type { Plan } from '../plan'

/** What a controller's commands come to on one range. */
export interface CommandedRange {
  position: PositionFacts
  bottomRpm: number | undefined
  topRpm: number | undefined
  /** Readings on it; those that name no range count where there is one only. */
  count: number
  fit?: {
    gain: number
    offsetRpm: number
    straight: boolean
    maxErrorRpm: number
    deadBandRpm: number
    outliers: number
  }
  /** Why there is no line, where there are readings. */
  because?: string
  /** What to command for the speed of the program, as it reads now. */
  commandRpm?: number
  /** Whether the speed of the program lies within it. */
  reaches?: boolean
}

/** Whether a controller commands the spindle's speed. */
export const isCommanded = ({ controls }: Plan): boolean =>
  controls.runBy === 'cnc' && (controls.reference === 'analogue' || controls.reference === 'serial')

/** Each belt position or gear as a range of the controller, with the line through its readings. */
export function commandedRanges(plan: Plan, positions: readonly PositionFacts[]): CommandedRange[] {
  const { readings = [], wantedRpm } = plan.commanded
  return positions.map((position): CommandedRange => {
    const [bottomRpm, topRpm] = [position.bottomRpm, position.topRpm].map(numberOf)
    const pairs = readings.flatMap(({ positionId, commandedRpm, rpm }) =>
      commandedRpm !== undefined &&
      rpm !== undefined &&
      (positionId === position.position.id || (positionId === undefined && positions.length === 1))
        ? [{ commandedRpm, rpm }]
        : [],
    )
    const made = pairs.length < 2 ? undefined : commandFit.run({ readings: pairs })
    const fit = made?.ok === true ? { ...made.value, outliers: made.value.outliers.length } : undefined
    const command =
      fit === undefined || wantedRpm === undefined
        ? undefined
        : commandForSpeed.run({ wantedRpm, gain: fit.gain, offsetRpm: fit.offsetRpm })
    return {
      position,
      bottomRpm,
      topRpm,
      count: pairs.length,
      ...(fit ? { fit } : {}),
      ...(made?.ok === false ? { because: made.faults[0]?.message ?? 'No line goes through them' } : {}),
      ...(command?.ok === true ? { commandRpm: command.value.commandedRpm } : {}),
      ...(wantedRpm === undefined || bottomRpm === undefined || topRpm === undefined
        ? {}
        : { reaches: wantedRpm >= bottomRpm * 0.98 && wantedRpm <= topRpm * 1.02 }),
    }
  })
}
