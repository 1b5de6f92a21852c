import type { Facts } from '../facts/facts'
import { numberOf } from '../facts/figure'
import { actingValue } from '../facts/settings/settingsFacts'
import type { SettingId } from '../plan'
import { amps, message, seconds, type Message } from '../quantities'
import type { SymptomId } from '../log/symptoms'

/** What a symptom may come from on this machine. */
export interface SymptomCause {
  id: string
  says: Message
  /** What the plan's own numbers say of it; nothing where they are silent. */
  numbers?: Message
  /** How much speaks for it, from 0 to 1. */
  weight: number
  test: string
  change: string
}

/** The causes of some symptoms, each made from the machine's numbers. */
export type Causes<Id extends SymptomId> = Readonly<Record<Id, (numbers: Numbers) => SymptomCause[]>>

export const cause = (
  id: string,
  weight: number,
  says: string,
  test: string,
  change: string,
  numbers?: Message,
): SymptomCause => ({ id, weight, says: message`${says}.`, test, change, ...(numbers ? { numbers } : {}) })

/** How far one number passes another, as a weight: nothing known is a little, twice as much is nearly sure. */
export const against = (has: number | undefined, wants: number | undefined): number =>
  has === undefined || wants === undefined || wants === 0 ? 0.3 : Math.min(0.95, Math.max(0.05, 0.5 * (has / wants)))

export type Numbers = ReturnType<typeof numbersOf>

/** What of a machine the causes are weighed by. */
export function numbersOf(facts: Facts) {
  const { plan, settings, stop, speeds, motor, drive, measured } = facts
  const set = (id: SettingId) => actingValue(settings.lines, id)
  const numberOfSetting = (id: SettingId): number | undefined => {
    const value = set(id)
    return typeof value === 'number' ? value : undefined
  }
  const belt = facts.belts.find((b) => b.capacity?.slipsNm !== undefined)
  const read = Object.values(measured.amps).filter((a) => a !== undefined)
  const worstAmps = read.length === 0 ? undefined : Math.max(...read)
  const plateA = numberOf(motor.plateCurrentA)
  return {
    facts,
    plan,
    stop,
    speeds,
    motor,
    set,
    numberOfSetting,
    up: numberOfSetting('accelerationS'),
    down: numberOfSetting('decelerationS'),
    quickest: numberOf(stop.rampS),
    shortest: numberOf(stop.stopS),
    minHz: numberOf(settings.minimumHz),
    maxHz: numberOf(settings.maximumHz),
    baseHz: numberOf(settings.baseFrequencyHz),
    plateA,
    outputA: numberOf(drive.outputA),
    /** The most that was read on a lead. */
    worstAmps,
    overPlate:
      worstAmps === undefined || plateA === undefined
        ? undefined
        : message`${amps(worstAmps)} was read; the plate has ${amps(plateA)}.`,
    /** N m at the small pulley: what the belt holds, and what a start may ask. */
    slips: numberOf(belt?.capacity?.slipsNm),
    start: numberOf(belt?.capacity?.startNm),
    rampNumbers: (own: number | undefined, least: number | undefined, of: string): Message | undefined =>
      own === undefined || least === undefined
        ? undefined
        : message`It is set to ${seconds(own)}; ${of} ${seconds(least)}.`,
  }
}
