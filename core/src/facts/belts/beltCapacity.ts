import {
  beltCount,
  beltPower,
  beltShare,
  beltSlipTorque,
  beltSpanTension,
  beltStartTorque,
  beltTension,
  beltTotal,
  pulleySpeed,
  spanDeflection,
} from '../../drivetrain'
import type { FigureState } from '../figure'
import { choice, named, type Ledger } from '../ledger'
import type { BeltGeometry } from './beltGeometry'
import type { BeltName, BeltPulleys } from './beltPulleys'

/** What the motor asks of a belt, at the belt's own driving shaft. */
export interface BeltLoad {
  powerW: FigureState
  /** Rated torque and speed of the driving pulley. */
  torqueNm: FigureState
  speedRpm: FigureState
}

/** What a belt bears, and what it holds at the tension it has. */
export interface BeltCapacity {
  /** One belt, by the maker or by its section. */
  beltW: FigureState | undefined
  /** Belts side by side that the motor's power wants. */
  beltsWanted: FigureState | undefined
  /** Torque on the small pulley at a start. */
  startNm: FigureState
  /** Each side at rest, all belts together, so that the start does not slip. */
  staticTensionN: FigureState
  /** Each side at rest as it was pressed, and where it then slips. */
  foundN: FigureState | undefined
  slipsNm: FigureState | undefined
}

/** A start takes half as much again as rated torque; the belt must hold that. */
export const START = 1.5

/** Power counted for each that the motor gives: chatter, chips, and starts. */
export const SERVICE = 1.2

/** Belts side by side where nobody counted them. */
export const countedBelts = ({ belts }: { belts?: number | undefined }): number => belts ?? 1

const CITATION = 'A planning value for belts'

export function beltCapacity(
  ledger: Ledger,
  belt: BeltName,
  pulleys: BeltPulleys,
  geometry: BeltGeometry,
  load: BeltLoad,
): BeltCapacity {
  const { stage, path, id, name } = belt
  const beltW = rating(ledger, belt, pulleys, geometry, load)
  const beltsWanted =
    beltW === undefined || !('value' in beltW) || !('value' in load.powerW)
      ? undefined
      : ledger.derive(
          beltCount,
          'belts',
          named(`${id}.beltsWanted`, `${name}: belts wanted for this motor`, 'number'),
          {
            powerW: load.powerW,
            serviceFactor: ledger.typical(
              named('belts.serviceFactor', 'Power to plan for over the motor’s', 'number'),
              SERVICE,
              CITATION,
            ),
            beltW,
          },
        )
  const startNm = ledger.derive(
    beltStartTorque,
    'torqueNm',
    named(`${id}.startNm`, `${name}: torque on the small pulley at a start`, 'torque'),
    {
      torqueNm: load.torqueNm,
      startFactor: ledger.typical(
        named('belts.startFactor', 'Torque of a start over rated torque', 'number'),
        START,
        CITATION,
      ),
      driverMm: pulleys.driverMm,
      smallMm: pulleys.smallMm,
    },
  )
  const grip = { diameterMm: pulleys.smallMm, wrapSmallDeg: geometry.wrapDeg }
  const staticTensionN = ledger.derive(
    beltTension,
    'staticTensionN',
    named(`${id}.staticTensionN`, `${name}: pull of each side at rest`, 'force'),
    { torqueNm: startNm, ...grip },
  )
  const span = {
    largeMm: pulleys.largeMm,
    smallMm: pulleys.smallMm,
    centreMm: geometry.centreMm,
    crossed: choice(stage.kind === 'crossed-belt', 'Crossed'),
  }
  const belts = choice(countedBelts(stage), 'Belts side by side')
  const eachN = ledger.derive(
    beltShare,
    'eachN',
    named(`${id}.eachN`, `${name}: pull of each side of one belt`, 'force'),
    { totalN: staticTensionN, belts },
  )
  ledger.compute(
    spanDeflection,
    {
      deflectionMm: named(`${id}.deflectionMm`, `${name}: press the middle in by`, 'length'),
      forceN: named(`${id}.deflectionForceN`, `${name}: with a force of`, 'force'),
    },
    { ...span, staticTensionN: eachN },
  )
  if (stage.deflectionForceN === undefined || stage.deflectionMm === undefined)
    return { beltW, beltsWanted, startNm, staticTensionN, foundN: undefined, slipsNm: undefined }
  const oneFoundN = ledger.derive(
    beltSpanTension,
    'staticTensionN',
    named(`${id}.oneFoundN`, `${name}: pull of one belt as it is`, 'force'),
    {
      ...span,
      forceN: ledger.given(`${path}.deflectionForceN`),
      deflectionMm: ledger.given(`${path}.deflectionMm`),
    },
  )
  const foundN = ledger.derive(
    beltTotal,
    'totalN',
    named(`${id}.foundN`, `${name}: pull of each side as it is`, 'force'),
    { eachN: oneFoundN, belts },
  )
  const slipsNm = ledger.derive(
    beltSlipTorque,
    'torqueNm',
    named(`${id}.slipsNm`, `${name}: slips at, on the small pulley`, 'torque'),
    { staticTensionN: foundN, ...grip },
    // The grip that belts are designed by is a planning value too.
    { planning: true },
  )
  return { beltW, beltsWanted, startNm, staticTensionN, foundN, slipsNm }
}

/** What one belt bears: the maker's rating, or the section's planning value. Only V-belts have one here. */
function rating(
  ledger: Ledger,
  { stage, path, id, name }: BeltName,
  pulleys: BeltPulleys,
  geometry: BeltGeometry,
  load: BeltLoad,
): FigureState | undefined {
  if (stage.ratedBeltW !== undefined) return ledger.given(`${path}.ratedBeltW`)
  if (pulleys.profile?.form !== 'v') return undefined
  const speedRpm = ledger.derive(
    pulleySpeed,
    'speedRpm',
    named(`${id}.smallRpm`, `${name}: small pulley at rated speed`, 'speed'),
    { speedRpm: load.speedRpm, driverMm: pulleys.driverMm, diameterMm: pulleys.smallMm },
  )
  return ledger.derive(
    beltPower,
    'beltW',
    named(`${id}.beltW`, `${name}: one belt bears`, 'power'),
    {
      section: choice(pulleys.profile.id, 'Section'),
      diameterMm: pulleys.smallMm,
      speedRpm,
      wrapSmallDeg: geometry.wrapDeg,
    },
    { planning: true },
  )
}
