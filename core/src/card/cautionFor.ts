import type { SettingId } from '../plan'

const SOURCE =
  'Only with RUN open, the motor bare and clamped, the isolator in hand: what it listened to until now may be closed.'
const TUNE =
  'Standing: nobody at the spindle, it hums and may creep. Turning: only with the belt off. Read the plate’s values again after it.'

const cautions: Readonly<Partial<Record<SettingId, string>>> = {
  commandSource: SOURCE,
  referenceSource: SOURCE,
  powerOnMode: SOURCE,
  motorTune: TUNE,
}

/** What may hurt while this line is entered, said where it is. */
export const cautionFor = (settings: readonly SettingId[]): string | undefined =>
  settings.map((id) => cautions[id]).find((caution) => caution !== undefined)
