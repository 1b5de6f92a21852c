import type { ShareOf } from '../../manual'
import type { Plan } from '../../plan'
import type { SettingLine } from './settingLine'

/** What the drive’s shares are of once it holds the card. */
export function shareOfPlan(plan: Plan, lines: readonly SettingLine[]): ShareOf {
  const number = (id: SettingLine['id']): number | undefined => {
    const line = lines.find((l) => l.id === id)
    const value = line?.value ?? line?.inDrive
    return typeof value === 'number' ? value : undefined
  }
  return {
    baseHz: number('baseFrequencyHz'),
    maximumHz: number('maximumHz'),
    motorA: number('ratedCurrentA'),
    motorV: number('ratedVoltageV'),
    driveA: plan.drive.ratedOutputA,
  }
}
