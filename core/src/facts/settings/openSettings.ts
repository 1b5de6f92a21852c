import { codesFor, emptyManual, encode } from '../../manual'
import type { Plan } from '../../plan'
import { alike } from './alike'
import { couldHurt } from './couldHurt'
import { heldCodes, holds } from './heldCodes'
import { asDriveCounts } from './rampOfDrive'
import type { SettingLine } from './settingLine'
import { shareOfPlan } from './shareOf'

/**
 * Settings that are still to be entered: known to be otherwise in the drive, or of which nothing is known and that could
 * hurt. What a reset drive comes with by its manual counts as held.
 */
export function openSettings(plan: Plan, lines: readonly SettingLine[]): SettingLine[] {
  const manual = plan.manual ?? emptyManual('The drive')
  const of = shareOfPlan(plan, lines)
  const { held } = heldCodes(plan, manual, of)
  return lines.filter((line) => {
    const { id, value, inDrive } = line
    if (value === undefined) return false
    const [code] = codesFor(manual, id)
    if (code && held[code.code] !== undefined) {
      const counted = asDriveCounts(plan, id, value, of)
      const written = counted === undefined ? undefined : encode(code, { [id]: counted }, of, held[code.code])
      return typeof written === 'string' && !holds(manual, held, code.code, written)
    }
    if (inDrive !== undefined) return !alike(inDrive, value)
    return couldHurt(plan, id, value)
  })
}
