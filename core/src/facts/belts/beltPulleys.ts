import { beltProfile, type BeltProfile } from '../../data/beltProfile'
import { beltInGroove, strangeGroove, toothedPulley } from '../../drivetrain'
import type { PlanPath, TransmissionStage, TransmissionStagePath } from '../../plan'
import { isKnown, type FigureState } from '../figure'
import { choice, named, type Ledger } from '../ledger'

/** What the figures of one belt begin with. */
export type BeltId = `position.${string}.belt${number}`

/** What a belt is called in its figures. */
export interface BeltName {
  stage: TransmissionStage
  path: TransmissionStagePath
  id: BeltId
  name: string
}

/** The two pulleys of a belt by the diameters it runs on. */
export interface BeltPulleys {
  driverMm: FigureState
  drivenMm: FigureState
  smallMm: FigureState
  largeMm: FigureState
  /** True where the driving pulley is the smaller, or they are alike. */
  driverIsSmall: boolean
  /** Where the smaller is typed. */
  smallPath: PlanPath
  profile: BeltProfile | undefined
  /** Of a belt in grooves cut for another. */
  inGroove: { proudMm: number; clearanceMm: number; bottoms: boolean; liftMm: number } | undefined
}

/** The belt a stage names, where it is of the form that its kind takes. */
export function profileOf({ kind, section }: TransmissionStage): BeltProfile | undefined {
  if (section === undefined) return undefined
  const profile = beltProfile(section)
  const takes = kind === 'v-belt' ? 'v' : kind === 'poly-v' ? 'rib' : kind === 'timing-belt' ? 'tooth' : undefined
  return profile.form === takes ? profile : undefined
}

/** Diameters of both pulleys: typed, from their teeth, or as the belt lies in a strange groove. */
export function beltPulleys(ledger: Ledger, { stage, path, id, name }: BeltName): BeltPulleys | undefined {
  const profile = profileOf(stage)
  const strange = strangeGroove(stage)
  let inGroove: BeltPulleys['inGroove']
  const lying = (end: 'driver' | 'driven', what: string): FigureState => {
    const naming = named(`${id}.${end}Mm`, `${name}: ${what} pulley, where the belt runs`, 'length')
    if (stage.kind === 'timing-belt') {
      const teeth = ledger.given(`${path}.${end}Teeth`)
      // Without the belt's pitch, teeth tell the ratio and nothing else.
      if (profile?.form !== 'tooth') return ledger.block(naming, [teeth])
      return ledger.derive(toothedPulley, 'diameterMm', naming, {
        pitchMm: choice(profile.pitch.pitchMm, 'Pitch, mm'),
        teeth,
      })
    }
    const typed = ledger.given(`${path}.${end}Mm`)
    if (!strange) return typed
    const { effectiveMm, output } = ledger.compute(
      beltInGroove,
      { effectiveMm: naming },
      {
        section: choice(strange.section, 'Section of the belt'),
        grooves: choice(strange.grooves, 'Grooves cut for'),
        diameterMm: typed,
      },
    )
    // Of the two the tighter fit is told.
    if (output && (inGroove === undefined || output.clearanceMm < inGroove.clearanceMm)) inGroove = output
    return effectiveMm
  }
  const driverMm = lying('driver', 'driving')
  const drivenMm = lying('driven', 'driven')
  if (!isKnown(driverMm) || !isKnown(drivenMm)) return undefined
  const driverIsSmall = driverMm.value <= drivenMm.value
  return {
    driverMm,
    drivenMm,
    smallMm: driverIsSmall ? driverMm : drivenMm,
    largeMm: driverIsSmall ? drivenMm : driverMm,
    driverIsSmall,
    smallPath: `${path}.${driverIsSmall ? 'driver' : 'driven'}${stage.kind === 'timing-belt' ? 'Teeth' : 'Mm'}`,
    profile,
    inGroove,
  }
}
