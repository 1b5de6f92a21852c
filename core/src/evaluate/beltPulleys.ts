import { beltInGroove, strangeGroove, toothedPulley } from '../drivetrain'
import { beltProfile, type BeltProfile } from '../data/beltProfile'
import type { Stage } from '../plan'
import { isKnown, type Reading } from './figure'
import type { Ledger } from './ledger'

/** The two pulleys of a belt by the diameters it runs on. */
export interface BeltPulleys {
  driverMm: Reading
  drivenMm: Reading
  smallMm: Reading
  largeMm: Reading
  /** True where the driving pulley is the smaller, or they are alike. */
  driverIsSmall: boolean
  profile: BeltProfile | undefined
  /** Of a belt in grooves cut for another. */
  inGroove: { proudMm: number; clearanceMm: number; bottoms: boolean; liftMm: number } | undefined
}

/** The belt a stage names, where it is of the form that its kind takes. */
export function profileOf({ kind, section }: Stage): BeltProfile | undefined {
  if (section === undefined) return undefined
  const profile = beltProfile(section)
  const takes = kind === 'v-belt' ? 'v' : kind === 'poly-v' ? 'rib' : kind === 'timing-belt' ? 'tooth' : undefined
  return profile.form === takes ? profile : undefined
}

/** Diameters of both pulleys: typed, from their teeth, or as the belt lies in a strange groove. */
export function beltPulleys(
  ledger: Ledger,
  stage: Stage,
  path: string,
  id: string,
  name: string,
): BeltPulleys | undefined {
  if (stage.driverMm === undefined || stage.drivenMm === undefined) return undefined
  const profile = profileOf(stage)
  const strange = strangeGroove(stage)
  let inGroove: BeltPulleys['inGroove']
  const lying = (end: 'driverMm' | 'drivenMm', what: string): Reading => {
    const typed = ledger.given(`${path}.${end}`)
    const naming = {
      id: `${id}.${end}`,
      label: `${name}: ${what} pulley, where the belt runs`,
      dimension: 'length' as const,
    }
    if (profile?.form === 'tooth')
      return ledger.compute(
        toothedPulley,
        { diameterMm: naming },
        { pitchMm: { raw: profile.pitch.pitchMm, shown: profile.pitch.pitchMm, label: 'Pitch, mm' }, teeth: typed },
      ).diameterMm
    if (!strange) return typed
    const { effectiveMm, output } = ledger.compute(
      beltInGroove,
      { effectiveMm: naming },
      {
        section: { raw: strange.section, shown: strange.section, label: 'Section of the belt' },
        grooves: { raw: strange.grooves, shown: strange.grooves, label: 'Grooves cut for' },
        diameterMm: typed,
      },
    )
    // Of the two the tighter fit is told.
    if (output && (inGroove === undefined || output.clearanceMm < inGroove.clearanceMm)) inGroove = output
    return effectiveMm
  }
  const driverMm = lying('driverMm', 'driving')
  const drivenMm = lying('drivenMm', 'driven')
  if (!isKnown(driverMm) || !isKnown(drivenMm)) return undefined
  const driverIsSmall = driverMm.value <= drivenMm.value
  return {
    driverMm,
    drivenMm,
    smallMm: driverIsSmall ? driverMm : drivenMm,
    largeMm: driverIsSmall ? drivenMm : driverMm,
    driverIsSmall,
    profile,
    inGroove,
  }
}
